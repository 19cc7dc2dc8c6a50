import type { Larder } from '@/core/food/larder';
import { US_MEASURES, type MeasureSettings } from '@/core/measure/units';
import type { Protocol, RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { Corrections } from '@/core/read/types';
import { keptText, libraryOf } from '@/core/read/library';
import { recipeText } from '@/core/format/text';
import { auditRecipe } from './audit';
import type { Audit } from './schema';

export interface TextAuditOptions {
  readonly source?: string;
  readonly servings?: number | undefined;
  /** Grams of the whole dish, of one plate, as weighed. */
  readonly potG?: number | undefined;
  readonly plateG?: number | undefined;
  readonly role?: RoleId | undefined;
  readonly measures?: MeasureSettings;
  readonly corrections?: Corrections;
  readonly larder?: Larder | undefined;
  /** The text's id among the larder's recipes; of several recipes in one text, that of the first. */
  readonly id?: string | undefined;
}

export type TextAudit =
  | { readonly ok: true; readonly audit: Audit }
  | { readonly ok: false; readonly code: string; readonly message: string };

/**
 * A larder in which recipes may be ingredients of each other.
 *
 * @param texts the recipes' texts; each is known by its position
 */
export function withRecipes(texts: readonly string[], table: Larder, measures: MeasureSettings): Larder {
  if (texts.length < 2) return table;
  const recipes = texts.flatMap((text, i) => {
    const plain = recipeText(text);
    const source = plain.ok ? plain.recipes[0] : undefined;
    return source === undefined ? [] : [keptText(String(i), source)];
  });
  return libraryOf(recipes, { measures, natural: false, larder: table }).larder;
}

/** From a file's text to its audit: the whole way, for the command line and the route handler. */
export function auditText(text: string, protocol: Protocol, options: TextAuditOptions = {}): TextAudit {
  const plain = recipeText(text);
  if (!plain.ok) return plain;
  const settings = {
    measures: options.measures ?? US_MEASURES,
    corrections: options.corrections ?? {},
    servings: options.servings,
    potG: options.potG,
    plateG: options.plateG,
    larder: options.larder,
    id: options.id,
  };
  const recipes = plain.recipes.map((source) => {
    const read = readRecipe(parseRecipe(source), settings);
    return auditRecipe(read, protocol, {
      source: options.source ?? '',
      role: options.role,
      headroom: true,
    });
  });
  return { ok: true, audit: { schema: 'dulvet.audit/1', protocol: protocol.id, recipes } };
}

import type { Larder } from '@/core/food/larder';
import { US_MEASURES, type MeasureSettings } from '@/core/measure/units';
import type { Protocol, RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { Corrections } from '@/core/read/types';
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
}

export type TextAudit =
  | { readonly ok: true; readonly audit: Audit }
  | { readonly ok: false; readonly code: string; readonly message: string };

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

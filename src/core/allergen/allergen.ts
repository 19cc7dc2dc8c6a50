import raw from '@content/compiled/allergens.json';
import { tokens } from '@/core/food/tokens';
import type { AllergenFile } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as AllergenFile;

/** An allergen as Dulvet names it. */
export interface Allergen {
  readonly id: string;
  readonly label: string;
}

/** The allergens known (EU Regulation 1169/2011, Annex II). */
export const ALLERGENS: readonly Allergen[] = file.allergens.map(({ id, label }) => ({ id, label }));

const spelt = (words: string) => tokens(words).join(' ');
const byWords = new Map<string, readonly string[]>([
  ...Object.entries(file.groups).map(([words, ids]) => [spelt(words), ids] as const),
  ...file.allergens.flatMap((a) => [a.id, ...a.words].map((w) => [spelt(w), [a.id]] as const)),
]);

/** Ids of what somebody must not eat, or the word that is no allergen known here and the words that are. */
export type AllergenReading =
  | { readonly ok: true; readonly ids: readonly string[] }
  | { readonly ok: false; readonly at: number; readonly message: string };

/**
 * Reads the names of allergens as people write them ("soya", "Gluten", "tree nuts", "peanut"). A word that is not
 * known is refused, never passed over: a warning must not disappear with a spelling.
 */
export function readAllergens(words: readonly string[]): AllergenReading {
  const ids = new Set<string>();
  for (const [at, word] of words.entries()) {
    const said = spelt(
      word.slice(0, 200).replace(/\b(?:allergy|allergies|allergic to|intolerance|free)\b/gi, ' '),
    );
    // "soy nuts" may be two of them
    const each = said.split(' ').map((w) => byWords.get(w));
    const found = byWords.get(said) ?? (each.every((e) => e !== undefined) ? each.flat() : undefined);
    if (!found)
      return {
        ok: false,
        at,
        message: `“${word.slice(0, 60)}” is no allergen known here; there are ${ALLERGENS.map((a) => a.id).join(', ')}`,
      };
    for (const id of found) if (id) ids.add(id);
  }
  return { ok: true, ids: [...ids] };
}

const labelWords: readonly (readonly [id: string, parts: readonly string[]])[] = file.allergens.flatMap((a) =>
  [...a.words, ...a.in].map((w) => [a.id, tokens(w)] as const).filter(([, parts]) => parts.length > 0),
);

/** Allergens that the words of a label or a name name outright: "almonds", "whey powder", "wheat". */
export function allergensNamed(words: string): string[] {
  const list = tokens(words);
  const has = (parts: readonly string[]) =>
    list.some((_, i) => parts.every((part, k) => list[i + k] === part));
  return [...new Set(labelWords.flatMap(([id, parts]) => (has(parts) ? [id] : [])))];
}

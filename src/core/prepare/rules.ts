import raw from '@content/compiled/preparations.json';
import type { Food } from '@/core/food/table';
import type { PreparationFile } from './schema';

type Three = readonly [number, number, number];

// checked by Zod when content is compiled
const { rules } = raw as unknown as PreparationFile;

/** What a preparation does to a food's sodium, with its published source. */
export interface PreparationEffect {
  readonly sodium: Three;
  readonly says: string;
  readonly source: string;
}

const applies = (rule: PreparationFile['rules'][number], food: Food): boolean =>
  (rule.kinds?.includes(food.kind) ?? false) || (rule.foods?.includes(food.id) ?? false);

/**
 * The effect of what a line says was done with the food ("drained and rinsed"). For tinned beans whose line
 * says nothing, the effect of not knowing: both ends.
 *
 * @param said the line's words after the food, in lower case
 */
export function preparationEffect(food: Food, said: string, fromCan: boolean): PreparationEffect | null {
  let unsaid: PreparationEffect | null = null;
  for (const rule of rules) {
    if (!rule.sodium || !applies(rule, food)) continue;
    const effect = { sodium: rule.sodium, says: rule.says, source: rule.source };
    if (rule.when.includes('')) unsaid = effect;
    else if (rule.when.some((w) => matches(said, w))) return effect;
  }
  return fromCan && food.adds.includes('salt') ? unsaid : null;
}

function matches(said: string, word: string): boolean {
  const at = said.indexOf(word);
  // "undrained" is not "drained"
  return (
    at >= 0 && !/[a-z]/.test(said[at - 1] ?? ' ') && !/\bnot $/.test(said.slice(Math.max(0, at - 4), at))
  );
}

/** Share of a package's printed weight that goes into the dish, where part of it is liquid. */
export function packageShare(food: Food): { factor: Three; says: string } | null {
  for (const rule of rules)
    if (rule.package && applies(rule, food)) return { factor: rule.package, says: rule.says };
  return null;
}

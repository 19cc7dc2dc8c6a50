import raw from '@content/compiled/preparations.json';
import type { Food } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
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
  const found: PreparationEffect[] = [];
  for (const rule of rules) {
    if (!rule.sodium || !applies(rule, food)) continue;
    const effect = { sodium: rule.sodium, says: rule.says, source: rule.source };
    if (rule.when.includes('')) unsaid = effect;
    else if (rule.when.some((w) => matches(said, w))) found.push(effect);
  }
  const [first] = found;
  // "one tin with its liquid, one drained": both are said, and it is between them
  const more = found.some((e) => e.sodium[1] > 1) && found.some((e) => e.sodium[1] <= 1);
  if (first && !(more && unsaid)) return first;
  if (first) return unsaid;
  return fromCan && food.adds.includes('salt') ? unsaid : null;
}

/** Kinds whose reference amount is a bowl rather than a spoon (21 CFR 101.12). */
const BY_THE_BOWL = new Set(['canned-bean', 'bean', 'vegetable', 'starch', 'stock', 'fruit']);
/** Most sodium of what is called "low", mg in 100 g: 140 mg in 125 g of what comes in tins. */
const LOW_MG = 112;

/**
 * What a claim of less salt leaves of a salted food's sodium, where no food of its own has the claim in its name:
 * "reduced" is a quarter less at least, "low" at most 140 mg in a serving (21 CFR 101.61(b); EU 1924/2006 asks for the
 * same quarter and for 120 mg in 100 g).
 *
 * @param as   the name that the food was found by
 * @param said the line's words
 */
export function claimEffect(food: Food, as: string, said: string): PreparationEffect | null {
  if (!food.adds.includes('salt') || !food.sodiumMg) return null;
  const words = tokens(said);
  const named = tokens(as);
  const claim = (['lowsalt', 'lesssalt'] as const).find((c) => words.includes(c) && !named.includes(c));
  if (!claim) return null;
  const usual = food.spans.sodiumMg?.[1] ?? food.sodiumMg;
  // a sauce that cooks call low is one with less: by the spoon the law's "low" is seldom met
  const low = claim === 'lowsalt' && BY_THE_BOWL.has(food.kind);
  const most = low ? LOW_MG / usual : 0.75;
  const high = Math.min(0.75, most);
  return {
    sodium: [Math.min(0.02, high), high * 0.8, high],
    says: low
      ? 'called low in sodium: at most 140 mg in a serving'
      : 'a claim of less salt leaves three quarters of the usual at most',
    source: '21 CFR 101.61(b)(4) and (6)',
  };
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

import type { ReadLine, ReadRecipe } from '@/core/read/types';
import { closenessOf, type SwapRow } from '@/core/swap/schema';

/** Foods of which a little less keeps the dish what it is. */
export const LESS_OF = new Set([
  'salt',
  'salty',
  'sugar',
  'syrup',
  'condiment',
  'nut',
  'seed',
  'nut-butter',
  'coconut',
  'avocado',
  'olive',
  'plant-dairy',
  'chocolate',
  'stock',
  'dried-fruit',
  'spice-blend',
  'meat-stand-in',
  'soy',
  'packet',
  'flax-chia',
  'alcohol',
]);
/** Foods of which more makes a lighter or starchier dish. */
export const MORE_OF = new Set(['starch', 'whole-grain', 'bean', 'vegetable', 'leaf', 'mushroom']);

type Keeps = SwapRow['keeps'];
const evenly = (n: number): Keeps => ({ taste: n, texture: n, look: n });

/** A change of amount, or of words, that no swap of the knowledge base holds; it keeps the food. */
export const amountSwap = (
  id: string,
  name: string,
  ratio: number,
  technique: string,
  keeps: number | Keeps,
  because: string,
): SwapRow => {
  const all = typeof keeps === 'number' ? evenly(keeps) : keeps;
  return {
    id,
    name,
    from: { kinds: [] },
    roles: ['any'],
    to: [{ food: 'same', text: '', ratio, by: 'weight' }],
    technique,
    cautions: [],
    keeps: all,
    because,
    minutes: 0,
    closeness: closenessOf(all),
    source: 'common practice',
  };
};

export const LESS: readonly SwapRow[] = [
  amountSwap(
    'less-quarter',
    'A quarter less',
    0.75,
    'Leave a quarter of it out and taste before serving.',
    { taste: 0.9, texture: 0.94, look: 0.98 },
    'hardly missed',
  ),
  amountSwap(
    'less-half',
    'Half as much',
    0.5,
    'Use half of it; put flavour back with acid, herbs, heat or browning.',
    { taste: 0.78, texture: 0.88, look: 0.95 },
    'still there, in the background',
  ),
  amountSwap(
    'less-most',
    'A quarter of it',
    0.25,
    'Use a quarter of it, for the accent; put flavour back with acid, herbs, heat or browning.',
    { taste: 0.58, texture: 0.75, look: 0.88 },
    'an accent where it was a voice',
  ),
];
export const MORE: readonly SwapRow[] = [
  amountSwap(
    'more-quarter',
    'A quarter more',
    1.25,
    'Add a quarter more of it, and a little more liquid if it thickens.',
    { taste: 0.92, texture: 0.92, look: 0.95 },
    'a little milder',
  ),
  amountSwap(
    'more-half',
    'Half as much again',
    1.5,
    'Add half as much again, and a little more liquid if it thickens.',
    { taste: 0.85, texture: 0.85, look: 0.9 },
    'milder and thicker',
  ),
];

/** Foods that can be missing from a dish that is not named after them. */
const ACCENTS = new Set([
  'salt',
  'salty',
  'condiment',
  'olive',
  'nut',
  'seed',
  'sugar',
  'syrup',
  'sweetener',
  'alcohol',
  'spice-blend',
  'plant-dairy',
  'solid-fat',
  'animal-fat',
  'chocolate',
]);
const AT_THE_END = /\b(?:to serve|serving|garnish|to finish|to top|for topping|sprinkl|scatter|drizzl)/i;

const leaving = (keeps: Keeps, because: string): SwapRow => ({
  ...amountSwap('leave-out', 'Leave it out', 1, 'Leave it out.', keeps, because),
  to: [],
});
const OPTIONAL = leaving({ taste: 0.92, texture: 0.95, look: 0.92 }, 'the recipe does without it');
const GARNISH = leaving({ taste: 0.75, texture: 0.75, look: 0.65 }, 'it comes on top of a finished dish');
const ACCENT = leaving({ taste: 0.4, texture: 0.65, look: 0.7 }, 'an accent is missing');

const SIDE_IN_METHOD = new Set([
  'plant-dairy',
  'animal',
  'condiment',
  'nut',
  'seed',
  'coconut',
  'refined-grain',
]);

/** Leaving out what only the method names and serves beside the dish: "serve with custard". */
export function sideOfMethod(read: Pick<ReadRecipe, 'steps'>, line: ReadLine): SwapRow | null {
  const { kind } = line.foods[0]?.food ?? {};
  if (line.origin !== 'method' || line.step === null || !SIDE_IN_METHOD.has(kind ?? '')) return null;
  const before = (read.steps[line.step]?.text ?? '').slice(0, line.span?.[0] ?? 0);
  const sentence = before.slice(Math.max(before.lastIndexOf('.'), before.lastIndexOf(';')) + 1);
  return /\b(?:serve|top|garnish|decorate|scatter|dollop|finish)/i.test(sentence) ? GARNISH : null;
}

/** Leaving a line out: what is optional, what comes on top, an accent; null where the dish would not stand without it. */
export function leaveOut(line: ReadLine): SwapRow | null {
  if (line.optional) return OPTIONAL;
  if (line.origin !== 'ingredients') return null;
  const { kind, waterG } = line.foods[0]?.food ?? {};
  // the measured grain of a section "to serve" is what the dish is eaten in
  if (/grain|starch/.test(kind ?? '') && (line.words?.foods[0]?.measures.length ?? 0) > 0) return null;
  // bread without an amount is eaten with the dish, not in it
  const bread = /grain/.test(kind ?? '') && (waterG ?? 0) > 20 && (waterG ?? 0) < 50;
  if (line.assumed || bread || AT_THE_END.test(`${line.line.text} ${line.line.section ?? ''}`))
    return GARNISH;
  return ACCENTS.has(kind ?? '') && line.foods.length === 1 ? ACCENT : null;
}

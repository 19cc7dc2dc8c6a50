import { densityOf } from '@/core/food/weigh';
import { millilitres, type MeasureSettings } from '@/core/measure/units';
import { readLine } from '@/core/read/line';
import type { ReadLine } from '@/core/read/types';
import { kitchenVolume, kitchenWeight, POURED, roundGrams } from './amount';

/** What amounts are written in: as the cook wrote them, weighed and in millilitres, or in US cups, pounds and ounces. */
export type UnitSystem = 'written' | 'metric' | 'us';

const IN_ML = new Set<string>([...POURED, 'oil', 'syrup', 'condiment']);
/** What US cooks buy by the pound, and do not measure by the cup. */
const BY_THE_POUND = new Set([
  'vegetable',
  'fruit',
  'leaf',
  'starch',
  'mushroom',
  'soy',
  'meat-stand-in',
  'wheat-protein',
  'avocado',
]);
/** A spoon is a spoon in both. */
const LEAST_ML = 25;
const SAME = 0.12;
const AMOUNT_FIRST = /^\s*(?:about |roughly |ca\.? )?[\d½⅓⅔¼¾⅛⅜⅝⅞]/;

const inMillilitres = (ml: number): string => {
  const step = ml >= 100 ? 10 : 5;
  const rounded = Math.round(ml / step) * step;
  return rounded >= 1000 ? `${Number((rounded / 1000).toFixed(2))} litres` : `${rounded} ml`;
};

/**
 * A line's words with its amount in another system; the words as they are where it counts pieces, goes by the spoon or
 * cannot be told exactly. What is written is read back, and stands only where the same food comes out of it in the same
 * amount: the original is never lost, this is a way of showing it.
 */
export function lineInUnits(line: ReadLine, system: UnitSystem, measures: MeasureSettings): string {
  const own = line.line.text;
  const words = line.words?.foods[0];
  const read = line.foods[0];
  if (system === 'written' || !words || !read?.food || !read.grams || line.foods.length > 1) return own;
  const [measure, ...more] = words.measures;
  const unit = measure?.unit;
  if (!measure || !unit || more.length > 0 || measure.each || !measure.stated) return own;
  const at = own.toLowerCase().indexOf(words.food);
  if (at <= 0 || !AMOUNT_FIRST.test(own.slice(0, at))) return own;
  const [low, best, high] = measure.quantity;
  if (low !== high) return own;
  const { food, grams } = read;
  let amount: string | null = null;
  if (unit.kind === 'mass' && unit.size) {
    const nominal = best * unit.size[1];
    const metric = unit.id === 'g' || unit.id === 'kg';
    if (system === 'metric') amount = metric ? null : `${roundGrams(nominal)} g`;
    else if (metric) {
      const density = BY_THE_POUND.has(food.kind) ? null : densityOf(food, nominal < 20 ? 'tsp' : 'cup');
      amount = density ? kitchenVolume(grams.best / density[1]) : kitchenWeight(nominal, true);
    }
  } else if (unit.kind === 'volume') {
    const ml = (millilitres(unit, measures)?.[1] ?? 0) * best;
    const metric = ['ml', 'dl', 'cl', 'l'].includes(unit.id);
    if (ml < LEAST_ML) return own;
    if (system === 'metric') {
      if (!metric) amount = IN_ML.has(food.kind) ? inMillilitres(ml) : `${roundGrams(grams.best)} g`;
    } else if (metric) amount = kitchenVolume(ml);
  }
  if (amount === null) return own;
  const next = `${amount} ${own.slice(at)}`;
  const again = readLine({ ...line.line, text: next }, { measures, corrections: {} }, 4);
  const got = again.foods[0];
  const same =
    again.foods.length === 1 &&
    got?.food?.id === food.id &&
    got.grams !== null &&
    Math.abs(got.grams.best / grams.best - 1) <= SAME;
  return same ? next : own;
}

import { remember } from '@/core/memo';
import { readUnit } from '@/core/measure/units';

/** A word of what is measured by eye: "drizzle", "pinch". */
export const isSaidByEye = remember((word: string): boolean => {
  const found = readUnit(word, word, 0);
  return found?.unit.kind === 'vague' && found.end === word.length;
});

/** A word of what is weighed or poured: "dessertspoon", "dl", "gms". */
const isOfScale = remember((word: string): boolean => {
  const found = word.length > 1 ? readUnit(word, word, 0) : null;
  return (found?.unit.kind === 'volume' || found?.unit.kind === 'mass') && found.end === word.length;
});

export const isMeasure = (word: string) =>
  isSaidByEye(word) ||
  isOfScale(word) ||
  /^(?:tbsps?|tsps?|tablespoons?|teaspoons?|t|cups?|mugs?|ml|l|litres?|liters?|g|kg|oz|lbs?|pounds?|ounces?|grams?|kilos?|pints?|fistfuls?|scoops?|blobs?|lumps?|bulbs?|wedges?|scrapings?|twists?|ladles?|ladlefuls?|glassfuls?|scatterings?|dustings?|cans?|tins?|jars?|packets?|packs?|bags?|blocks?|cloves?|slices?|sprigs?|bunch(?:es)?|sticks?|cubes?|sachets?|pouch(?:es)?|punnets?|bottles?|rashers?|cartons?|heads?|heels?|doorsteps?|hunks?|wodges?|thumbs?|heaped|heaping|level|small|large|medium|big)$/.test(
    word,
  );

/** What is measured in, and not by eye. */
export const SPOONS =
  /^(?:tbsps?|tsps?|t|(?:table|tea)spoons?|cups?|ml|g|kg|oz|litres?|pints?|tins?|cans?|jars?|packets?|slices?)$/;

/** Words of how a food is, beside its amount. */
export const STATES = new Set([
  'cooked',
  'dry',
  'dried',
  'raw',
  'uncooked',
  'drained',
  'frozen',
  'canned',
  'tinned',
  'wholemeal',
  'wholewheat',
  'wholegrain',
  'brown',
  'unsalted',
  'unsweetened',
  'each',
  'pp',
  'apiece',
]);
/** What is made of something else that is named: "croutons from 2 slices of bread". */
export const MADE_FROM: ReadonlySet<string> = new Set([
  'crouton',
  'breadcrumb',
  'crumb',
  'toast',
  'chip',
  'wedge',
  'crisp',
]);

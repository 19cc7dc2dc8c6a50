import { ADDED_KINDS, FAT_KINDS, RICH_KINDS } from '@/core/food/kind-groups';

export const FATS = new Set<string>(FAT_KINDS);

/** Kinds whose second amount in the method is more of it, not the same said again in another state. */
export const COUNTS = new Set<string>([
  ...ADDED_KINDS,
  ...RICH_KINDS,
  'seed',
  'stock',
  'condiment',
  'plant-dairy',
  'plant-milk',
  'juice',
]);

/** Kinds of which a little that nobody measured matters to no limit. */
export const HARMLESS = new Set(['vegetable', 'leaf', 'herb', 'mushroom', 'spice', 'water', 'acid', 'fruit']);

/** What a pan is called that has no fat in it, and what else may be in it. */
export const OTHER_MEDIUM = new Set([
  'dry',
  'water',
  'stock',
  'broth',
  'wine',
  'vinegar',
  'juices',
  'juice',
  'aquafaba',
  'passata',
  'nonstick',
  'ungreased',
  'milk',
  'parchment',
  'paper',
]);

export const MORE = new Set(['more', 'extra', 'another', 'further', 'additional', 'again']);

export const TASTING = new Set([
  'taste',
  'adjust',
  'check',
  'correct',
  'again',
  'well',
  'generously',
  'aggressively',
  'liberally',
  'needed',
  'more',
]);

export const LEAVES_FILM = new Set([
  'brush',
  'grease',
  'wipe',
  'line',
  'coat',
  'spray',
  'rub',
  'oil',
  'butter',
]);

/** What a title or heading promises that a limit looks at: a food itself, not the dish it is the name of. */
export const PROMISED = new Set([
  ...FATS,
  'nut',
  'nut-butter',
  'coconut',
  'olive',
  'avocado',
  'animal',
  'chocolate',
]);

/** Kinds that a limit on whole grain looks at, by any amount. */
export const REFINED = new Set(['refined-grain', 'meat-stand-in', 'wheat-protein', 'flax-chia', 'seed']);

export const CRUSTS = new Set(['pastry', 'crust', 'crumble', 'topping', 'crouton', 'breadcrumb']);

/** What cooks make of other foods and call by the dairy word. */
export const DAIRY = new Set(['cream', 'milk', 'butter', 'cheese', 'yoghurt', 'egg']);

/** "sweets" are food, "sweet" is how it tastes. */
export const PLURAL_FOODS = new Set(['sweet', 'crisp']);

export const MEASURED_BY = new Set([
  'clove',
  'head',
  'stick',
  'stalk',
  'leaf',
  'sprig',
  'bunch',
  'cube',
  'block',
  'can',
  'ear',
  'half',
]);

export const YIELDS = new Set(['makes', 'serves', 'yields', 'yield', 'feeds', 'enough', 'make']);

export const BIBLIOGRAPHIC = new Set([
  'author',
  'by',
  'course',
  'cuisine',
  'category',
  'keywords',
  'keyword',
  'tags',
  'photo',
  'adapted',
  'source',
  'calories',
  'diet',
  'level',
]);

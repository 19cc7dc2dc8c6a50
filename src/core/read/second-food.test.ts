import { isOpen, soupWith } from './told-soup';

/** Rows of a food that brings no fat, salt or sugar. */
const FIRST = [
  '1 tin chickpeas',
  '3 leeks, sliced',
  'lentils 200 g',
  'a handful of parsley',
  '200 g kale',
  'thyme',
];
const JOINTS = [
  ' + ',
  ' plus ',
  ' and ',
  ', ',
  ' & ',
  '; ',
  ', and ',
  ', plus ',
  '. ',
  ' (',
  ' – ',
  ' / ',
  ', also ',
  ', then ',
];
/** What stands behind it on the same row, with an amount or without. */
const SECOND: readonly (readonly [
  string,
  (f: { id: string; kind: string; kindClass?: string | undefined }) => boolean,
])[] = [
  ...['oil', 'some oil', '1 tbsp oil', 'a glug of oil', 'oil 1 tbsp'].map(
    (said) => [said, (f: { kindClass?: string | undefined }) => f.kindClass === 'oil'] as const,
  ),
  ...['tahini', '2 tbsp tahini', 'some tahini', 'a spoonful of tahini'].map(
    (said) => [said, (f: { id: string }) => f.id === 'tahini'] as const,
  ),
  ...['walnuts', '30 g walnuts', 'a handful of walnuts', 'walnuts, a few'].map(
    (said) => [said, (f: { id: string }) => f.id === 'walnut'] as const,
  ),
  ...['salt', 'a pinch of salt', '1 tsp salt'].map(
    (said) => [said, (f: { kind: string }) => f.kind === 'salt'] as const,
  ),
  ...['sugar', '2 tsp sugar', 'a spoonful of sugar'].map(
    (said) => [said, (f: { id: string }) => f.id === 'sugar'] as const,
  ),
];

test.each(SECOND)('%s behind another food of its row is counted', (second, isIt) => {
  const lost: string[] = [];
  for (const first of FIRST)
    for (const joint of JOINTS) {
      const row = `${first}${joint}${second}${joint === ' (' ? ')' : ''}`;
      const recipe = soupWith(row);
      const foods = recipe.lines.flatMap((l) => [...l.foods, ...l.alternatives]);
      if (!isOpen(recipe) && !foods.some(({ food }) => food !== null && isIt(food))) lost.push(row);
    }
  expect(lost).toEqual([]);
});

test.each([
  ['300 ml milk (almond)', 'almond'],
  ['2 tbsp almond butter (almonds, nothing else)', 'almond'],
  ['6 dates (instead of sugar)', 'sugar'],
  ['1 tin beans, no sugar', 'sugar'],
  ['500 g potatoes – salt the water later, or not', 'sugar'],
  ['1 tbsp miso – that’s the salt', 'salt'],
  ['1 lemon, for the tahini', 'tahini'],
  ['2 tbsp red curry paste (ours has 1.1 g salt a spoon)', 'salt'],
])('%s: what only says which one, or is refused, is none', (row, id) => {
  const foods = soupWith(row).lines.flatMap((l) => l.foods);
  expect(foods.filter((f) => f.food?.id === id)).toEqual([]);
});

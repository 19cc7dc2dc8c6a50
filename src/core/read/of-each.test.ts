import { isOpen, soupWith } from './told-soup';

const NAMES: readonly (readonly [string, string, string, string])[] = [
  ['avocado', 'avocado', 'lime', 'lime'],
  ['red pepper', 'red-pepper', 'onion', 'onion'],
  ['carrot', 'carrot', 'avocado', 'avocado'],
];
const FRAMES = [
  '1 each A, B',
  '1 each A and B',
  'one each: A, B',
  'one each of A and B',
  '1 of each: A, B',
  'A and B, one each',
  'A + B: one each',
  'A, B: 1 of each',
  'A & B - 1 each, chopped',
  'A and B (1 each)',
];

test.each(FRAMES)('"%s" is one of each food, and none is lost', (frame) => {
  const wrong: string[] = [];
  for (const [a, idA, b, idB] of NAMES) {
    const row = frame.replace('A', a).replace('B', b);
    const recipe = soupWith(row);
    const foods = recipe.lines.flatMap((l) => l.foods);
    const one = (id: string) =>
      foods.filter((f) => f.food?.id === id).reduce((s, f) => s + (f.grams?.high ?? Infinity), 0);
    const most = (id: string) =>
      soupWith(`1 ${id === idA ? a : b}`)
        .lines.flatMap((l) => l.foods)
        .filter((f) => f.food?.id === id)
        .reduce((s, f) => s + (f.grams?.high ?? Infinity), 0);
    for (const id of [idA, idB])
      if (isOpen(recipe) || one(id) !== most(id) || one(id) === 0)
        wrong.push(`${row}: ${id} ${one(id)}, not ${most(id)}`);
  }
  expect(wrong).toEqual([]);
});

const AMOUNTS = ['1 tbsp', '2 tbsp', 'a teaspoon', 'a handful', 'half a cup'];
const OF_THREE = [
  'A, B and C - MANY of each',
  'A, B and C: MANY of each',
  'A, B and C (MANY of each)',
  'A, B, C, MANY of each',
  'A + B + C, MANY each',
  'equal parts A, B and C, MANY of each',
];
test.each(OF_THREE)('"%s" is so much of each in all, and not for each who eats', (frame) => {
  const wrong: string[] = [];
  for (const amount of AMOUNTS) {
    const names = ['walnuts', 'pumpkin seeds', 'raisins'];
    const row = names
      .reduce((said, name, i) => said.replace('ABC'.charAt(i), name), frame)
      .replace('MANY', amount);
    const recipe = soupWith(row);
    const foods = recipe.lines.flatMap((l) => l.foods);
    for (const name of names) {
      const alone = soupWith(`${amount} ${name}`).lines[1]?.foods[0];
      const found = foods.filter((f) => f.food?.id === alone?.food?.id);
      const high = found.reduce((s, f) => s + (f.grams?.high ?? Infinity), 0);
      if (high !== alone?.grams?.high) wrong.push(`${row}: ${name} ${high}, not ${alone?.grams?.high}`);
    }
  }
  expect(wrong).toEqual([]);
});

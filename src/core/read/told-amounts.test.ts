import { highOf, isOpen, soupWith } from './told-soup';

const read = (told: string) => soupWith('', told);

const FOODS = [
  ['tahini', 'tahini'],
  ['salt', 'salt'],
  ['olive oil', 'olive-oil'],
  ['maple syrup', 'maple-syrup'],
  ['tamari', 'tamari'],
] as const;
const AMOUNTS = ['2 tbsp', 'a tablespoon of', 'half a teaspoon of', '30 g', 'two teaspoons of', '1½ tbsp'];

/** Ways to tell that foods go in; each is given two. */
const TELLS: readonly ((a: string, b: string) => string)[] = [
  (a, b) => `${a} and ${b} go in.`,
  (a, b) => `In go ${a} and ${b}.`,
  (a, b) => `Then ${a}, then ${b}.`,
  (a, b) => `Off the heat, ${a} and ${b}.`,
  (a, b) => `I put in ${a}, and ${b} as well.`,
  (a, b) => `We like ${a} in it, and ${b}.`,
  (a, b) => `It wants ${a} and about ${b} at the end.`,
  (a, b) => `It takes ${a}; ${b} too.`,
  (a, b) => `${a} is whisked in with ${b}.`,
  (a, b) => `${a} gets stirred through at the end, with ${b}.`,
  (a, b) => `Whisk ${a} into ${b} and pour it over.`,
  (a, b) => `Loosen ${a} with ${b}, then stir it through.`,
  (a, b) => `Finish it with ${a} – and ${b}.`,
  (a, b) => `Dressing: ${a}, ${b}, a squeeze of lemon.`,
  (a, b) => `For the top, ${a} mixed with ${b}.`,
  (a, b) => `While that is on, mix ${a} and ${b} in a cup.`,
  (a, b) => `When it is soft add ${a}, plus ${b}.`,
  (a, b) => `Don't forget ${a} and ${b}.`,
  (a, b) => `You need ${a} and ${b} at this point.`,
  (a, b) => `My trick is ${a} and ${b} right at the end.`,
  (a, b) => `What makes it is ${a} with ${b}.`,
  (a, b) => `The sauce is just ${a} and ${b}.`,
  (a, b) => `So: ${a} in, ${b} in, lid on.`,
  (a, b) => `(${a} and ${b} go in here.)`,
  (a, b) => `Not much else, ${a} and ${b}.`,
  (a, b) => `No stock in this, just ${a} and ${b}.`,
  (a, b) => `Instead of stock, ${a} and ${b}.`,
  (a, b) => `I don't use stock, I use ${a} and ${b}.`,
  (a, b) => `Some people add stock; I add ${a} and ${b}.`,
  (a, b) => `The book says stock, but it's ${a} and ${b} here.`,
  (a, b) => `I used to use stock. Now it's ${a} and ${b}.`,
  (a, b) => `Taste it before ${a} and ${b} go in.`,
  (a, b) => `Once cool, ${a} and ${b} to dress it.`,
  (a, b) => `Blitz half of it with ${a} and ${b}.`,
  (a, b) => `The secret? ${a} and ${b}.`,
];

const told = TELLS.flatMap((tell, i) =>
  [0, 1, 2].map((k) => {
    const pick = (n: number) => {
      const [food, id] = FOODS[(i + n + 2 * k) % FOODS.length] as readonly [string, string];
      return { id, says: `${AMOUNTS[(i + 3 * n + k) % AMOUNTS.length]} ${food}` };
    };
    const both = [pick(0), pick(1)] as const;
    const says = tell(both[0].says, both[1].says);
    return { says: says.charAt(0).toUpperCase() + says.slice(1), both };
  }),
);

const SHORT = ['2 tbsp', 'a tablespoon', 'half a teaspoon', '30 g', 'two teaspoons', 'about 1½ tbsp'];
/** Ways to name a food before its amount, or apart from it. */
const NAMES_FIRST: readonly ((food: string, amount: string) => string)[] = [
  (f, a) => `${f}, ${a}, goes in now.`,
  (f, a) => `${f} goes in, ${a}.`,
  (f, a) => `As for ${f}, ${a}.`,
  (f, a) => `${f}: I go with ${a}.`,
  (f, a) => `${f}? ${a}.`,
  (f, a) => `${f} – ${a} – goes in now.`,
  (f, a) => `The ${f} (${a}) goes in.`,
  (f, a) => `Stir in the ${f}, ${a} of it.`,
  (f, a) => `Of ${f} it gets ${a}.`,
  (f, a) => `There's ${f} in it, ${a}.`,
  (f, a) => `Then the ${f}: ${a}.`,
  (f, a) => `Add ${f} (I use ${a}).`,
  (f, a) => `Add ${f}. ${a} is what I use.`,
  (f, a) => `Add ${f}, not more than ${a}.`,
  (f, a) => `Add ${f} to taste, ${a} here.`,
  (f, a) => `Add ${f} – you want ${a}.`,
  (f, a) => `${f} next. ${a} does it.`,
  (f, a) => `Now ${f}. I put ${a}.`,
  (f, a) => `${a} goes in of ${f}.`,
];
const named = NAMES_FIRST.flatMap((tell, i) =>
  [0, 1, 2, 3].map((k) => {
    const [food, id] = FOODS[(i + k) % FOODS.length] as readonly [string, string];
    const amount = SHORT[(i + 2 * k) % SHORT.length] ?? '';
    const says = tell(food, amount);
    return { says: says.charAt(0).toUpperCase() + says.slice(1), id, one: `${amount} ${food}` };
  }),
);

test.each(named)('a food named apart from its amount: $says', ({ says, id, one }) => {
  const recipe = read(says);
  if (isOpen(recipe)) return;
  expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read(`Stir in ${one}.`), id) * 0.95);
});

describe('no amount that a sentence tells is lost or counted for less', () => {
  test.each(told)('$says', ({ says, both }) => {
    const recipe = read(says);
    if (isOpen(recipe)) return;
    for (const { id, says: one } of both)
      expect([id, highOf(recipe, id) >= highOf(read(`Stir in ${one}.`), id) * 0.95]).toEqual([id, true]);
  });

  test('and most of them are understood', () => {
    expect(told.filter(({ says }) => isOpen(read(says))).length / told.length).toBeLessThan(0.1);
  });
});

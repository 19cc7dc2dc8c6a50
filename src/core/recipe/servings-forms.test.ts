import { parseRecipe } from './parse';

const WORDS: Readonly<Record<number, string>> = { 2: 'two', 3: 'three', 4: 'four', 6: 'six' };
/** Ways to say for how many a dish is, none of which feeds more than it says. */
const SAYS: readonly ((n: string) => string)[] = [
  (n) => `Serves ${n}`,
  (n) => `serves ${n} generously`,
  (n) => `Serves ${n} with leftovers for nobody`,
  (n) => `for ${n}`,
  (n) => `(for ${n})`,
  (n) => `For ${n} hungry people`,
  (n) => `feeds ${n}`,
  (n) => `Feeds ${n} of us`,
  (n) => `does ${n}`,
  (n) => `this does ${n} of us`,
  (n) => `enough for ${n}`,
  (n) => `makes ${n} portions`,
  (n) => `${n} portions`,
  (n) => `${n} big bowls`,
  (n) => `${n} plates`,
  (n) => `Yield: ${n} servings`,
  (n) => `Servings: ${n}`,
  (n) => `${n} of us`,
  (n) => `there's ${n} of us`,
  (n) => `we are ${n}`,
  (n) => `supper for ${n}`,
  (n) => `dinner for ${n}, 40 minutes`,
  (n) => `${n} people | 30 min`,
  (n) => `${n} ppl`,
  (n) => `serves ${n}, 350 kcal each`,
  (n) => `Serves ${n} (freezes well)`,
  (n) => `Serves ${n}. Takes 45 minutes.`,
  (n) => `Serves ${n}, takes 45 minutes, 2 pans`,
  (n) => `Takes 45 minutes, feeds ${n}`,
  (n) => `45 min, serves ${n}`,
  (n) => `feeds the ${n} of us`,
  (n) => `just enough for ${n}`,
  (n) => `goes round ${n}`,
  (n) => `${n} dinners`,
  (n) => `${n} lunches`,
  (n) => `${n} for breakfast`,
  (n) => `${n} for brekkie`,
  (n) => `family of ${n}`,
  (n) => `for a table of ${n}`,
  (n) => `us ${n}`,
  (n) => `cooks for ${n}`,
  (n) => `${n} easily`,
  (n) => `${n} for the rota`,
];
const HEAD = 'Carrot soup';
const LIST = '450 g carrots\n1 litre water\n2 tbsp tahini';
const METHOD = 'Boil the carrots for 20 minutes and blend with the tahini.';
/** Where it may stand. */
const PLACES: readonly (readonly [string, (said: string) => string])[] = [
  ['below the title', (said) => `${HEAD}\n${said}\n\n${LIST}\n\n${METHOD}\n`],
  ['in the title', (said) => `${HEAD} (${said.replace(/^\(|\)$/g, '')})\n\n${LIST}\n\n${METHOD}\n`],
  ['below the method', (said) => `${HEAD}\n\n${LIST}\n\n${METHOD}\n\n${said}\n`],
  [
    'behind the method',
    (said) => `${HEAD}\n\n${LIST}\n\n${METHOD} ${said.charAt(0).toUpperCase()}${said.slice(1)}.\n`,
  ],
];

describe('no dish feeds more than it says', () => {
  const all = SAYS.flatMap((say) =>
    [2, 4, 6].flatMap((n, i) =>
      PLACES.map(([place, put]) => ({ said: say(i % 2 ? (WORDS[n] ?? '') : String(n)), n, place, put })),
    ),
  );
  test.each(all)('$said, $place', ({ said, n, put }) => {
    const { servings, lines } = parseRecipe(put(said));
    if (servings) expect(servings.range.high).toBeLessThanOrEqual(n);
    // and what it says is no food
    expect(lines.map((l) => l.text).join('\n')).toBe(LIST);
  });

  test('and most of them are understood', () => {
    const known = all.filter(({ said, n, put }) => parseRecipe(put(said)).servings?.range.best === n);
    expect(known.length / all.length).toBeGreaterThan(0.9);
  });
});

/** Meals for so many, and slices of a loaf: as many plates as they come to. */
test.each([
  ['two dinners for two', 4, 4],
  ['2 nights for 2', 4, 4],
  ['3 lunches for me', 3, 3],
  ['serves me twice', 2, 2],
  ['just me, two nights running', 2, 2],
  ['does me three days', 3, 3],
  ['six of us, sometimes seven', 6, 7],
  ['3, at a push 4', 3, 4],
  ['does four with leftovers for one', 4, 5],
  ['One loaf = 16 slices, we count 2 a person', 8, 8],
  ['1 loaf, 16 slices, 2 pp', 8, 8],
  ['A loaf is 12 slices, two each', 6, 6],
  ['makes 500 g = 10 servings of 50 g', 10, 10],
  ['12 servings (1 cup each)', 12, 12],
  ['6 portions (350 g each)', 6, 6],
  ['fills 4 jars, a jar does 4', 16, 16],
  ['makes 3 tubs, each does 2', 6, 6],
  ['does us two nights, three of us', 6, 6],
  ['12 squares (I cut it in 9!)', 9, 12],
  ['serves me & him + lunchbox', 3, 3],
  ['fills the 1 litre jar (about 10 breakfasts of 45g)', 10, 10],
  ['feeds four, or three if we are hungry', 3, 4],
] as const)('%s', (said, low, high) => {
  for (const [, put] of PLACES) {
    const { servings } = parseRecipe(put(said));
    expect(servings && [servings.range.low, servings.range.high]).toEqual([low, high]);
  }
});

/** Pieces by the number that each eats, one digit or two: so many plates, whatever the words between. */
describe('pieces over pieces each', () => {
  const SAID = [
    'makes N, M each',
    'makes N dumplings, M each',
    'makes N (M per person)',
    'makes Nish, M each',
    'makes N, we eat M each',
    'makes about N (we count M each as dinner)',
    'N of them, we eat M each',
    'about N, M per person',
    'makes N, M each and one over',
  ];
  const cases = SAID.flatMap((said) =>
    [2, 3, 5, 8, 10, 12].flatMap((each) => [2, 3, 4].map((plates) => ({ said, each, plates }))),
  );
  test.each(cases)('$said: $each each for $plates', ({ said, each, plates }) => {
    const words = said.replace('N', String(each * plates)).replace('M', String(each));
    const read = parseRecipe(`Soup\n${words}\n\n500 g leeks\n300 g carrots\n\nSimmer it all.`).servings;
    expect(read && 'range' in read ? read.range : null).toEqual({ low: plates, best: plates, high: plates });
  });
});

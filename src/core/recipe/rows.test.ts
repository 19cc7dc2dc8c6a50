import { headingOf, isBareSection, META, sectionName } from './heading';
import { splitInline } from './inline';
import { ingredientScore, startsAsStep, startsWithAmount, startsWithMeasure } from './score';
import { linesOf, stretchOf } from './source';

describe('rows of a text', () => {
  test('carry their places, with any line end', () => {
    const text = 'a\nbb\r\n\nccc';
    const rows = [...linesOf(text)];
    expect(rows.map((r) => r.text)).toEqual(['a', 'bb', '', 'ccc']);
    for (const r of rows) expect(text.slice(r.start, r.start + r.text.length)).toBe(r.text);
  });
  test('without their marks, still in place', () => {
    const text = 'x\n  - [ ] 2 onions  ';
    const row = [...linesOf(text)][1];
    if (!row) throw new Error('no row');
    const stretch = stretchOf(row);
    expect(stretch).toMatchObject({ text: '2 onions', marked: true, numbered: false });
    expect(text.slice(stretch.start, stretch.end)).toBe('2 onions');
  });
});

describe('headings', () => {
  test.each<[string, string | null]>([
    ['Ingredients', 'ingredients'],
    ['## Ingredients (serves 4)', 'ingredients'],
    ['INGREDIENTS:', 'ingredients'],
    ['You will need', 'ingredients'],
    ['Method', 'method'],
    ['**Instructions:**', 'method'],
    ['Directions', 'method'],
    ['How to make it', 'method'],
    ['Notes', 'notes'],
    ["Cook's notes", 'notes'],
    ['For the sauce:', 'section'],
    ['For the dressing', 'section'],
    ['FOR THE TOPPING', 'section'],
    ['### To serve', 'section'],
    ['2 onions', null],
    ['Chop the onions.', null],
    ['salt', null],
  ])('%s', (row, kind) => {
    expect(headingOf(row)?.kind ?? null).toBe(kind);
  });
  test('words behind the colon stay a list', () => {
    expect(headingOf('For the dressing: 2 tbsp tahini, juice of 1 lemon')).toMatchObject({
      kind: 'section',
      rest: '2 tbsp tahini, juice of 1 lemon',
    });
  });
  test('what is shouted is said', () => {
    expect(sectionName('FOR THE TOPPING')).toBe('For the topping');
    expect(sectionName('For the Sauce')).toBe('For the Sauce');
  });
  test('a word alone above a list heads it; a food above a list does not', () => {
    const next = { text: '- 1 kg plums', start: 0, end: 0 };
    expect(isBareSection({ text: 'Filling', marked: false }, true, next)).toBe(true);
    expect(isBareSection({ text: 'Salt', marked: false }, true, next)).toBe(false);
    expect(isBareSection({ text: 'Filling', marked: false }, false, next)).toBe(false);
  });
  test.each([
    'Prep time: 10 min',
    'Cook: 20 min',
    'Total time: 1 h',
    'Author: somebody',
    'Ready in 30 minutes',
    'Calories: 300',
  ])('%s is about the recipe', (row) => {
    expect(META.test(row)).toBe(true);
  });
});

describe('ingredient or step', () => {
  test.each([
    '2 onions, chopped',
    '½ tsp salt',
    'a pinch of nutmeg',
    'juice of 1 lemon',
    'salt and pepper',
    'olive oil, for drizzling',
    '1 (400 g) can tomatoes',
    'handful of basil',
  ])('%s is an ingredient', (row) => {
    expect(ingredientScore(row, false)).toBeGreaterThan(1);
  });
  test.each([
    'Heat the oven to 200 °C.',
    'Add the onions and stir until soft.',
    'Meanwhile, bring a large pot of water to the boil.',
    'Simmer for 20 minutes, then blend until smooth and season.',
  ])('%s is a step', (row) => {
    expect(ingredientScore(row, false)).toBeLessThan(-1);
    expect(startsAsStep(row)).toBe(true);
  });
  test('amounts and measures at the start', () => {
    expect(startsWithAmount('2 onions')).toBe(true);
    expect(startsWithAmount('about 200 g oats')).toBe(true);
    expect(startsWithAmount('onions')).toBe(false);
    expect(startsWithMeasure('2 tbsp oil')).toBe(true);
    expect(startsWithMeasure('Two-bean stew')).toBe(false);
  });
});

describe('a list on one row', () => {
  const texts = (row: string, listed = false) => splitInline(row, 0, listed).map((p) => p.text);
  test.each<[string, boolean, string[]]>([
    ['2 onions, 3 carrots, 1 tin tomatoes', false, ['2 onions', '3 carrots', '1 tin tomatoes']],
    ['2 onions, finely chopped', false, ['2 onions, finely chopped']],
    ['2 onions, 1 finely chopped and 1 sliced', false, ['2 onions, 1 finely chopped and 1 sliced']],
    [
      '1 onion, 2 carrots, 2 sticks celery all finely chopped',
      false,
      ['1 onion', '2 carrots', '2 sticks celery all finely chopped'],
    ],
    ['2 tbsp tahini, juice of 1 lemon, salt', true, ['2 tbsp tahini', 'juice of 1 lemon', 'salt']],
    ['1 can (400 g, drained) beans, 1 onion', false, ['1 can (400 g, drained) beans', '1 onion']],
    ['bay leaf, thyme', false, ['bay leaf', 'thyme']],
    ['milk, soy', false, ['milk, soy']],
    ['basil', false, ['basil']],
  ])('%s', (row, listed, expected) => expect(texts(row, listed)).toEqual(expected));
  test('pieces keep their places', () => {
    const row = '2 onions, 3 carrots';
    for (const p of splitInline(row, 10, false)) expect(row.slice(p.start - 10, p.end - 10)).toBe(p.text);
  });
});

import { parseRecipe } from './parse';
import { readServings } from './servings';
import { platesOfPieces } from './servings-told';

const linesOf = (rows: string) => parseRecipe(rows).lines.map((l) => l.text);
const LIST = ['320 g wholewheat orzo', '1 onion', '2 garlic', '900 ml stock', '200 g frozen peas'];

describe('a list that ends without a heading', () => {
  const STEPS = [
    'onion and garlic in a splash of stock till soft 6-7 min',
    'orzo in, stock in, lid on, 10 min stirring',
    'peas last 3 minutes',
  ];
  test('rows that tell times and places are the method', () => {
    const recipe = parseRecipe(`Orzo\nServes 4\n\n${LIST.join('\n')}\n\n${STEPS.join('\n')}\n`);
    expect(recipe.lines.map((l) => l.text)).toEqual(LIST);
    expect(recipe.steps.map((s) => s.text)).toEqual(STEPS);
  });

  test.each([
    [['soy sauce', 'fresh ginger, grated', 'lime']],
    [['saffron in 3 tbsp warm soya milk', 'handful of cashews']],
    [['2 tbsp soy sauce', '1 tsp cornflour']],
  ])('a second list stays one: %j', (second) => {
    const found = linesOf(`Orzo\nServes 4\n\n${LIST.join('\n')}\n\n${second.join('\n')}\n`);
    expect(found.slice(0, LIST.length)).toEqual(LIST);
    expect(found).toContain(second[0]);
  });
});

describe('rows that hold more than one thing', () => {
  test.each([
    ['Protein: half a block of firm tofu', ['half a block of firm tofu']],
    ['3 leeks. 1 stick celery. 2 cloves garlic.', ['3 leeks', '1 stick celery', '2 cloves garlic']],
    ['dressing (2 tbsp oil, 1 tbsp vinegar)', ['2 tbsp oil', '1 tbsp vinegar']],
    [
      'lemon tahini - 2 tbsp tahini / juice of a lemon / 4 tbsp water',
      ['2 tbsp tahini', 'juice of a lemon', '4 tbsp water'],
    ],
    [
      'Rice 1 cup (short grain brown), water 10 cups, dried shiitake 6',
      ['Rice 1 cup (short grain brown)', 'water 10 cups', 'dried shiitake 6'],
    ],
    ['100 g oats, half of them blitzed to flour', ['100 g oats, half of them blitzed to flour']],
    [
      '1 tbsp tomato purée, square of 85% chocolate (10 g), the beans',
      ['1 tbsp tomato purée', 'square of 85% chocolate (10 g)'],
    ],
    ['60 g almond butter. Book says 120, I halved it', ['60 g almond butter']],
  ])('%s', (row, wanted) => {
    expect(linesOf(`Pot\nServes 4\n\n500 g potatoes\n${row}\n\nMethod\nCook.`).slice(1)).toEqual(wanted);
  });

  test.each([
    'For Arne: swap the pecans for pumpkin seeds, 30 g also.',
    '[2 tbsp olive oil in the original - I dry toast the seeds]',
    'Notes - it freezes, I doubled the almonds once (100 g)',
  ])('told beside the list: %s', (row) => {
    expect(linesOf(`Pot\nServes 4\n\n500 g potatoes\n30 g pecans\n${row}\n`)).toEqual([
      '500 g potatoes',
      '30 g pecans',
    ]);
  });
});

describe('plates', () => {
  const servings = (text: string) => {
    const found = readServings(text);
    return found && 'range' in found ? [found.range.low, found.range.high] : null;
  };
  test.each([
    ['Serves 6 with rice or 2 rotis a person', [6, 6]],
    ['Serves 4 or 6 as a side', [4, 6]],
    ['makes 1 loaf, 8 slices, 2 slices each', [4, 4]],
    ['makes 12 minis, allow 3 per person', [4, 4]],
  ])('%s', (text, wanted) => expect(servings(text)).toEqual(wanted));

  test.each([
    ['Makes about 10 small; 3 is a portion, 4 if you are Ewan.', [10 / 3, 10 / 3]],
    ['A serving = 2.', [5, 5]],
    ['10 in all, two for a serving', [5, 5]],
  ])('pieces: %s', (text, wanted) => {
    const ten = readServings('makes 10');
    if (!ten || !('range' in ten)) throw new Error('ten are ten');
    const { range } = platesOfPieces(ten, [text]);
    expect(range.low).toBeCloseTo(wanted[0] ?? 0, 6);
    expect(range.high).toBeCloseTo(wanted[1] ?? 0, 6);
  });

  test.each([
    ['3 plates or 4 small', [3, 4]],
    ['Six helpings.', [6, 6]],
    ['Makes loads - 6 of us.', [6, 6]],
  ])('at the end: %s', (row, wanted) => {
    const { servings: found } = parseRecipe(
      `Pot\n\n500 g potatoes\n1 onion\n2 carrots\n\nMethod\nBoil for 10 minutes.\n${row}`,
    );
    expect([found?.range.low, found?.range.high]).toEqual(wanted);
  });
});

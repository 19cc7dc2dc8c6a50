import { parseRecipe } from './parse';
import { readServings } from './servings';

const servings = (line: string) => {
  const s = readServings(line);
  return s === null ? null : 'problem' in s ? 'problem' : [s.range.low, s.range.high];
};

describe('servings', () => {
  test.each<[string, [number, number] | null | 'problem']>([
    ['Serves 4–6', [4, 6]],
    ['serves 4 to 6', [4, 6]],
    ['Serves: 4', [4, 4]],
    ['makes 8', [8, 8]],
    ['Makes 12 muffins', [12, 12]],
    ['for two, three at a pinch', [2, 3]],
    ['For four, perhaps six', [4, 6]],
    ['Feeds four hungry people', [4, 4]],
    ['Yield: 6 servings', [6, 6]],
    ['Yields about 10 portions', [10, 10]],
    ['4 servings', [4, 4]],
    ['6-8 people', [6, 8]],
    ['Serves 4 (or 6 as a side)', [4, 6]],
    ['Prep 10 min | Cook 20 min | Serves 4', [4, 4]],
    ['Makes 1 loaf', [8, 14]],
    ['makes 3 cups', null],
    ['Makes 24 (12 servings)', [12, 12]],
    ['2 greedy people, or 3', [2, 3]],
    ['serves 0', 'problem'],
    ['Serves 50000', 'problem'],
    ['Ready in 30 minutes', null],
    ['serve with rice', null],
    ['for 10 minutes', null],
    ['2 tbsp oil', null],
  ])('%s', (line, expected) => {
    expect(servings(line)).toEqual(expected);
  });
});

const HEADED = `# Two-bean pot

Serves 4–6

## Ingredients

- 2 tbsp olive oil
- 1 onion, chopped

### For the sauce

- 1 cup passata

## Method

1. Heat the oil and soften the onion.
2. Pour over the sauce.

## Notes

Freezes well for 3 months.
`;

describe('taking a recipe apart', () => {
  test('with headings', () => {
    const r = parseRecipe(HEADED);
    expect(r.title).toBe('Two-bean pot');
    expect(r.servings?.range).toEqual({ low: 4, best: 5, high: 6 });
    expect(r.lines.map((l) => [l.section, l.text])).toEqual([
      [null, '2 tbsp olive oil'],
      [null, '1 onion, chopped'],
      ['For the sauce', '1 cup passata'],
    ]);
    expect(r.steps.map((s) => s.text)).toEqual([
      'Heat the oil and soften the onion.',
      'Pour over the sauce.',
    ]);
    expect(r.notes.map((n) => n.text)).toContain('Freezes well for 3 months.');
  });

  test('positions point into the text', () => {
    const r = parseRecipe(HEADED);
    for (const part of [...r.lines, ...r.steps]) expect(HEADED.slice(part.start, part.end)).toBe(part.text);
  });

  test('without headings, as in a message', () => {
    const r = parseRecipe(
      'Quick dal\n\n1 cup red lentils\n3 cups water\nhalf an onion\nsalt\n\nBoil everything until soft, about 20 minutes. Squeeze lemon over and eat.',
    );
    expect(r.lines.map((l) => l.text)).toEqual([
      '1 cup red lentils',
      '3 cups water',
      'half an onion',
      'salt',
    ]);
    expect(r.steps).toHaveLength(1);
  });

  test('on one line', () => {
    const r = parseRecipe(
      'Ingredients: 2 onions, finely chopped, 3 carrots, 1 tin tomatoes, salt\nMethod: Cook it all. Serves 4',
    );
    expect(r.lines.map((l) => l.text)).toEqual([
      '2 onions, finely chopped',
      '3 carrots',
      '1 tin tomatoes',
      'salt',
    ]);
    expect(r.servings?.range.best).toBe(4);
  });

  test('several lists, each with its method', () => {
    const r = parseRecipe(
      'Bowl\nServes 2\n\nIngredients\n200 g noodles\n\nMethod\nBoil the noodles.\n\nFor the dressing:\n2 tbsp tahini\n1 lemon, juiced\n\nWhisk until smooth.',
    );
    expect(r.lines.map((l) => [l.section, l.text])).toEqual([
      [null, '200 g noodles'],
      ['For the dressing', '2 tbsp tahini'],
      ['For the dressing', '1 lemon, juiced'],
    ]);
    expect(r.steps.map((s) => s.text)).toContain('Boil the noodles.');
  });

  test('a bare section heading, check boxes, bullets of many kinds', () => {
    const r = parseRecipe(
      'Crumble\n\nFilling\n- 1 kg plums\n\nTopping\n☐ 100 g oats\n• 50 g flour\n[ ] 2 tbsp sugar\n',
    );
    expect(r.lines.map((l) => [l.section, l.text])).toEqual([
      ['Filling', '1 kg plums'],
      ['Topping', '100 g oats'],
      ['Topping', '50 g flour'],
      ['Topping', '2 tbsp sugar'],
    ]);
  });

  test('a story has only a method', () => {
    const r = parseRecipe(
      'Take two onions and fry them slowly in a little oil until they are golden and sweet, then add stock.',
    );
    expect(r.lines).toHaveLength(0);
    expect(r.steps.length + (r.title === 'Untitled recipe' ? 0 : 1)).toBeGreaterThan(0);
  });

  test('nothing is dropped: every line with words lands somewhere', () => {
    const text =
      'My pot\nserves 2\nthe long story of it, which goes on and on for a whole paragraph and more\n1 onion\n2 flurbs of gronk\nFry it.\nNote: good cold';
    const r = parseRecipe(text);
    const kept = [r.title, ...[...r.lines, ...r.steps, ...r.notes].map((p) => p.text)].join('\n');
    for (const word of ['My pot', 'serves 2', 'long story', '1 onion', 'gronk', 'Fry it', 'good cold'])
      expect(kept).toContain(word);
  });

  test('2000 lines are read', () => {
    const text = `Long\nServes 4\n\n${Array.from({ length: 2000 }, (_, i) => `${i + 1} g carrots`).join('\n')}`;
    expect(parseRecipe(text).lines).toHaveLength(2000);
  });

  test('an empty text gives an empty recipe', () => {
    expect(parseRecipe('')).toMatchObject({ title: 'Untitled recipe', lines: [], steps: [] });
  });
});

describe('how others make it', () => {
  const foods = (text: string) => parseRecipe(text).lines.map((l) => l.text);
  test('is no list where the own one follows', () => {
    expect(
      foods(
        'Rice pudding\n\nThe original: 4 oz pudding rice, 1 oz butter\nMine: 4 oz brown rice, 2 oz dates\n\nBake it for two hours.',
      ),
    ).toEqual(['4 oz brown rice', '2 oz dates']);
  });
  test('is the list where no other is', () => {
    expect(foods("Dal\n\nMum's way: 200 g dal, 2 tbsp oil\n\nSimmer it for an hour.")).toEqual([
      '200 g dal',
      '2 tbsp oil',
    ]);
  });
});

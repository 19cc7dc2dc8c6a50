import { keptText } from './library';
import { keyOf, shelfKeys } from './shelf-keys';

const soup = keptText('a', 'Leek soup\n\nServes 2\n\n2 leeks\n200 ml vegetable stock\n100 g green dressing');
const dressing = keptText('b', 'Green dressing\n\n1 bunch parsley\n1 tbsp lemon juice');
const pie = keptText('c', 'Root pie\n\n3 carrots\n2 portions leek soup');
const bread = keptText('d', 'Rye loaf\n\n400 g rye flour');

describe('keys of a shelf', () => {
  const before = shelfKeys([soup, dressing, pie, bread], 'g');

  test('the same shelf has the same keys, in whatever order it stands', () => {
    expect(shelfKeys([soup, dressing, pie, bread], 'g')).toEqual(before);
    const turned = shelfKeys([bread, pie, dressing, soup], 'g');
    expect([...turned].reverse()).toEqual(before);
  });

  test('a change of one changes it and what is made of it, through any number of recipes', () => {
    const changed = shelfKeys(
      [soup, { ...dressing, text: `${dressing.text}\n2 tbsp olive oil` }, pie, bread],
      'g',
    );
    expect(changed.map((k, i) => k !== before[i])).toEqual([true, true, true, false]);
  });

  test('a recipe that comes or goes changes those that name it', () => {
    const without = shelfKeys([soup, pie, bread], 'g');
    expect(without[0]).not.toBe(before[0]);
    expect(without[1]).not.toBe(before[2]);
    expect(without[2]).toBe(before[3]);
  });

  test('what all are read with changes all', () => {
    expect(shelfKeys([soup, bread], 'g')).not.toEqual(shelfKeys([soup, bread], 'h'));
  });

  test('a ring of recipes ends', () => {
    const a = keptText('a', 'Alpha sauce\n\n100 g beta sauce');
    const b = keptText('b', 'Beta sauce\n\n100 g alpha sauce');
    expect(shelfKeys([a, b], '').length).toBe(2);
  });

  test('ten thousand texts have as many keys', () => {
    const keys = new Set(Array.from({ length: 10_000 }, (_, i) => keyOf(`${i} g rice`)));
    expect(keys.size).toBe(10_000);
  });
});

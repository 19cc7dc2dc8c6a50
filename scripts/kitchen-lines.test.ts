import { judged, kitchens, share } from './kitchen-lines';

describe('lines of every kitchen', () => {
  test.each(kitchens().map(({ kitchen, lines }) => [kitchen, lines] as const))('%s', (_, lines) => {
    expect(lines.filter((l) => l.verdict === 'wrong')).toEqual([]);
    expect(share(lines, 'right')).toBeGreaterThanOrEqual(0.97);
  });

  test('the measure itself tells right from wrong and unsure', () => {
    expect(judged('200 g carrots | carrot | 150–200').verdict).toBe('right');
    expect(judged('200 g carrots | carrot | 20–30').verdict).toBe('wrong');
    expect(judged('200 g carrots | swede | 150–200').verdict).toBe('wrong');
    expect(judged('200 g quibbleroot | swede | 150–200').verdict).toBe('unsure');
    expect(judged('200 g carrots').verdict).toBe('not judged');
  });
});

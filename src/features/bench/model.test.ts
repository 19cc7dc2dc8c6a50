import { auditRecipe } from '@/core/audit/audit';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { gaugesOf, openPart, ledgerOf, markOf, SCALE_END, servingsWords } from './model';

const strict = protocolById('heart-strict') as Protocol;
const everyday = protocolById('everyday') as Protocol;
const look = (text: string, protocol = strict) => {
  const read = readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {} });
  const audit = auditRecipe(read, protocol);
  return { audit, read, ...gaugesOf(audit, read, protocol), rows: ledgerOf(audit) };
};
const POT =
  'Pot\nServes 4–6\n\nIngredients\n1 kg potatoes\n2 tbsp olive oil\n½ tsp salt\n1 cup vegetable stock\n\nFor the topping:\n2 tbsp walnuts\n\nMethod\nGrease a dish.';

describe('what a gauge paints solid', () => {
  const gauge = (low: number, best: number, high: number, bound: 'most' | 'least' = 'most') =>
    ({ low, best, high, times: null, limit: { bound } }) as never;
  test('only what is sure: from the lowest reading on it is open, past the limit it is bad', () => {
    // 210–680 of 500 mg
    expect(openPart(gauge(0.42, 1.15, 1.36))).toEqual({
      open: [
        { from: 0.42, to: 1, bad: false },
        { from: 1, to: 1.36, bad: true },
      ],
      best: 1.15,
    });
  });
  test('a range on one side of the limit is one stretch', () => {
    expect(openPart(gauge(0.2, 0.3, 0.5)).open).toEqual([{ from: 0.2, to: 0.5, bad: false }]);
    expect(openPart(gauge(1.2, 1.3, 1.5)).open).toEqual([{ from: 1.2, to: 1.5, bad: true }]);
  });
  test('for a least it is the side short of it that is bad', () => {
    expect(openPart(gauge(0.8, 1.1, 1.4, 'least')).open.map((o) => o.bad)).toEqual([true, false]);
  });
  test('a dish whose words leave salt open is not painted within', () => {
    const { gauges } = look('Pot\nServes 4\n\n1 can chickpeas\n1 cup vegetable stock\n500 g potatoes');
    const sodium = gauges.find((g) => g.limit.id === 'sodium');
    if (!sodium) throw new Error('no sodium');
    expect(sodium.low ?? 9).toBeLessThan(sodium.best ?? 0);
    expect(openPart(sodium).open[0]?.from).toBe(sodium.low);
  });
});

describe('gauges', () => {
  test('segments follow each other and add up to the best reading', () => {
    for (const gauge of look(POT).gauges) {
      let at = 0;
      for (const s of gauge.segments) {
        expect(s.from).toBeGreaterThanOrEqual(at - 1e-9);
        at = s.from + s.share;
      }
      if (gauge.best !== null) expect(at).toBeCloseTo(gauge.best, 1);
    }
  });
  test('what goes past the end of the scale is torn off and says how often', () => {
    const fat = look(POT).gauges.find((g) => g.limit.id === 'fat-share');
    expect(fat?.best).toBeGreaterThan(SCALE_END);
    expect(fat?.times).toMatch(/×$/);
    expect(look('Pot\nServes 4\n\n1 kg potatoes').gauges.every((g) => g.times === null)).toBe(true);
  });
  test('bans stand apart, with the lines that bring them', () => {
    const { bans, gauges, audit } = look(POT);
    expect(gauges.every((g) => g.limit.limit > 0)).toBe(true);
    const oil = bans.find((b) => b.limit.id === 'no-added-oil');
    expect(oil?.lines.map((i) => audit.lines[i]?.text)).toEqual([
      '2 tbsp olive oil',
      '1 cup vegetable stock',
      'Grease a dish',
    ]);
    expect(bans.find((b) => b.limit.id === 'not-plant')?.lines).toEqual([]);
  });
  test('an unknown line leaves the value open and shows what is known', () => {
    const { gauges } = look('Pot\nServes 4\n\n1 tsp salt\n2 cups gronk');
    expect(gauges.find((g) => g.limit.id === 'sodium')?.value).toMatch(/and more$/);
    expect(gauges.find((g) => g.limit.id === 'fat-share')?.value).toBe('not known');
  });
});

describe('the ledger', () => {
  test('one row a line, a heading where a section starts', () => {
    const { rows } = look(POT);
    expect(rows.map((r) => r.heading)).toEqual([
      null,
      null,
      null,
      null,
      'For the topping',
      'From the method',
    ]);
  });
  test('cells of a column add up to the plate', () => {
    const { rows, audit } = look(POT, everyday);
    const sum = rows.reduce((s, r) => s + (r.line.contribution.sodiumMg?.best ?? 0), 0) / audit.servings.best;
    expect(sum).toBeCloseTo(audit.perServing.sodiumMg?.best ?? NaN, 6);
  });
  test('marks: shape says how bad', () => {
    const { audit } = look(`${POT}\nStir.`);
    const mark = (words: string) =>
      markOf(audit.lines.find((l) => l.text === words) as (typeof audit.lines)[number]);
    expect(mark('1 kg potatoes')).toBe('clear');
    expect(mark('2 tbsp olive oil')).toBe('over');
    expect(mark('1 cup vegetable stock')).not.toBe('over');
    expect(markOf(look('Pot\n\n2 cups gronk').audit.lines[0] as (typeof audit.lines)[number])).toBe(
      'unknown',
    );
  });
  test('a cell says nothing as a dot, not known as a question', () => {
    const { rows } = look('Pot\nServes 2\n\n1 tbsp olive oil\n2 cups gronk');
    expect(rows[0]?.sugar.text).toBe('·');
    expect(rows[1]?.sodium.text).toBe('?');
    expect(rows[1]?.reading).toBe('not understood');
  });
  test('servings in words', () => {
    expect(servingsWords({ low: 4, best: 5, high: 6 })).toBe('4–6');
    expect(servingsWords({ low: 4, best: 4, high: 4 })).toBe('4');
  });
});

import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { Corrections } from '@/core/read/types';
import { auditRecipe } from './audit';
import type { Finding } from './schema';

const strict = protocolById('heart-strict') as Protocol;
const everyday = protocolById('everyday') as Protocol;
const audit = (text: string, protocol = strict, corrections: Corrections = {}) =>
  auditRecipe(readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections }), protocol);

describe('what would settle it', () => {
  test('the line with the widest say comes first, and settling it settles the verdict', () => {
    const text = 'Pot\nServes 4\n\n1 kg potatoes\n1 litre vegetable stock\n1 tsp dried oregano';
    const before = audit(text);
    expect(before.limits.find((l) => l.id === 'sodium')?.verdict).toBe('depends');
    expect(before.deciding[0]).toBe('1 litre vegetable stock');
    const after = audit(text, strict, { '1 litre vegetable stock': { foodId: 'stock-nsa' } });
    expect(after.limits.find((l) => l.id === 'sodium')?.verdict).toBe('within');
    expect(after.deciding).toEqual([]);
  });
  test('nothing is asked where nothing depends', () => {
    expect(audit('Pot\nServes 4\n\n1 kg potatoes').deciding).toEqual([]);
  });
  test('weighing a line settles a fat share', () => {
    const text = 'Pot\nServes 1\n\n500 g potatoes\na handful of oats\n1 tbsp ground flaxseed';
    const loose = audit(text);
    const weighed = audit(text, strict, {
      'a handful of oats': { grams: 20 },
      '1 tbsp ground flaxseed': { grams: 2 },
    });
    const width = (a: typeof loose) =>
      (a.total.fatSharePercent?.high ?? NaN) - (a.total.fatSharePercent?.low ?? NaN);
    expect(width(weighed)).toBeLessThan(width(loose));
  });
});

describe('findings', () => {
  const of = (text: string, line: string, protocol = strict): readonly Finding[] =>
    audit(text, protocol).lines.find((l) => l.text === line)?.findings ?? [];
  const levels = (text: string, line: string, rule: string, protocol = strict) =>
    of(text, line, protocol)
      .filter((f) => f.rule === rule)
      .map((f) => f.level);

  test('a ban names its line; a perhaps is only watched', () => {
    expect(levels('P\nServes 2\n\n1 tbsp olive oil', '1 tbsp olive oil', 'no-added-oil')).toEqual(['banned']);
    expect(
      levels('P\nServes 2\n\n1 tbsp olive oil (optional)', '1 tbsp olive oil (optional)', 'no-added-oil'),
    ).toEqual(['watch']);
  });
  test('a line alone over the whole dish’s limit says so; one that may be is open', () => {
    expect(levels('P\nServes 1\n\n1 tbsp soy sauce', '1 tbsp soy sauce', 'sodium')).toEqual(['over']);
    expect(levels('P\nServes 1\n\n2 cups vegetable stock', '2 cups vegetable stock', 'sodium')).toEqual([
      'watch',
    ]);
  });
  test('hidden oil, salt and sugar of bought things', () => {
    expect(
      of('P\nServes 2\n\n2 tbsp hummus', '2 tbsp hummus').find((f) => f.rule === 'hidden')?.message,
    ).toMatch(/oil, salt/);
    expect(
      of('P\nServes 2\n\n2 tbsp ketchup', '2 tbsp ketchup').find((f) => f.rule === 'hidden')?.message,
    ).toMatch(/sugar/);
  });
  test('cautions stand where they apply and nowhere else', () => {
    const rules = (line: string) => of(`P\nServes 2\n\n${line}`, line).map((f) => f.rule);
    expect(rules('1 tsp potassium chloride')).toContain('potassium');
    expect(rules('1 cup dried kidney beans')).toContain('kidney-beans');
    expect(rules('1 piece kombu')).toContain('iodine');
    expect(rules('1 tsp baking soda')).toContain('leavener-sodium');
    expect(rules('1 cup cooked kidney beans')).not.toContain('kidney-beans');
    expect(rules('1 kg potatoes')).toEqual([]);
  });
  test('a doubtful reading says so', () => {
    expect(
      of('P\nServes 2\n\n1 cup zingy brocolli', '1 cup zingy brocolli').some(
        (f) => f.rule === 'not-sure' || f.rule === 'not-understood',
      ),
    ).toBe(true);
  });
  test('the protocol decides: nuts are banned for one, allowed a little for another', () => {
    const text = 'P\nServes 4\n\n1 kg potatoes\n1 tbsp walnuts';
    expect(levels(text, '1 tbsp walnuts', 'nuts')).toEqual(['banned']);
    expect(audit(text, everyday).limits.find((l) => l.id === 'nuts')?.verdict).toBe('within');
  });
});

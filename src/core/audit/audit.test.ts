import { readFileSync } from 'node:fs';
import path from 'node:path';
import fc from 'fast-check';
import { z } from 'zod';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, protocolById, roleFromTitle, shareOf, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { auditRecipe } from './audit';
import { judge, limitFor } from './limits';
import { AuditSchema } from './schema';
import { auditText } from './text';

const settings = { measures: US_MEASURES, corrections: {} };
const strict = protocolById('heart-strict') as Protocol;
const everyday = protocolById('everyday') as Protocol;
const nothing = protocolById('nothing-added') as Protocol;
const audit = (text: string, protocol = strict) =>
  auditRecipe(readRecipe(parseRecipe(text), settings), protocol);

describe('limits of the shipped protocols', () => {
  const limit = (p: Protocol, id: string) => p.limits.find((l) => l.id === id)?.limit;
  test('are the published ones', () => {
    // American Heart Association ideal; WHO guideline 2015, conditional
    expect(limit(strict, 'sodium')).toBe(1500);
    expect(limit(strict, 'free-sugar')).toBe(5);
    // Dietary Guidelines for Americans 2020–2025; WHO guideline 2015, strong
    expect(limit(everyday, 'sodium')).toBe(2300);
    expect(limit(everyday, 'free-sugar')).toBe(10);
    expect(limit(strict, 'fat-share')).toBe(10);
  });
  test('a main may use a third of a day, a snack a tenth (common practice)', () => {
    expect(
      limitFor(strict.limits.find((l) => l.id === 'sodium') as Protocol['limits'][number], 'main'),
    ).toBeCloseTo(500);
    expect(shareOf('snack')).toBe(0.1);
  });
  test('every limit names its source', () => {
    expect(PROTOCOLS.flatMap((p) => p.limits).every((l) => l.source.length > 10)).toBe(true);
  });
  test.each([
    ['Walnut sauce', 'sauce'],
    ['Plum crumble', 'snack'],
    ['Blueberry pancakes', 'breakfast'],
    ['Lentil stew', 'main'],
  ])('the title "%s" says %s', (title, role) => {
    expect(roleFromTitle(title)).toBe(role);
  });
});

describe('judging a range', () => {
  test.each<[number, number, number, number | null, string]>([
    [1, 2, 10, null, 'within'],
    [8, 9, 10, null, 'near'],
    [9, 11, 10, null, 'depends'],
    [11, 12, 10, null, 'over'],
    [0, 0, 0, null, 'within'],
    [0, 1, 0, null, 'depends'],
    [1, 1, 0, null, 'over'],
    [9, 10, 10, null, 'near'],
    [5, 6, 10, 5, 'near'],
  ])('%d–%d of %d (aim %p) is %s', (low, high, limit, aim, verdict) => {
    expect(judge({ low, best: low, high }, limit, aim)).toBe(verdict);
  });
  test('a range that reaches over is never within or near', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0.1, max: 100, noNaN: true }),
        (a, b, limit) => {
          const verdict = judge({ low: Math.min(a, b), best: a, high: Math.max(a, b) }, limit, null);
          if (Math.max(a, b) > limit * (1 + 1e-6)) expect(['over', 'depends']).toContain(verdict);
          if (Math.min(a, b) > limit * (1 + 1e-6)) expect(verdict).toBe('over');
        },
      ),
    );
  });
});

describe('audits worked by hand (docs/worked-audits.md)', () => {
  test('lentil pot: every step of the page', () => {
    const a = audit(
      'Lentil pot\nServes 2\n\n200 g red lentils\n1 tbsp olive oil\n½ tsp salt\n1 (400 g) can chopped tomatoes, no salt added',
      everyday,
    );
    expect(a.total.energyKcal?.best).toBeCloseTo(915.3, 0);
    expect(a.total.fatG?.best).toBeCloseTo(18.7, 1);
    expect(a.total.fatSharePercent?.best).toBeCloseTo(18.4, 1);
    expect(a.perServing.sodiumMg?.best).toBeCloseTo(608.5, 0);
    expect(a.lines[1]?.contribution.fatSharePoints?.best).toBeCloseTo(13.27, 1);
    expect(a.limits.find((l) => l.id === 'oil-film')?.value?.best).toBeCloseTo(6.75, 2);
    expect(a.limits.find((l) => l.id === 'oil-film')?.verdict).toBe('over');
    expect(a.limits.find((l) => l.id === 'fat-share')?.verdict).toBe('within');
  });

  test('rinsed beans: the published figure', () => {
    // Duyff, Mount & Jones 2011: draining −36 %, draining and rinsing −41 % of the can's sodium
    const sodium = (said: string) =>
      audit(`Beans\nServes 1\n\n1 (400 g) can chickpeas, ${said}`).total.sodiumMg;
    const drained = sodium('salted, drained');
    const rinsed = sodium('salted, drained and rinsed');
    const whole = sodium('salted, with their liquid');
    expect((drained?.high ?? NaN) / (whole?.high ?? NaN)).toBeCloseTo(1 - 0.36, 2);
    expect((rinsed?.best ?? NaN) / (drained?.best ?? NaN)).toBeCloseTo((1 - 0.41) / (1 - 0.36), 2);
  });
});

describe('honesty', () => {
  test('a line that is not understood makes the rest unknown, never within', () => {
    const a = audit('Pot\nServes 4\n\n1 kg potatoes\n2 cups gronk');
    expect(a.verdict).toBe('unknown');
    expect(a.total.energyKcal).toBeNull();
    expect(a.unresolved).toEqual(['2 cups gronk']);
    expect(a.limits.every((l) => l.verdict !== 'within')).toBe(true);
  });
  test('what is surely over stays over, whatever else is unknown', () => {
    const a = audit('Pot\nServes 4\n\n3 tbsp olive oil\n2 cups gronk');
    expect(a.limits.find((l) => l.id === 'no-added-oil')?.verdict).toBe('over');
    expect(a.limits.find((l) => l.id === 'no-added-oil')?.value).toBeNull();
    expect(a.verdict).toBe('over');
  });
  test('an optional offender depends, and is named as what settles it', () => {
    const a = audit('Pot\nServes 4\n\n1 kg potatoes\n1 tbsp olive oil (optional)');
    expect(a.limits.find((l) => l.id === 'no-added-oil')?.verdict).toBe('depends');
    expect(a.deciding).toContain('1 tbsp olive oil (optional)');
  });
  test('without a word on servings, amounts a serving reach from one to eight', () => {
    const a = audit('Pot\n\n1 kg potatoes\n1 tsp salt');
    expect(a.servings).toEqual({ low: 1, best: 4, high: 8 });
    expect(a.limits.find((l) => l.id === 'sodium')?.verdict).toBe('depends');
    expect(a.deciding).toContain('how many it feeds');
  });
  test('a text without ingredients is not within', () => {
    expect(audit('Just a title').verdict).toBe('unknown');
    expect(audit('').verdict).toBe('unknown');
  });
  test('oil that only the method names counts', () => {
    const a = audit('Pot\nServes 2\n\nIngredients\n500 g potatoes\n\nMethod\nFry in 2 tbsp oil.');
    expect(a.limits.find((l) => l.id === 'no-added-oil')?.verdict).toBe('over');
    expect(a.steps[0]?.findings.some((f) => f.rule === 'no-added-oil' && f.span !== null)).toBe(true);
    expect(a.total.fatG?.best).toBeGreaterThan(25);
  });
  test('bans of "nothing added": salt, soy sauce, syrup, salted tins', () => {
    for (const line of [
      '½ tsp salt',
      '1 tbsp soy sauce',
      '1 tbsp miso',
      '1 tbsp maple syrup',
      '½ cup apple juice',
      '1 tbsp capers',
    ])
      expect(audit(`Pot\nServes 2\n\n500 g potatoes\n${line}`, nothing).verdict).toBe('over');
    expect(audit('Pot\nServes 2\n\n500 g potatoes\n1 can chickpeas, drained', nothing).verdict).toBe(
      'depends',
    );
    expect(audit('Pot\nServes 2\n\n500 g potatoes\n2 dates', nothing).verdict).toBe('within');
  });
  test('an animal food is named', () => {
    expect(
      audit('Cake\nServes 8\n\n200 g wholemeal flour\n2 eggs').limits.find((l) => l.id === 'not-plant')
        ?.verdict,
    ).toBe('over');
  });
});

describe('columns add up', () => {
  test('points of fat share over lines are the dish’s fat share', () => {
    const a = audit(
      'Pot\nServes 4\n\n1 kg potatoes\n2 tbsp tahini\n1 cup chickpeas, cooked\n2 tbsp olive oil\n1 onion',
    );
    const points = a.lines.reduce((s, l) => s + (l.contribution.fatSharePoints?.best ?? 0), 0);
    expect(points).toBeCloseTo(a.total.fatSharePercent?.best ?? NaN, 6);
  });
});

describe('the contract', () => {
  test('the audit of a text fits its schema', () => {
    const result = auditText(
      '# Pot\nServes 4\n\n- 2 tbsp olive oil\n- 1 cup gronk\n- salt and pepper\n\n1. Grease a tin.',
      strict,
      { source: 'pot.md' },
    );
    if (!result.ok) throw new Error(result.message);
    const parsed = AuditSchema.parse(JSON.parse(JSON.stringify(result.audit)));
    expect(parsed).toEqual(result.audit);
    expect(parsed.recipes[0]?.source).toBe('pot.md');
  });
  test('the published JSON Schema is the one of the code', () => {
    const published = JSON.parse(
      readFileSync(path.resolve(__dirname, '../../../public/schema/audit-1.json'), 'utf8'),
    );
    expect(published).toEqual(JSON.parse(JSON.stringify(z.toJSONSchema(AuditSchema))));
  });
  test('servings and role can be overruled', () => {
    const result = auditText('Pot\nServes 4\n\n1 tsp salt', strict, { servings: 2, role: 'snack' });
    if (!result.ok) throw new Error(result.message);
    expect(result.audit.recipes[0]?.servings.best).toBe(2);
    expect(result.audit.recipes[0]?.limits.find((l) => l.id === 'sodium')?.limit).toBeCloseTo(150);
  });
});

import loadHighs from 'highs';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { auditText } from '@/core/audit/text';
import { solverOf } from './solver';
import { frontierOf } from './frontier';
import { versionsOf, versionText } from './versions';

const settings = { measures: US_MEASURES, corrections: {} };
const TEXT =
  'Lock stew\nServes 4\n\n3 tbsp olive oil\n2 onions, chopped\n1 kg potatoes\n1½ tsp salt\n1 tbsp sugar\n\nMethod\nFry the onions in the oil. Add the rest and simmer.';

describe('as written, moderate, light', () => {
  const of = async () =>
    versionsOf(
      readRecipe(parseRecipe(TEXT), settings),
      protocolById('heart-strict') as Protocol,
      settings,
      {},
      solverOf(await loadHighs()),
    );
  test('three versions, each nearer to its aim', async () => {
    const versions = await of();
    expect(versions.map((v) => v.id)).toEqual(['as-written', 'moderate', 'light']);
    for (const v of versions.slice(1)) {
      expect(v.reached).toBe(true);
      const fresh = auditText(v.text, protocolById(v.aims ?? '') as Protocol);
      if (!fresh.ok) throw new Error(fresh.message);
      expect(['within', 'near']).toContain(fresh.audit.recipes[0]?.verdict);
    }
  });
  test('500 kcal buy more of the lighter ones', async () => {
    const [written, , light] = await of();
    expect(light?.gramsFor500?.best).toBeGreaterThan(written?.gramsFor500?.best ?? Infinity);
    // 500 kcal at the density of the dish
    const density = written?.audit.total.energyDensityKcalPer100G?.best ?? NaN;
    expect(((written?.gramsFor500?.best ?? NaN) * density) / 100).toBeCloseTo(500, 6);
  });
  test('a kept version carries its name and the reason of each change, and reads as the same dish', async () => {
    const light = (await of())[2];
    if (!light) throw new Error('no light version');
    const text = versionText(light);
    expect(text.split('\n')[0]).toBe('Lock stew, light');
    expect(text).toContain('became');
    const [a, b] = [text, light.text].map((t) => auditText(t, protocolById('light-plate') as Protocol));
    if (!a?.ok || !b?.ok) throw new Error('not read');
    expect(a.audit.recipes[0]?.total.energyKcal).toEqual(b.audit.recipes[0]?.total.energyKcal);
    expect(a.audit.recipes[0]?.lines.length).toBe(b.audit.recipes[0]?.lines.length);
  });
});

describe('the frontier of departure against sodium', () => {
  test('each step costs more and lies lower', async () => {
    const points = frontierOf(
      readRecipe(parseRecipe(TEXT), settings),
      protocolById('heart-strict') as Protocol,
      settings,
      {},
      solverOf(await loadHighs()),
      'sodium',
    );
    expect(points.length).toBeGreaterThan(2);
    points.slice(1).forEach((p, i) => {
      const last = points[i] as (typeof points)[number];
      expect(p.sodium?.high).toBeLessThan(last.sodium?.high ?? 0);
      expect(p.departure).toBeGreaterThanOrEqual(last.departure - 1e-9);
    });
    // the salt goes first: nothing else holds as much
    expect(points[1]?.changes.every((c) => /salt/i.test(c.from))).toBe(true);
  });
});

describe('the frontier of departure against fat share', () => {
  test('each step costs more and lies lower, and each point is its own text audited', async () => {
    const protocol = protocolById('heart-strict') as Protocol;
    const points = frontierOf(
      readRecipe(parseRecipe(TEXT), settings),
      protocol,
      settings,
      {},
      solverOf(await loadHighs()),
    );
    expect(points.length).toBeGreaterThan(2);
    points.slice(1).forEach((p, i) => {
      const last = points[i] as (typeof points)[number];
      expect(p.fatShare.high).toBeLessThan(last.fatShare.high);
      expect(p.departure).toBeGreaterThanOrEqual(last.departure - 1e-9);
      const fresh = auditText(p.text, protocol);
      if (!fresh.ok) throw new Error(fresh.message);
      expect(fresh.audit.recipes[0]?.total.fatSharePercent?.best).toBeCloseTo(p.fatShare.best, 9);
    });
  });
});

import { PROTOCOLS, settled, SWITCHES, type ProtocolSource } from './index';
import { resolveProtocol } from './resolve';
import { ProtocolSource as Schema } from './schema';

const base = PROTOCOLS[0]?.source as ProtocolSource;
const limit = (more: object) => ({
  id: 'x',
  label: 'Something',
  of: 'sodiumMg' as const,
  per: 'serving' as const,
  bound: 'most' as const,
  unit: 'mg',
  limit: 10,
  source: 'made up',
  ...more,
});
const resolve = (limits: object[], switches: Record<string, string> = {}) => {
  const parsed = Schema.safeParse({ ...base, limits, switches });
  if (!parsed.success) return parsed.error.issues[0]?.message ?? '';
  const r = resolveProtocol(parsed.data, SWITCHES);
  return r.ok ? 'ok' : r.message;
};

describe('the shipped protocols', () => {
  test('are five, each limit with its source and its reason', () => {
    expect(PROTOCOLS.map((p) => p.id)).toEqual([
      'heart-strict',
      'nothing-added',
      'starch-base',
      'light-plate',
      'everyday',
    ]);
    for (const p of PROTOCOLS)
      for (const l of p.limits)
        expect([p.id, l.id, l.source.length > 5, (l.because ?? '').length > 5]).toEqual([
          p.id,
          l.id,
          true,
          true,
        ]);
  });
  test('the published numbers', () => {
    const of = (id: string, limit: string) =>
      PROTOCOLS.find((p) => p.id === id)?.limits.find((l) => l.id === limit)?.limit;
    // WHO 2012: under 2 g sodium; American Heart Association: ideal 1500 mg; US dietary guidelines: 2300 mg
    expect(of('starch-base', 'sodium')).toBe(2000);
    expect(of('heart-strict', 'sodium')).toBe(1500);
    expect(of('everyday', 'sodium')).toBe(2300);
    // WHO 2015: free sugars under 10 %, conditionally under 5 % of energy
    expect(of('everyday', 'free-sugar')).toBe(10);
    expect(of('heart-strict', 'free-sugar')).toBe(5);
  });
  test('every switch carries both arguments, and turns in every protocol', () => {
    for (const [id, question] of Object.entries(SWITCHES)) {
      expect(question.lax.length).toBeGreaterThan(20);
      expect(question.strict.length).toBeGreaterThan(20);
      for (const p of PROTOCOLS)
        for (const option of question.options)
          expect(
            settled({ ...p.source, switches: { ...p.source.switches, [id]: option.id } }),
          ).not.toBeNull();
    }
  });
});

describe('switches', () => {
  const turned = (switches: Record<string, string>) =>
    settled({ ...base, switches: { ...base.switches, ...switches } })?.limits ?? [];
  test('a film of oil', () => {
    expect(turned({ 'oil-film': 'film' }).find((l) => l.id === 'no-added-oil')?.limit).toBe(0.5);
  });
  test('two that leave parts out both hold', () => {
    expect(
      turned({ 'soy-salt': 'half', 'table-salt': 'apart' }).find((l) => l.id === 'sodium')?.minus,
    ).toEqual({
      fermentedSodiumMg: 0.5,
      tableSodiumMg: 1,
    });
  });
  test('a new limit comes in, and goes again', () => {
    expect(turned({ 'beans-made': 'none' }).some((l) => l.id === 'bean-products')).toBe(true);
    expect(turned({}).some((l) => l.id === 'bean-products')).toBe(false);
  });
});

describe('what cannot hold is refused, with the reason', () => {
  test.each<[string, object[], RegExp]>([
    ['no limit at all', [], /without a limit/],
    ['an aim above its most', [limit({ aim: 20 })], /aim lies above/],
    ['an aim below its least', [limit({ bound: 'least', aim: 5 })], /aim lies below/],
    ['a share above all', [limit({ of: 'fatKcal', per: 'energy', limit: 120 })], /no share of energy/],
    ['a share of no energy', [limit({ per: 'energy' })], /measured in kcal/],
    ['a least of nothing', [limit({ bound: 'least', limit: 0 })], /least of nothing/],
    ['twice the same', [limit({}), limit({})], /stands twice/],
    [
      'more than at most',
      [limit({ id: 'a', bound: 'least', limit: 50 }), limit({ id: 'b', limit: 40 })],
      /cannot both hold/,
    ],
    [
      'shares beyond all',
      [
        limit({ id: 'a', of: 'carbohydrateKcal', per: 'energy', bound: 'least', limit: 80 }),
        limit({ id: 'b', of: 'proteinKcal', per: 'energy', bound: 'least', limit: 30 }),
      ],
      /leave nothing/,
    ],
    [
      'shares that never reach all',
      ['fatKcal', 'carbohydrateKcal', 'proteinKcal'].map((of) =>
        limit({ id: of.toLowerCase(), of, per: 'energy', limit: 30 }),
      ),
      /cannot make 100/,
    ],
    ['a part that takes itself away', [limit({ minus: { sodiumMg: 1 } })], /takes itself away/],
  ])('%s', (_, limits, why) => {
    expect(resolve(limits)).toMatch(why);
  });
  test('a switch or a position that is not there', () => {
    expect(resolve([limit({})], { moon: 'full' })).toContain('no switch');
    expect(resolve([limit({})], { wine: 'red' })).toContain('red');
  });
  test('a good one holds', () => {
    expect(resolve([limit({ aim: 5 })])).toBe('ok');
  });
});

test.each(['constructor', '__proto__', 'toString', 'hasOwnProperty'])(
  'a switch named “%s” is refused',
  (name) => {
    const source = { ...base, switches: JSON.parse(`{"${name}": "x"}`) as Record<string, string> };
    const resolved = resolveProtocol(source, SWITCHES);
    expect(resolved.ok).toBe(false);
    if (!resolved.ok) expect(resolved.message).toContain('no switch');
  },
);

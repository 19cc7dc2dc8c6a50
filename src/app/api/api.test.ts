import { POST as adaptRoute } from './adapt/route';
import { AdaptationSchema } from '@/core/adapt/schema';
import { AuditSchema } from '@/core/audit/schema';
import { POST } from './audit/route';
import { GET as foods } from './foods/route';
import { GET as protocols } from './protocols/route';
import { GET as schema } from './schema/route';
import { fromElsewhere } from '@/proxy';

const post = (body: unknown) =>
  POST(
    new Request('http://kitchen/api/audit', {
      method: 'POST',
      body: typeof body === 'string' ? body : JSON.stringify(body),
    }),
  );
const text = 'Pot\nServes 4\n\n2 tbsp olive oil\n1 kg potatoes';

describe('POST /api/audit', () => {
  test('answers the contract’s JSON', async () => {
    const response = await post({ text, protocol: 'heart-strict', servings: 2 });
    expect(response.status).toBe(200);
    const audit = AuditSchema.parse(await response.json());
    expect(audit.recipes[0]?.verdict).toBe('over');
    expect(audit.recipes[0]?.servings.best).toBe(2);
  });
  test.each<[string, unknown, number, string, string | null]>([
    ['no JSON', '{', 400, 'not-json', null],
    ['no text', { protocol: 'everyday' }, 400, 'bad-input', 'text'],
    ['an unknown protocol', { text, protocol: 'keto' }, 400, 'unknown-protocol', 'protocol'],
    ['servings of nothing', { text, protocol: 'everyday', servings: 0 }, 400, 'bad-input', 'servings'],
    ['an unknown role', { text, protocol: 'everyday', role: 'feast' }, 400, 'bad-input', 'role'],
    ['an empty text', { text: ' ', protocol: 'everyday' }, 400, 'empty', 'text'],
    ['binary', { text: 'a\u0000', protocol: 'everyday' }, 400, 'binary', 'text'],
    ['over 1 MiB', { text: 'x'.repeat(1024 * 1024 + 1), protocol: 'everyday' }, 413, 'too-large', 'text'],
  ])('refuses %s', async (_, body, status, code, path) => {
    const response = await post(body);
    expect(response.status).toBe(status);
    expect((await response.json()).error).toMatchObject({ code, path });
  });
});

test('GET /api/protocols, /api/schema and /api/foods', async () => {
  expect(((await protocols().json()) as { id: string }[]).map((p) => p.id)).toEqual([
    'heart-strict',
    'nothing-added',
    'starch-base',
    'light-plate',
    'everyday',
  ]);
  expect(JSON.stringify(await schema().json())).toContain('dulvet.audit/1');
  expect(
    ((await foods(new Request('http://kitchen/api/foods?q=courgette')).json()) as { id: string }[])[0]?.id,
  ).toBe('courgette');
  expect(foods(new Request('http://kitchen/api/foods')).status).toBe(400);
});

test('a body is cut off while it arrives', async () => {
  let given = 0;
  const endless = new ReadableStream<Uint8Array>({
    pull(controller) {
      given += 65_536;
      controller.enqueue(new Uint8Array(65_536).fill(120));
    },
  });
  const response = await POST(
    new Request('http://kitchen/api/audit', { method: 'POST', body: endless, duplex: 'half' } as RequestInit),
  );
  expect(response.status).toBe(413);
  expect(given).toBeLessThan(8 * 1024 * 1024);
});

test.each<[string, Record<string, string>, boolean]>([
  [
    'a page of its own',
    { host: 'kitchen:3000', origin: 'http://kitchen:3000', 'sec-fetch-site': 'same-origin' },
    false,
  ],
  ['a program', { host: 'kitchen:3000' }, false],
  ['another site', { host: 'kitchen:3000', origin: 'http://elsewhere' }, true],
  ['another site, as the browser says', { host: 'kitchen:3000', 'sec-fetch-site': 'cross-site' }, true],
  ['no origin at all', { host: 'kitchen:3000', origin: 'null' }, true],
])('a post of %s', (_, headers, elsewhere) => {
  expect(fromElsewhere(new Headers(headers))).toBe(elsewhere);
});

describe('POST /api/adapt', () => {
  const post = (body: unknown) =>
    adaptRoute(
      new Request('http://x/api/adapt', {
        method: 'POST',
        body: typeof body === 'string' ? body : JSON.stringify(body),
      }),
    );
  test('answers the contract’s adaptation', async () => {
    const response = await post({
      text: 'Pot\nServes 4\n\n2 tbsp olive oil\n1 kg potatoes',
      protocol: 'heart-strict',
      alternatives: 0,
    });
    expect(response.status).toBe(200);
    const a = AdaptationSchema.parse(await response.json());
    expect(a.plans[0]?.after.verdict).toBe('within');
  });
  test('lines that must change and others at the table', async () => {
    const response = await post({
      text: 'Pot\nServes 4\n\n60 g walnuts\n1 kg potatoes\n200 g carrots',
      protocol: 'everyday',
      also: [{ protocol: 'heart-strict', allergens: ['nuts'], plate: 1.25 }],
      change: ['200 g carrots'],
      alternatives: 0,
    });
    const a = AdaptationSchema.parse(await response.json());
    const from = a.plans[0]?.changes.map((c) => c.from) ?? [];
    expect(from).toEqual(expect.arrayContaining(['60 g walnuts', '200 g carrots']));
    expect(a.plans[0]?.after.allergens).not.toContain('nuts');
  });
  test.each<[string, unknown, number, string]>([
    [
      'somebody of no protocol',
      { text: 'Pot', protocol: 'everyday', also: [{ protocol: 'nobody' }] },
      400,
      'unknown-protocol',
    ],
    ['no JSON', '{', 400, 'not-json'],
    ['no text', { protocol: 'heart-strict' }, 400, 'bad-input'],
    ['no such protocol', { text: 'Pot', protocol: 'moon' }, 400, 'unknown-protocol'],
    [
      'an allergen nobody knows',
      { text, protocol: 'everyday', allergens: ['moonlight'] },
      400,
      'unknown-allergen',
    ],
    [
      'another’s allergen nobody knows',
      { text, protocol: 'everyday', also: [{ protocol: 'everyday', allergens: ['nuts', 'moonlight'] }] },
      400,
      'unknown-allergen',
    ],
    [
      'a line to keep that is not there',
      { text, protocol: 'everyday', keep: ['2 tbsp oil'] },
      400,
      'unknown-line',
    ],
    [
      'more than any recipe',
      { text: 'x'.repeat(7 * 1024 * 1024), protocol: 'heart-strict' },
      413,
      'too-large',
    ],
  ])('%s', async (_, body, status, code) => {
    const response = await post(body);
    expect(response.status).toBe(status);
    expect(((await response.json()) as { error: { code: string } }).error.code).toBe(code);
  });
});

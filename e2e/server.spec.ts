import { request as plain } from 'node:http';
import { expect, test } from '@playwright/test';
import { openBench } from './kitchen';

test('security headers on every page; nothing on it breaks them', async ({ page }) => {
  const broken: string[] = [];
  page.on('console', (message) => {
    if (/content security policy|refused to/i.test(message.text())) broken.push(message.text());
  });
  const answer = await page.goto('/');
  const headers = answer?.headers() ?? {};
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe-inline/);
  expect(headers['x-content-type-options']).toBe('nosniff');
  await openBench(page);
  await page.keyboard.press('v');
  // charts and the solver run under it too
  await expect(page.getByText('500 kcal buy')).toBeVisible({ timeout: 60_000 });
  await expect(page.locator('.js-plotly-plot').first()).toBeVisible({ timeout: 60_000 });
  expect(broken).toEqual([]);
});

test.describe('requests', () => {
  const POT = { text: 'Pot\nServes 4\n\n2 tbsp olive oil\n1 kg potatoes', protocol: 'heart-strict' };

  test('another site’s page may not post', async ({ request }) => {
    const answer = await request.post('/api/audit', {
      data: JSON.stringify(POT),
      headers: { origin: 'http://elsewhere.test', 'content-type': 'text/plain' },
    });
    expect(answer.status()).toBe(403);
    expect((await request.post('/api/audit', { data: POT })).status()).toBe(200);
  });

  test('a body without a length is cut off at the limit while it arrives', async ({ baseURL }) => {
    const { port } = new URL(baseURL ?? '');
    const sent = await new Promise<{ status: number; bytes: number }>((resolve, reject) => {
      let bytes = 0;
      const out = plain(
        { port, path: '/api/audit', method: 'POST', headers: { 'transfer-encoding': 'chunked' } },
        (answer) => {
          answer.resume();
          resolve({ status: answer.statusCode ?? 0, bytes });
        },
      );
      const piece = Buffer.alloc(256 * 1024, 'x');
      const more = () => {
        // 64 MiB, were it all wanted
        for (let i = 0; i < 256; i += 1) {
          bytes += piece.length;
          if (!out.write(piece)) {
            out.once('drain', () => (bytes < 256 * piece.length ? more() : out.end()));
            return;
          }
        }
        out.end();
      };
      out.on('error', (error) => (bytes > 0 ? resolve({ status: 413, bytes }) : reject(error)));
      more();
    });
    expect(sent.status).toBe(413);
  });

  test('adapting waits for nobody else’s request', async ({ request }) => {
    const many = Array.from(
      { length: 14 },
      (_, i) => `${i + 1} tbsp ${['olive oil', 'tahini', 'soy sauce', 'cashews', 'coconut milk'][i % 5]}`,
    );
    const slow = request.post('/api/adapt', {
      data: {
        text: `Pot\nServes 4\n\n${many.join('\n')}\n1 kg potatoes`,
        protocol: 'heart-strict',
        alternatives: 12,
      },
      timeout: 60_000,
    });
    const quick = await request.post('/api/audit', { data: POT });
    expect(quick.status()).toBe(200);
    const answer = await slow;
    // done, or stopped at its limit: never hanging
    expect([200, 503]).toContain(answer.status());
  });

  test('what is not known is refused with the list', async ({ request }) => {
    const ask = async (more: object) => {
      const answer = await request.post('/api/adapt', { data: { ...POT, ...more } });
      return [
        answer.status(),
        ((await answer.json()) as { error?: { code: string; path: string } }).error,
      ] as const;
    };
    expect(await ask({ allergens: ['moonlight'] })).toMatchObject([
      400,
      { code: 'unknown-allergen', path: 'allergens.0' },
    ]);
    expect(await ask({ keep: ['no such line'] })).toMatchObject([
      400,
      { code: 'unknown-line', path: 'keep.0' },
    ]);
    expect((await ask({ allergens: ['Soya', 'tree nuts'] }))[0]).toBe(200);
  });

  test('instructions nested without end are refused or read, never an empty answer', async ({ request }) => {
    const deep = 20_000;
    const text = `{"@type":"Recipe","name":"Deep","recipeIngredient":["1 onion"],"recipeInstructions":${'['.repeat(deep)}"Cook."${']'.repeat(deep)}}`;
    const answer = await request.post('/api/audit', { data: { text, protocol: 'everyday' } });
    expect([200, 400]).toContain(answer.status());
    expect((await answer.text()).length).toBeGreaterThan(20);
  });
});

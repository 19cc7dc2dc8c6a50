import { expect, test } from '@playwright/test';

test.use({ serviceWorkers: 'allow' });

const VIEWS = ['/shelf', '/stove', '/week', '/larder', '/rules', '/log'] as const;

test('after the first visit every view works without network, and the work goes on', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  // everything of this build is on the device
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    if (active && active.state !== 'activated')
      await new Promise((resolve) => active.addEventListener('statechange', resolve, { once: true }));
  });
  await context.setOffline(true);
  expect(
    await page.evaluate(() =>
      fetch('/api/protocols').then(
        () => 'answered',
        () => 'no network',
      ),
    ),
  ).toBe('no network');

  // a link, a reload and an address typed in
  await page.getByRole('link', { name: /^Shelf/ }).click();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  for (const path of VIEWS) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }

  // the workers and the solver are here too: a dish is judged and changed
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  await page.goto('/shelf');
  await expect(page.getByRole('row').nth(3)).toContainText(/\d/);
});

test('the app can be installed and says what it opens', async ({ page, request }) => {
  await page.goto('/');
  const href = await page.locator('link[rel="manifest"]').getAttribute('href');
  const manifest = (await (await request.get(href ?? '')).json()) as {
    icons: { src: string }[];
    share_target: unknown;
    file_handlers: { action: string }[];
  };
  expect(manifest.icons.length).toBeGreaterThan(2);
  for (const { src } of manifest.icons) expect((await request.get(src)).status()).toBe(200);
  expect(manifest.share_target).toBeTruthy();
  expect(manifest.file_handlers[0]?.action).toBe('/shelf');
});

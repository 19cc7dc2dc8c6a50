import { expect, test } from '@playwright/test';
import chromium from '../scripts/chromium.json';
import { choose, row, takeIn } from './kitchen';

// a name that is the computer's own address: plain http, no secure context, as the phone in the kitchen has it
const NAME = 'kitchen.test';
test.use({
  launchOptions: { ...chromium, args: [...chromium.args, `--host-resolver-rules=MAP ${NAME} 127.0.0.1`] },
  viewport: { width: 390, height: 844 },
});

test('every view works at the computer’s address over plain http', async ({ page, baseURL }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  const address = (baseURL ?? '').replace('localhost', NAME);
  await page.goto(address);
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  expect(await page.evaluate(() => [window.isSecureContext, typeof crypto.randomUUID])).toEqual([
    false,
    'undefined',
  ]);
  await takeIn(page, 'Phone pot\nServes 2\n\n2 tbsp olive oil\n500 g potatoes\n\nFry.');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Phone pot');
  await choose(page, '2 tbsp olive oil');
  await page
    .getByRole('region', { name: 'Swaps' })
    .getByRole('button', { name: /Swap it/ })
    .first()
    .click();
  await expect(row(page, '2 tbsp olive oil')).toHaveCount(0);
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  await page.getByRole('button', { name: 'Add a diner' }).click();
  await expect(page.getByRole('dialog').getByRole('listitem')).toHaveCount(4);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Settings/ }).click();
  await expect(page.getByRole('dialog')).toContainText('At a plain http address');
  await page.keyboard.press('Escape');
  await page.goto(`${address}/shelf`);
  await expect(page.getByRole('row').filter({ hasText: 'Phone pot' })).toHaveCount(1);
  await page.goto(`${address}/larder`);
  await page.getByRole('button', { name: /New packet/ }).click();
  await page.getByLabel(/^Name, as you/).fill('shelf oat drink');
  await page.goto(`${address}/rules`);
  await page.getByRole('button', { name: 'Everyday', exact: true }).last().click();
  await expect(page.getByRole('region', { name: 'Protocol of your own' })).toBeVisible();
  expect(errors).toEqual([]);
});

import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { choose, expectAccessible, openBench, row, takeIn } from './kitchen';

async function openRules(page: Page): Promise<void> {
  await openBench(page);
  await page.keyboard.press('6');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Rules');
  await expect(page.getByRole('region', { name: 'The schools side by side' })).toBeVisible();
}

test('the schools stand side by side, and each limit says where it comes from', async ({ page }) => {
  await openRules(page);
  const sheet = page.getByRole('region', { name: 'The schools side by side' });
  await expect(sheet.getByRole('columnheader')).toHaveCount(6);
  await sheet
    .getByRole('row', { name: /Carbohydrate/ })
    .getByRole('button')
    .click();
  await expect(sheet).toContainText('at least 70 % of energy from carbohydrate');
  await expectAccessible(page);
});

test('a protocol is copied, changed with the effect shown, kept, used, sent out and removed', async ({
  page,
}) => {
  await openRules(page);
  await page.getByRole('button', { name: 'Heart-strict', exact: true }).last().click();
  const editor = page.getByRole('region', { name: 'Protocol of your own' });
  await editor.getByLabel('Name').fill('Towpath rules');
  await expect(editor).toContainText(/of \d+ dishes fit/);
  await editor.getByLabel('Fat share', { exact: true }).fill('60');
  await editor.getByLabel('Fat share: aim').fill('');
  await editor.getByRole('radio', { name: 'a wiped film' }).check();
  await expect(editor).toContainText(/Fat share: .*over → .*(within|near)/);
  await editor.getByLabel('Fat share: aim').fill('70');
  await expect(editor.getByRole('alert')).toContainText('aim lies above');
  await editor.getByLabel('Fat share: aim').fill('');
  await expectAccessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    schema: string;
    protocol: { name: string };
  };
  expect(file).toMatchObject({ schema: 'dulvet.protocol/1', protocol: { name: 'Towpath rules' } });
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'Towpath rules' })).toBeVisible();
  await page.getByLabel('Eats by').first().selectOption({ label: 'Towpath rules' });
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByRole('button', { name: /Maud.*Towpath rules/ })).toBeVisible();
  await page.keyboard.press('6');
  await page.getByRole('button', { name: 'Change Towpath rules' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).first().waitFor();
  await page.locator('.sheet').first().getByRole('button', { name: 'Remove', exact: true }).last().click();
  await expect(page.getByRole('columnheader', { name: 'Towpath rules' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('columnheader', { name: 'Towpath rules' })).toBeVisible();
});

test('a protocol that cannot hold is refused with the reason', async ({ page }) => {
  await openRules(page);
  await page.getByLabel('Protocol file to bring in').setInputFiles({
    name: 'x.json',
    mimeType: 'application/json',
    buffer: Buffer.from(
      JSON.stringify({
        schema: 'dulvet.protocol/1',
        protocol: {
          id: 'own-x',
          name: 'Two ends',
          says: '',
          switches: {},
          limits: [
            {
              id: 'a',
              label: 'Fibre',
              of: 'fibreG',
              per: 'serving',
              bound: 'least',
              unit: 'g',
              limit: 20,
              source: 'made up',
            },
            {
              id: 'b',
              label: 'Fibre again',
              of: 'fibreG',
              per: 'serving',
              unit: 'g',
              limit: 10,
              source: 'made up',
            },
          ],
        },
      }),
    ),
  });
  await expect(page.getByRole('alert').first()).toContainText('cannot both hold');
});

test('a diner’s plate, dislikes and medicine show on the Bench', async ({ page }) => {
  await openRules(page);
  const ida = page.getByRole('listitem').filter({ has: page.locator('input[value="Ida"]') });
  await ida.getByLabel(/Would rather not eat/).fill('potato');
  await ida.getByLabel(/Would rather not eat/).blur();
  await ida.getByLabel('Appetite').selectOption({ label: 'two plates' });
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  await takeIn(page, 'Plain potatoes\nServes 4\n\n2 kg potatoes\n½ tsp salt\n\nPressure cook them.');
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('and would rather not: potato');
  await expect(panel).toContainText('2× plate');
  await expect(panel).toContainText('Fill a pressure cooker at most two thirds');
  await expect(panel.getByRole('heading', { name: 'Room in the pot for' })).toBeVisible();
});

test('every gauge answers “why?” line by line', async ({ page }) => {
  await openBench(page);
  await page.getByRole('region', { name: 'Limits' }).getByRole('button', { name: 'Sodium' }).click();
  const panel = page.getByRole('complementary');
  await expect(panel.getByRole('heading', { name: /Why sodium/ })).toBeVisible();
  await expect(panel).toContainText('American Heart Association');
  await panel.getByText('2 tsp white miso').click();
  await expect(panel).toContainText('Read as White miso');
  await expectAccessible(page);
  await panel
    .getByRole('listitem')
    .filter({ hasText: '2 tsp white miso' })
    .getByRole('button', { name: 'To the line' })
    .click();
  await expect(row(page, '2 tsp white miso')).toBeVisible();
});

test('a part that is eaten by half, and a recipe inside a recipe', async ({ page }) => {
  await openBench(page);
  await page.goto('/shelf');
  await page.getByRole('link', { name: /Winding Hole polenta/ }).click();
  await expect(row(page, '1 batch Lock House tomato sauce')).toContainText('g');
  await choose(page, '100 g cashews');
  await page.keyboard.press('w');
  await expect(page.getByRole('complementary')).toContainText('50 % of this part is eaten with the dish');
});

test('a pickle is recognised and left alone', async ({ page }) => {
  await openBench(page);
  await takeIn(
    page,
    'Quick pickled cucumbers\nServes 8\n\n1 kg cucumbers\n500 ml vinegar\n2 tbsp salt\n\nPour the hot brine over and seal the jars.',
  );
  await expect(page.getByRole('complementary')).toContainText('This is a pickle');
  await choose(page, '2 tbsp salt');
  await expect(page.getByRole('region', { name: 'Swaps' })).toHaveCount(0);
});

test('the Rules work at 390 px and by night', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.emulateMedia({ colorScheme: 'dark' });
  await openRules(page);
  await expectAccessible(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

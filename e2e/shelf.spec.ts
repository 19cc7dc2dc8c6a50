import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible, fromMenu, openBench, row, takeIn } from './kitchen';

test('the Shelf lists, opens, throws away and takes back', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('2');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Shelf');
  const stew = page
    .getByRole('row')
    .filter({ hasText: 'Heron’s bean and squash stew' })
    .or(page.getByRole('row').filter({ hasText: "Heron's bean and squash stew" }));
  await expect(stew.getByRole('img', { name: 'within' })).toHaveCount(3);
  await expectAccessible(page);
  await fromMenu(page, stew, 'Remove');
  await expect(stew).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stew).toHaveCount(1);
  await fromMenu(page, stew, 'Remove');
  await expect(stew).toHaveCount(0);
  await page.reload();
  await page.getByText('One recipe taken off the shelf').click();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(stew).toHaveCount(1);
  await stew.getByRole('link').click();
  await expect(row(page, '200 g kale')).toBeVisible();
});

test('a recipe goes out as text', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'Out pot\nServes 2\n\n1 cup brown rice');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Out pot');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as text' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('out-pot.md');
  expect(readFileSync(await download.path(), 'utf8')).toBe('Out pot\nServes 2\n\n1 cup brown rice');
});

test('everything goes out in one file and comes back in another kitchen', async ({ page, browser }) => {
  await openBench(page);
  await takeIn(page, 'Moving pot\nServes 2\n\n1 cup brown rice');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Moving pot');
  await page.keyboard.press(',');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  const file = await download.path();
  const other = await browser.newContext();
  const kitchen = await other.newPage();
  await openBench(kitchen);
  await kitchen.keyboard.press(',');
  await kitchen
    .getByLabel('Archive to bring in')
    .setInputFiles({ name: 'kitchen.json', mimeType: 'application/json', buffer: readFileSync(file) });
  await expect(kitchen.getByText(/recipes brought in/)).toBeVisible();
  await kitchen.goto('/shelf');
  await expect(kitchen.getByRole('row').filter({ hasText: 'Moving pot' })).toHaveCount(1);
  await other.close();
});

test('a bad file is refused: where, why, and nothing changed', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press(',');
  const input = page.getByLabel('Archive to bring in');
  await input.setInputFiles({
    name: 'bad.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"schema": "dulvet.archive/1", "recipes": [{"id": 3}], "diners": []}'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'bad.json' })).toContainText('recipes [1]');
  await input.setInputFiles({
    name: 'worse.json',
    mimeType: 'application/json',
    buffer: Buffer.from('not json'),
  });
  await expect(page.getByRole('alert').filter({ hasText: 'worse.json' })).toContainText(
    'Nothing was changed',
  );
  await page.goto('/shelf');
  await expect(page.getByRole('row')).toHaveCount(19);
});

test('diners: an allergy is seen at once, a protocol judged anew', async ({ page }) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'The table' });
  await expectAccessible(page);
  await dialog.getByRole('listitem').first().getByLabel('soy').check();
  await dialog.getByRole('listitem').first().getByLabel('Eats by').selectOption('everyday');
  await page.keyboard.press('Escape');
  const first = page.getByRole('group', { name: 'Diners' }).getByRole('button').first();
  await expect(first).toContainText('has soy');
  await expect(first).toContainText('Everyday');
});

test('the metric cup changes the reading', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'Cup\nServes 1\n\n1 cup water');
  await expect(row(page, '1 cup water')).toContainText('237 g');
  await page.keyboard.press(',');
  await page.getByLabel('the metric cup, 250 ml').check();
  await page.keyboard.press('Escape');
  await expect(row(page, '1 cup water')).toContainText('250 g');
});

test('a new recipe begins beside the last ones, or with a sample', async ({ page }) => {
  await openBench(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'New recipe' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('A new recipe');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Try a sample' }).click();
  await expect(page.getByRole('region', { name: 'Lines' })).toBeVisible();
});

test('the Shelf is searched as one types, sorted, and two scraps are joined into one recipe', async ({
  page,
}) => {
  await openBench(page);
  await takeIn(page, 'Quay scrap\n\n1 kg carrots\n2 onions');
  await expect(row(page, '1 kg carrots')).toBeVisible();
  await takeIn(page, 'Quay method\nServes 4\n\n1 kg carrots\n1 tsp cumin\n\nMethod\nSimmer the carrots.');
  await expect(row(page, '1 tsp cumin')).toBeVisible();
  await page.goto('/shelf');
  const find = page.getByRole('searchbox');
  await find.fill('quay');
  const rows = page.getByRole('row').filter({ has: page.getByRole('link') });
  await expect(rows).toHaveCount(2);
  await fromMenu(page, page.getByRole('row', { name: /Quay scrap/ }), 'Join with another');
  await page
    .getByRole('row', { name: /Quay method/ })
    .getByRole('button', { name: 'Join with this' })
    .click();
  await expect(rows).toHaveCount(3);
  await expectAccessible(page);
  await rows.first().getByRole('link').click();
  await expect(row(page, '1 tsp cumin')).toBeVisible();
  await expect(row(page, '2 onions')).toBeVisible();
});

test('who a dish fits is sure before it is shown', async ({ page }) => {
  await openBench(page);
  await page.goto('/shelf');
  const rows = page.getByRole('row').filter({ has: page.getByRole('link') });
  await expect(page.getByRole('img', { name: 'within' }).first()).toBeVisible();
  const all = await rows.count();
  await page.getByLabel('Fits').selectOption({ label: 'everyone' });
  await expect(rows).not.toHaveCount(all);
});

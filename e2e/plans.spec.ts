import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible, openBench, row, takeIn } from './kitchen';

test('the least change is found for everyone, made, and undone as one step', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('l');
  const plans = page.getByRole('region', { name: 'The least change' });
  await expect(plans.getByRole('button', { name: /Make these changes/ })).toBeVisible({ timeout: 20_000 });
  await expect(plans).toContainText('4 tbsp olive oil');
  await expectAccessible(page);
  await plans.getByRole('button', { name: /Make these changes/ }).click();
  await expect(row(page, 'olive oil')).toHaveCount(0);
  const diners = page.getByRole('group', { name: 'Diners' });
  await expect(diners.getByRole('img', { name: /over|depends|not known/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(row(page, '4 tbsp olive oil')).toBeVisible();
});

test('a line that is kept stays out of the plan', async ({ page }) => {
  await openBench(page);
  await takeIn(
    page,
    'Pot\nServes 4\n\n1 tbsp walnuts\n1 kg potatoes\n1 tsp salt\n\nBoil the potatoes with the salt.',
  );
  await page.getByRole('button', { name: /Tobin/ }).click();
  await page.keyboard.press('l');
  const plans = page.getByRole('region', { name: 'The least change' });
  await plans.getByRole('button', { name: 'for Tobin' }).click();
  const salt = plans.getByRole('listitem').filter({ hasText: '1 tsp salt' }).first();
  await salt.getByRole('button', { name: 'Keep this line as it is' }).click({ timeout: 20_000 });
  await expect(plans.getByRole('list', { name: 'Kept as they are' })).toContainText('1 tsp salt');
  await expect(plans).toContainText('No plan brings it within', { timeout: 20_000 });
});

test('as written, moderate and light stand side by side; one is kept as a recipe of its own', async ({
  page,
}) => {
  await openBench(page);
  await page.keyboard.press('v');
  const dialog = page.getByRole('dialog', { name: 'Versions side by side' });
  await expect(dialog.getByRole('row', { name: /500 kcal buy/ })).toBeVisible({ timeout: 25_000 });
  await expect(dialog.getByRole('columnheader')).toHaveCount(4);
  await expect(
    dialog.getByRole('region', { name: 'Frontier' }).getByRole('button', { name: /as written/ }),
  ).toBeVisible();
  await expectAccessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Save the sheet' }).click(),
  ]);
  expect(readFileSync(await download.path(), 'utf8')).toContain('versions side by side');
  await dialog.getByRole('button', { name: /Keep the light one/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/, light$/);
  await page.goto('/shelf');
  await expect(
    page.getByRole('link', { name: /Narrowboat aubergine and butter bean bake, light/ }),
  ).toBeVisible();
});

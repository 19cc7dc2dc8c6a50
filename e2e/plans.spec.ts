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
  // the Bench's own button: the one in the passing message may be on its way out
  await page.getByRole('main').getByRole('button', { name: /^Undo/ }).click();
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
  const frontier = dialog.getByRole('region', { name: 'Frontier' });
  await frontier.getByRole('button', { name: 'sodium', exact: true }).click();
  await expect(frontier).toContainText('the sodium so low');
  await expectAccessible(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    dialog.getByRole('button', { name: 'Save the sheet' }).click(),
  ]);
  const sheet = readFileSync(await download.path(), 'utf8');
  expect(sheet).toContain('side by side');
  for (const words of ['500 kcal buy', 'Cost', 'Maud', '> 3 cloves garlic']) expect(sheet).toContain(words);
  await dialog.getByRole('button', { name: /Keep the light one/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/, light$/);
  await page.getByRole('link', { name: 'Narrowboat aubergine and butter bean bake', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/bake$/);
  await expect(page.getByText('Its versions')).toBeVisible();
  await page.goto('/shelf');
  await expect(
    page.getByRole('link', { name: /Narrowboat aubergine and butter bean bake, light/ }),
  ).toBeVisible();
});

test('what a food is there for can be overruled, and a line can be made to change', async ({ page }) => {
  await openBench(page);
  await row(page, '4 tbsp olive oil').getByRole('button').first().click();
  const panel = page.getByRole('complementary', { name: 'The chosen line' });
  await expect(panel.getByRole('region', { name: 'Swaps' })).toBeVisible();
  await expect(panel.getByRole('list').filter({ hasText: 'taste' }).first()).toBeVisible();
  await panel.getByLabel('It is there for').selectOption({ label: 'dressing' });
  await expect(panel).toContainText('you said so');
  await expectAccessible(page);
  await page.reload();
  await row(page, '4 tbsp olive oil').getByRole('button').first().click();
  await expect(panel).toContainText('you said so');
  await panel.getByLabel('It is there for').selectOption({ label: 'what Dulvet reads' });
  await expect(panel).not.toContainText('you said so');
  await page.keyboard.press('c');
  const plans = page.getByRole('region', { name: 'The least change' });
  await expect(plans.getByRole('list', { name: 'Must change' })).toContainText('4 tbsp olive oil');
  await expect(plans.getByRole('button', { name: /Make these changes/ })).toBeVisible({ timeout: 20_000 });
  await plans.getByText('The recipe, changes marked').click();
  await expect(plans.locator('del').first()).toBeVisible();
  await expect(plans.locator('ins').first()).toBeVisible();
});

test('a swap that was made is asked about, and the answer is kept', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'Pot\nServes 4\n\n2 tbsp olive oil\n2 onions\n\nFry the onions in the oil.');
  await row(page, '2 tbsp olive oil').getByRole('button').first().click();
  const swaps = page.getByRole('region', { name: 'Swaps' });
  const stock = swaps.getByRole('listitem').filter({ hasText: 'Soften in stock' }).first();
  await expect(stock).toContainText('it worked before');
  if ((await stock.getByRole('button', { expanded: true }).count()) === 0)
    await stock.getByRole('button').first().click();
  await expect(stock).toContainText('Did it work?');
  await stock.getByRole('button', { name: 'it did not' }).click();
  await expect(swaps.getByText('it did not work before').first()).toBeVisible();
});

test('a kept recipe stands beside the versions, with what it costs and who may eat it', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('v');
  const dialog = page.getByRole('dialog', { name: 'Versions side by side' });
  await expect(dialog.getByRole('row', { name: /500 kcal buy/ })).toBeVisible({ timeout: 25_000 });
  await dialog.getByLabel('beside it').selectOption({ label: 'Towpath red lentil soup' });
  await expect(dialog.getByRole('columnheader', { name: /Towpath red lentil soup/ })).toBeVisible();
  await expect(dialog.getByRole('row', { name: /Cost, a plate/ })).toContainText('€');
  await expect(dialog.getByRole('row', { name: /^Tobin/ })).toContainText('must not: nuts');
  await dialog.getByRole('button', { name: '100 g' }).click();
  await expect(dialog.getByRole('columnheader', { name: '100 g as eaten' })).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: /take away Towpath red lentil soup/ }).click();
  await expect(dialog.getByRole('columnheader', { name: /Towpath/ })).toHaveCount(0);
});

import { expect, test } from '@playwright/test';
import { choose, openBench, row, takeIn } from './kitchen';

test('Enter activates what has the focus, whatever line is chosen', async ({ page }) => {
  await openBench(page);
  await choose(page, '4 tbsp olive oil');
  await page.getByRole('button', { name: /^Settings/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Settings' })).toBeVisible();
  await expect(page.getByLabel('Words of this line')).toBeHidden();
  await page.keyboard.press('Escape');
  // the focus is back where the sheet was opened from
  await expect(page.getByRole('button', { name: /^Settings/ })).toBeFocused();
  await page.getByRole('link', { name: 'Shelf' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
});

test('A carries a plan out', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'Key pot\nServes 4\n\n2 tbsp olive oil\n1 kg potatoes\n\nFry the potatoes in the oil.');
  await expect(row(page, '2 tbsp olive oil')).toBeVisible();
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: /Make these changes/ })).toBeVisible({ timeout: 30_000 });
  await page.keyboard.press('a');
  await expect(row(page, '2 tbsp olive oil')).toHaveCount(0);
});

test('single keys can be turned off; Control keys stay', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press(',');
  await page.getByLabel(/Single keys act/).uncheck();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.getByRole('button', { name: 'One serving more' }).click();
  const servings = page.getByTestId('servings');
  const after = await servings.textContent();
  await page.keyboard.press('Control+z');
  await expect(servings).not.toHaveText(after ?? '');
});

test('the focus returns to a sheet’s opener or the page after a key opened it', async ({ page }) => {
  await openBench(page);
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Table', exact: true })).toBeFocused();
  await page.keyboard.press('Tab');
  const at = page.locator(':focus');
  await expect(at).toHaveCount(1);
});

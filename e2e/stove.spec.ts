import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openBench, row, takeIn } from './kitchen';

const step = (page: Page) => page.getByRole('region', { name: 'The step at hand' });

/** A supper of one dish of our own, planned and not begun. */
async function laySupper(page: Page, text: string, title: string) {
  await openBench(page);
  await takeIn(page, text);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(title);
  await page.keyboard.press('3');
  await page.getByRole('button', { name: 'Clear' }).click();
  await page.getByLabel('Look for a recipe').fill(title);
  await page.getByRole('checkbox', { name: title }).check();
  await page.getByRole('button', { name: 'Plan the supper' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(title);
  await expect(step(page)).toBeVisible();
}

const STEW =
  'Sluice stew\nServes 4\n\nIngredients\n1 onion, chopped\n900 g potatoes\n200 g red lentils, rinsed\n1 litre water\n\nMethod\nSoften the onion for 5 minutes. Add the potatoes, lentils and water and simmer for 25 minutes.';

test('a half-done supper stands where it was: lanes, timers, everyone’s limit line', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('3');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Weirside barley and mushroom pot');
  const plan = page.getByRole('region', { name: 'The plan' });
  await expect(plan.getByText('Wren', { exact: true })).toBeVisible();
  await expect(plan.getByText(/^now /)).toBeVisible();
  await expect(page.getByRole('timer', { name: /The barley simmers/ })).toBeVisible();
  await expect(
    page.getByRole('region', { name: 'Tasting' }).getByText('Maud', { exact: true }),
  ).toBeVisible();
  await expectAccessible(page);
});

test('a supper is planned, cooked step by step, and stands in the Log', async ({ page }) => {
  await laySupper(page, STEW, 'Sluice stew');
  await page.getByRole('checkbox', { name: /900 g potatoes/ }).click();
  await expect(page.getByRole('checkbox', { name: /900 g potatoes/ })).toBeChecked();
  await page.getByRole('button', { name: 'Begin cooking' }).click();
  await expect(step(page).getByRole('button', { name: /Done/ })).toBeVisible();
  const first = await step(page).locator('p').nth(1).innerText();
  await page.keyboard.press('Enter');
  await expect(step(page).locator('p').nth(1)).not.toHaveText(first);
  // a crash, a reload: it stays where it was
  const second = await step(page).locator('p').nth(1).innerText();
  await page.reload();
  await expect(step(page).locator('p').nth(1)).toHaveText(second);
  await page.getByLabel('What was added').fill('½ tsp salt');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Take back ½ tsp salt' })).toBeVisible();
  await page.getByRole('button', { name: 'It is on the table' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Log');
  await expect(page.getByRole('region', { name: 'Sluice stew' })).toContainText('½ tsp salt');
  await page
    .getByRole('region', { name: 'Sluice stew' })
    .getByRole('button', { name: 'again' })
    .first()
    .click();
  await page.getByLabel('What is left, g').fill('640');
  await page.getByRole('button', { name: 'Box it' }).click();
  await expect(page.getByRole('region', { name: 'Boxes' })).toContainText('Sluice stew, 640 g');
  await page.reload();
  await expect(
    page.getByRole('region', { name: 'Sluice stew' }).getByRole('button', { name: 'again' }).first(),
  ).toHaveAttribute('aria-pressed', 'true');
  await expectAccessible(page);
  // what is in the box is a food of other dishes, as it was cooked
  await page.getByLabel('Make another dish of Sluice stew').selectOption('a soup');
  await row(page, '640 g leftover sluice stew').getByRole('button').click();
  await expect(page.getByText('Leftover Sluice stew', { exact: false }).first()).toBeVisible();
});

test('a step is said in the cook’s own words, and done in her own order', async ({ page }) => {
  await laySupper(page, STEW, 'Sluice stew');
  await page.getByRole('button', { name: 'Begin cooking' }).click();
  const change = step(page).getByRole('button', { name: 'Change this step' });
  // the knife's work comes from the lines: no step of the method yet
  await expect(step(page).getByRole('button', { name: /Done/ })).toBeVisible();
  while ((await change.count()) === 0) {
    const shown = (await step(page).textContent()) ?? '';
    await step(page).getByRole('button', { name: 'The next step' }).click();
    await expect(step(page)).not.toHaveText(shown);
  }
  await change.click();
  await page
    .getByLabel(/This step, for this pot/)
    .fill('Soften the leeks in a splash of water for 7 minutes.');
  await page.getByRole('button', { name: 'Keep these words' }).click();
  await expect(step(page)).toContainText('7 minutes');
  await page.reload();
  await expect(step(page)).toBeVisible();
  await page.getByRole('button', { name: 'Clear' }).click();
});

test('the room on a key shrinks as it is tapped, and taking back gives it back', async ({ page }) => {
  await laySupper(page, STEW, 'Sluice stew');
  const tasting = page.getByRole('region', { name: 'Tasting' });
  const maud = tasting.getByText(/of 500 mg/).first();
  const before = await maud.innerText();
  await tasting.getByRole('button', { name: /^Soy sauce, reduced/ }).click();
  await expect(maud).not.toHaveText(before);
  await tasting.getByRole('button', { name: /Take back/ }).click();
  await expect(maud).toHaveText(before);
});

test('a drizzle that is weighed is one’s own from then on', async ({ page }) => {
  await laySupper(page, STEW, 'Sluice stew');
  await page.getByText(/^Scale:/).click();
  await page.getByLabel('On the scale, g').fill('412');
  await page.getByLabel('In your words').fill('a splash of cider vinegar');
  await page.getByRole('button', { name: 'Bottle before' }).click();
  await page.getByLabel('On the scale, g').fill('403');
  await page.getByRole('button', { name: 'Poured 9 g: add it' }).click();
  await expect(page.getByRole('button', { name: /Take back 9 g/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.goto('/log');
  await expect(page.getByRole('region', { name: 'Your hand' })).toContainText('splash');
});

test('the plan goes out as a calendar, and 390 px hold it', async ({ page }) => {
  await laySupper(page, STEW, 'Sluice stew');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar' }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  expect(text).toMatch(/^BEGIN:VCALENDAR/);
  expect(text).toContain('On the table: Sluice stew');
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(step(page)).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await expectAccessible(page);
});

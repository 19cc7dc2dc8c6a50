import { expect, test, type Page } from '@playwright/test';
import { choose, expectAccessible, openBench, putText, row, takeIn } from './kitchen';

async function openLarder(page: Page): Promise<void> {
  await openBench(page);
  await page.keyboard.press('5');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Larder');
  await expect(page.getByText('12 packets of your own')).toBeVisible();
}
const field = (page: Page) => page.getByRole('searchbox', { name: /Search foods/ });
const food = (page: Page, name: RegExp) =>
  page.getByRole('group', { name: 'Foods' }).getByRole('button', { name });

test('a food is found by a slip of the pen, and its page answers with figures, portions and uses', async ({
  page,
}) => {
  await openLarder(page);
  await page.keyboard.press('/');
  await field(page).fill('aubergin');
  await food(page, /^Aubergine(?!,)/).click();
  const sheet = page.getByRole('article', { name: 'Aubergine' });
  await expect(sheet.getByRole('row', { name: /Energy/ })).toContainText('25 kcal');
  await expect(sheet).toContainText('Indian Food Composition Tables 2017');
  await expect(sheet.getByRole('link', { name: /Narrowboat aubergine/ })).toBeVisible();
  await expectAccessible(page);
});

test('a packet is typed in, read as it is typed, and used in a recipe by its name', async ({ page }) => {
  await openLarder(page);
  await page.keyboard.press('p');
  await page.getByLabel('Name, as you will write it').fill('Towpath bean paste');
  const label = page.getByLabel(/What the packet says/);
  await putText(label, 'Fat free\nServing size 5 g\nNutrition Facts\nCalories 10\nTotal Fat 0g\nSodium 95mg');
  const reading = page.getByRole('region', { name: 'What is read' });
  await expect(reading).toContainText('No ingredient statement');
  await putText(
    label,
    'Fat free\nServing size 5 g\nNutrition Facts\nCalories 10\nTotal Fat 0g\nSodium 95mg\nTotal Carbohydrate 2g\n\nIngredients: Black beans, soybean oil, salt.',
  );
  await expect(reading.getByRole('listitem').filter({ hasText: 'soybean oil' }).first()).toContainText(
    'oil or fat',
  );
  // 21 CFR 101.9(c)(2): under 0.5 g prints as 0, a tenth of a 5 g serving
  await expect(reading.getByRole('row', { name: /^Fat/ }).first()).toContainText('0–10 g');
  await expectAccessible(page);
  await page.getByRole('button', { name: /Done/ }).click();
  await expect(page.getByRole('article', { name: 'Towpath bean paste' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  await takeIn(page, 'Bean supper\nServes 2\n\n20 g towpath bean paste\n1 cup brown rice');
  await expect(row(page, 'towpath bean paste')).toContainText('20 g');
  await choose(page, 'towpath bean paste');
  await expect(page.getByRole('link', { name: 'Towpath bean paste in the Larder' })).toBeVisible();
  await expect(page.getByRole('complementary')).toContainText('oil in a product');
});

test('a packet taken out comes back', async ({ page }) => {
  await openLarder(page);
  await food(page, /^Cooking spray/).click();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByText('11 packets')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('12 packets')).toBeVisible();
});

test('packets stand side by side on a diner’s limits', async ({ page }) => {
  await openLarder(page);
  for (const name of [/^Tinned chickpeas, lock/, /^Tinned chickpeas in water/]) {
    await food(page, name).click();
    await expect(page.getByRole('article', { name })).toBeVisible();
    await page.getByRole('button', { name: /Beside others/ }).click();
  }
  await page.getByRole('button', { name: 'Side by side, 2' }).click();
  const table = page.getByRole('table', { name: /Side by side, for Heart-strict/ });
  await expect(table.getByRole('row', { name: /Sodium, in 100 g/ })).toContainText('least');
  await expectAccessible(page);
  await page.getByLabel('Whose limits').selectOption({ label: 'Tobin, Nothing added' });
  await expect(
    page.getByRole('table', { name: /for Nothing added/ }).getByRole('row', { name: /Added salt/ }),
  ).toContainText('not allowed');
});

test('“when I write stock I mean this one” is remembered, seen and undone', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'Pot\nServes 2\n\n1 litre stock\n1 cup brown rice');
  await choose(page, '1 litre stock');
  await page.keyboard.press('f');
  await page.getByLabel('Which food').fill('jar stock');
  await page.getByRole('button', { name: /Vegetable stock, no salt, jar/ }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: /Mean this whenever I write/ }).click();
  await expect(page.getByText(/By “stock” you mean/)).toBeVisible();
  await takeIn(page, 'Another pot\nServes 2\n\n500 ml hot stock\n1 cup brown rice');
  await choose(page, 'hot stock');
  await expect(page.getByText(/By “(?:hot )?stock” you mean/)).toBeVisible();
  await page.keyboard.press('5');
  // the notice of it is a list item too, outside the page’s own part
  const words = page.getByRole('main').getByRole('listitem').filter({ hasText: '“stock” is' });
  await expect(words).toBeVisible();
  await words.getByRole('button', { name: /Forget/ }).click();
  await expect(words).toHaveCount(0);
});

test('a weighed pot and plate overrule the estimate', async ({ page }) => {
  await openBench(page);
  await takeIn(
    page,
    'Rice pot\nServes 4\n\n200 g brown rice\n1 litre water\n\nSimmer the rice in the water.',
  );
  const panel = page.getByRole('complementary');
  await expect(panel.getByRole('heading', { name: 'As eaten' })).toBeVisible();
  await panel.getByLabel('The whole pot weighed').fill('600');
  await panel.getByLabel('The whole pot weighed').press('Enter');
  await expect(panel).toContainText('600 g of 1202 g that goes in');
  await panel.getByLabel('One plate weighed').fill('200');
  await panel.getByLabel('One plate weighed').press('Enter');
  await expect(page.getByTestId('servings')).toHaveText('3');
});

test('the Larder works at 390 px and by night', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.emulateMedia({ colorScheme: 'dark' });
  await openLarder(page);
  await expectAccessible(page);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth);
  expect(wide).toBeLessThanOrEqual(390);
});

test('what is in the kitchen and what it costs is kept, and counts on the Bench', async ({ page }) => {
  await page.goto('/larder?food=aubergine');
  const kitchen = page.getByRole('article');
  await expect(kitchen.getByLabel('What Aubergine costs')).toHaveValue('1.1');
  await kitchen.getByLabel('What Aubergine costs').fill('3,30');
  await kitchen.getByLabel('it is there').check();
  await kitchen.getByLabel('For how much of it').fill('a heap');
  await kitchen.getByLabel('For how much of it').blur();
  await expect(kitchen.getByRole('status')).toContainText('Say what you pay');
  await kitchen.getByLabel('For how much of it').fill('1 aubergine');
  await kitchen.getByLabel('For how much of it').blur();
  await page.reload();
  await expect(kitchen.getByLabel('What Aubergine costs')).toHaveValue('3.3');
  await expect(kitchen.getByLabel('it is there')).toBeChecked();
  await page.goto('/');
  await expect(page.getByText('Cost, by your prices')).toBeVisible();
});

import { expect, test } from '@playwright/test';
import { expectAccessible, openBench } from './kitchen';

test('the Week judges whole days, shows pots and what spoils, and goes out as a shopping list', async ({
  page,
}) => {
  await openBench(page);
  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Week');
  const monday = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Monday/ }) });
  await expect(monday).toContainText('of 1500 mg');
  await expect(monday).toContainText('60 g oats');
  await expect(page.getByRole('region', { name: 'Pots' })).toContainText(
    'eaten on Saturday, keeps until Friday',
  );
  // a meal that nobody understands leaves its day open, and is named
  const friday = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Friday/ }) });
  await expect(friday).toContainText('a plate of whatever there is');
  await expect(friday.getByRole('img', { name: 'depends' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Shopping list' }).click();
  const list = page.getByRole('region', { name: 'Shopping list' });
  await expect(list).toContainText('Red lentils');
  await list.getByRole('checkbox', { name: /Red lentils/ }).click();
  await expect(list.getByRole('checkbox', { name: /Red lentils/ })).toBeChecked();
  await page.reload();
  await page.getByRole('button', { name: 'Shopping list' }).click();
  await expect(list.getByRole('checkbox', { name: /Red lentils/ })).toBeChecked();
});

test('a pot is cooked, eaten by everyone, and taken out again', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('4');
  await page
    .getByLabel('Recipe', { exact: true })
    .selectOption({ label: 'Weirside barley and mushroom pot' });
  await page.getByRole('button', { name: 'Cook', exact: true }).click();
  const pots = page.getByRole('region', { name: 'Pots' });
  await expect(pots).toContainText('Weirside barley and mushroom pot');
  const sunday = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Sunday/ }) });
  await sunday.getByRole('button', { name: '+ something eaten' }).click();
  await sunday.getByLabel('What').selectOption({ label: 'Weirside barley and mushroom pot' });
  await sunday.getByRole('button', { name: 'Add' }).click();
  await expect(sunday).toContainText('Maud, Tobin, Ida: a plate of Weirside barley and mushroom pot');
  await expect(pots).toContainText('eaten on Sunday, keeps until Friday');
  await page.reload();
  await expect(sunday).toContainText('Weirside barley and mushroom pot');
  await sunday.getByRole('button', { name: /Take out supper/ }).click();
  await expect(sunday).not.toContainText('Weirside');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sunday).toContainText('Weirside barley and mushroom pot');
  await page.setViewportSize({ width: 390, height: 844 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});

test('food groups stand against goals that are the cook’s own', async ({ page }) => {
  await page.goto('/week');
  const groups = page.getByRole('region', { name: 'Food groups' });
  await expect(groups.getByRole('listitem')).toHaveCount(8);
  await expect(groups).toContainText('Beans, peas, lentils, soya');
  await groups.getByRole('button', { name: 'Set the goals' }).click();
  const beans = groups.getByLabel(/Beans, peas/);
  await beans.fill('1.5');
  await beans.blur();
  await groups.getByRole('button', { name: 'Done' }).click();
  await expect(groups).toContainText('of 1.5 cup');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Food groups' })).toContainText('of 1.5 cup');
  await expectAccessible(page);
});

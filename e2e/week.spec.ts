import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openBench } from './kitchen';

/** The Week of the demo kitchen. */
async function openWeek(page: Page): Promise<void> {
  await openBench(page);
  await page.keyboard.press('4');
  await expect(page.getByRole('region', { name: 'Pots' })).toContainText('plates left');
}

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

test('a week is planned in the background, and taken over only when the cook says so', async ({ page }) => {
  await openWeek(page);
  await page.getByRole('button', { name: 'Clear the week' }).click();
  const plan = page.getByRole('region', { name: 'Plan it for me' });
  // three days are enough to be sure of
  for (const day of ['Thu', 'Fri', 'Sat', 'Sun'])
    await plan.getByRole('button', { name: day, exact: true }).click();
  await plan.getByRole('button', { name: 'Plan', exact: true }).click();
  await expect(plan).toContainText(/Every limit holds|Not everything fits/, { timeout: 60_000 });
  await expect(page.getByRole('button', { name: /^Move / })).toHaveCount(0);
  const good = plan.getByRole('button', { name: 'Good enough' });
  const take = plan.getByRole('button', { name: 'Take this plan' });
  await expect(take.or(good).first()).toBeVisible();
  await take.click();
  await expect(page.getByText('The plan stands in the week.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Move supper/ }).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'Pots' })).toContainText('plates left');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByRole('button', { name: /^Move / })).toHaveCount(0);
});

test('a meal is moved to the next day by keys alone, and back by the notice', async ({ page }) => {
  await openWeek(page);
  const handle = page.getByRole('button', { name: /^Move supper: Lockside chickpea/ });
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/over Tuesday/)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/over Wednesday/)).toBeAttached();
  await page.keyboard.press('Space');
  await expect(page.getByText(/is on Wednesday/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(
    page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Tuesday/ }) }),
  ).toContainText('Lockside chickpea');
});

test('a pot is cooked on another day by keys alone', async ({ page }) => {
  await openWeek(page);
  const monday = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Monday/ }) });
  const handle = monday.getByRole('button', { name: /^Move the pot of / }).first();
  const name = (await handle.getAttribute('aria-label'))?.replace(
    /^Move the pot of (.*) to another day$/,
    '$1',
  );
  await handle.focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/over Monday/)).toBeAttached();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText(/over Tuesday/)).toBeAttached();
  await page.keyboard.press('Space');
  await expect(page.getByText(/is on Tuesday/).first()).toBeVisible();
  const tuesday = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /^Tuesday/ }) });
  await expect(
    tuesday.getByRole('button', { name: `Move the pot of ${name ?? ''} to another day` }),
  ).toBeVisible();
});

test('beans are bought in tins or dry, each with what it costs and takes', async ({ page }) => {
  await openWeek(page);
  await page.getByRole('button', { name: 'Shopping list' }).click();
  const list = page.getByRole('region', { name: 'Shopping list' });
  const ways = list.getByRole('group', { name: 'In tins or dry' }).first();
  await expect(ways).toContainText(/simmers .* min/);
  await ways.getByRole('button', { name: 'Dry' }).click();
  await expect(list.getByRole('button', { name: 'Dry', pressed: true })).toBeVisible();
  await expect(list.getByRole('checkbox', { name: /dry, / }).first()).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Shopping list' }).click();
  await expect(list.getByRole('button', { name: 'Dry', pressed: true })).toBeVisible();
});

test('a day says why, and the shop says which product holds for whom', async ({ page }) => {
  await openWeek(page);
  await page
    .getByRole('button', { name: /^Fat share.*why/ })
    .first()
    .click();
  await expect(page.getByText(/At most 10 % kcal/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Shopping list' }).click();
  const list = page.getByRole('region', { name: 'Shopping list' });
  await list.getByRole('button', { name: 'In the shop' }).first().click();
  await expect(list.getByRole('button', { name: 'Take it' }).first()).toBeVisible({ timeout: 30_000 });
  await list.getByRole('button', { name: 'Take it' }).first().click();
  await expect(page.getByText('is a packet of the Larder')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expectAccessible(page);
});

import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { choose, expectAccessible, fromMenu, openBench, row, takeIn } from './kitchen';

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

test('a recipe changed in two kitchens is put together line by line; a line that both changed is told', async ({
  page,
}) => {
  const text = 'Weir pot\n\nServes 2\n\n200 g rice\n3 leeks\n1 tsp salt\n\nSimmer 20 minutes.';
  const at = 1_700_000_000_000;
  const recipe = (words: string, updatedAt: number) => ({
    id: 'weir-pot',
    text: words,
    role: null,
    servings: null,
    corrections: {},
    potG: null,
    plateG: null,
    createdAt: at,
    updatedAt,
    deletedAt: null,
    shared: { text, at },
  });
  const bring = (words: string, updatedAt: number) =>
    page.getByLabel('Archive to bring in').setInputFiles({
      name: 'other.json',
      mimeType: 'application/json',
      buffer: Buffer.from(
        JSON.stringify({ schema: 'dulvet.archive/1', recipes: [recipe(words, updatedAt)], diners: [] }),
      ),
    });
  await openBench(page);
  await page.keyboard.press(',');
  await bring(text, at);
  await expect(page.getByText(/One recipe brought in: 1 new/)).toBeVisible();
  await page.goto('/shelf');
  await page
    .getByRole('link', { name: /Weir pot/ })
    .first()
    .click();
  await choose(page, '3 leeks');
  await page.keyboard.press('e');
  await page.getByLabel('Words of this line').fill('4 leeks');
  await page.keyboard.press('Enter');
  await expect(row(page, '4 leeks')).toBeVisible();
  await page.keyboard.press(',');
  // changed there long ago: what was written here stands
  await bring(text.replace('200 g rice', '150 g rice').replace('3 leeks', '5 leeks'), at + 2);
  const told = page.getByRole('alert').filter({ hasText: 'changed on both sides' });
  await expect(told).toContainText('Weir pot');
  await expect(told).toContainText('“5 leeks”');
  await expectAccessible(page);
  await told.getByRole('button', { name: 'Leave it so' }).click();
  await page.keyboard.press('Escape');
  await expect(row(page, '150 g rice')).toBeVisible();
  await expect(row(page, '4 leeks')).toBeVisible();
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

test('recipes are starred, tagged, looked for and taken off together', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('2');
  const named = (name: RegExp) => page.getByRole('row').filter({ has: page.getByRole('link', { name }) });
  const curry = named(/Lockside chickpea/);
  await curry.getByRole('button', { name: /^Star/ }).click();
  await expect(curry.getByRole('button', { name: /^Star/ })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('checkbox', { name: 'Starred' }).check();
  await expect(page.getByText(/^1 of \d+ recipes$/)).toBeVisible();
  await page.getByRole('button', { name: 'Show all' }).click();

  await curry.getByRole('checkbox').check();
  await named(/Boathouse tofu/)
    .getByRole('checkbox')
    .check();
  const chosen = page.getByRole('region', { name: 'Chosen recipes' });
  await chosen.getByLabel('Tag for the chosen').fill('weekday');
  await chosen.getByRole('button', { name: 'Tag', exact: true }).click();
  await expect(curry).toContainText('weekday');
  await page.getByRole('combobox', { name: /^Tag(?! for)/ }).selectOption('weekday');
  await expect(page.getByText(/^2 of \d+ recipes$/)).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    chosen.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  const saved = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
    recipes: { tags: string[] }[];
    settings?: unknown;
  };
  expect(saved.recipes.map((r) => r.tags)).toEqual([['weekday'], ['weekday']]);
  expect(saved.settings).toBeUndefined();
  await expectAccessible(page);

  await chosen.getByLabel('Judge them by').selectOption({ label: 'Nothing added' });
  await expect(chosen.getByRole('list', { name: 'Under Nothing added' }).getByRole('listitem')).toHaveCount(
    2,
  );
  await expectAccessible(page);

  await chosen.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(page.getByText('Nothing on the Shelf is like that')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/^2 of \d+ recipes$/)).toBeVisible();
});

test('files are opened together; one that holds no recipe is named, and nothing of it is kept', async ({
  page,
}) => {
  await openBench(page);
  await page.keyboard.press('2');
  const recipes = await page.getByText(/^\d+ recipes$/).innerText();
  const before = Number.parseInt(recipes, 10) + 1;
  await expect(page.getByRole('row')).toHaveCount(before);
  await page.getByLabel('Recipes to bring in').setInputFiles([
    {
      name: 'leek.txt',
      mimeType: 'text/plain',
      buffer: Buffer.from('Leek pot\n\nServes 2\n\n3 leeks\n200 g rice\n'),
    },
    {
      name: 'beet.json',
      mimeType: 'application/json',
      buffer: Buffer.from(
        JSON.stringify({
          '@context': 'https://schema.org',
          '@type': 'Recipe',
          name: 'Beet bowl',
          recipeIngredient: ['4 beets'],
          recipeInstructions: 'Boil.',
        }),
      ),
    },
    {
      name: 'photo.jpg',
      mimeType: 'image/jpeg',
      buffer: Buffer.from([0xff, 0xd8, 0xff, 0, 0, 0, 1, 2, 3, 0]),
    },
  ]);
  const dialog = page.getByRole('dialog', { name: 'One file was not brought in' });
  await expect(dialog).toContainText('photo.jpg');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByRole('row')).toHaveCount(before + 2);
  await expect(page.getByRole('link', { name: 'Leek pot' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Beet bowl' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('row')).toHaveCount(before);
});

test('the map narrows the Shelf, by fields as by drawing', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('2');
  await page.getByRole('button', { name: 'Map' }).click();
  const map = page.getByRole('region', { name: 'Map of the Shelf' });
  await expect(map).toContainText(/dishes lie surely in the corner of/);
  await expect(map.getByRole('img')).toBeVisible();
  await map.getByLabel('to').first().fill('10');
  await map.getByLabel('to').first().press('Enter');
  await expect(page.getByText(/^\d+ of \d+ recipes$/)).toBeVisible();
  await expect(page.getByRole('row').nth(1)).toBeVisible();
});

test('Ctrl K finds a recipe, a food, a place, by the keys alone', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('Control+k');
  const find = page.getByRole('dialog', { name: 'Find' });
  const field = find.getByRole('combobox');
  await expect(field).toBeFocused();
  await field.fill('boathouse');
  await expect(find.getByRole('option')).toHaveCount(1);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Boathouse tofu noodles');
  await page.keyboard.press('Control+k');
  await field.fill('tahini');
  await expect(find.getByRole('option', { name: 'Tahini', exact: true })).toBeVisible();
  await expectAccessible(page);
  await field.fill('larder');
  await expect(find.getByRole('option', { name: 'Larder' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Larder');
});

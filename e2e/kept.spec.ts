import { expect, test, type Page } from '@playwright/test';
import { choose, expectAccessible, fromMenu, openBench, putText, row, swapFirst, takeIn } from './kitchen';

const POT =
  'Tab pot\nServes 2\n\n2 tbsp olive oil\n500 g potatoes\n300 g tomatoes\n\nHeat the oil and fry the potatoes.';

/** Edits the words of a line in place. */
async function edit(page: Page, words: string, next: string): Promise<void> {
  await choose(page, words);
  await page.keyboard.press('e');
  await page.getByLabel('Words of this line').fill(next);
  await page.keyboard.press('Enter');
  await expect(row(page, next)).toBeVisible();
}

test.describe('two windows', () => {
  test('keep each other’s edits, and show them as they come', async ({ page, context }) => {
    await openBench(page);
    await takeIn(page, POT);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tab pot');
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(row(other, '500 g potatoes')).toBeVisible();
    await edit(page, '500 g potatoes', '600 g potatoes');
    await expect(row(other, '600 g potatoes')).toBeVisible();
    await other.getByRole('button', { name: 'One serving more' }).click();
    await edit(other, '300 g tomatoes', '400 g tomatoes');
    for (const tab of [page, other]) {
      await expect(row(tab, '600 g potatoes')).toBeVisible();
      await expect(row(tab, '400 g tomatoes')).toBeVisible();
      await expect(tab.getByTestId('servings')).toHaveText('3');
    }
    await page.reload();
    await expect(row(page, '600 g potatoes')).toBeVisible();
    await expect(row(page, '400 g tomatoes')).toBeVisible();
  });

  test('a recipe removed in one is not typed back by the other', async ({ page, context }) => {
    await openBench(page);
    await takeIn(page, POT);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tab pot');
    const shelf = await context.newPage();
    await shelf.goto('/shelf');
    await fromMenu(shelf, shelf.getByRole('row', { name: /Tab pot/ }), 'Remove');
    await expect(page.getByText('This recipe was taken off the shelf')).toBeVisible();
    await page.getByRole('button', { name: 'Put it back' }).click();
    await expect(row(page, '500 g potatoes')).toBeVisible();
    await expect(shelf.getByRole('row').filter({ hasText: 'Tab pot' })).toHaveCount(1);
  });

  test('a diner’s allergy said in one holds in the other’s open card', async ({ page, context }) => {
    await openBench(page);
    await page.getByRole('button', { name: 'Table', exact: true }).click();
    const card = page.getByRole('dialog', { name: 'The table' }).getByRole('listitem').first();
    const other = await context.newPage();
    await openBench(other);
    await other.getByRole('button', { name: 'Table', exact: true }).click();
    const theirs = other.getByRole('dialog', { name: 'The table' }).getByRole('listitem').first();
    await theirs.getByLabel('sesame').check();
    await expect(card.getByLabel('sesame')).toBeChecked();
    await card.getByLabel('Name').fill('Adaeze');
    await card.getByLabel('Name').blur();
    await expect(theirs.getByLabel('Name')).toHaveValue('Adaeze');
    await expect(theirs.getByLabel('sesame')).toBeChecked();
  });
});

test.describe('undo', () => {
  test('outlives the view and a reload', async ({ page }) => {
    await openBench(page);
    await takeIn(page, POT);
    await edit(page, '500 g potatoes', '50 g potatoes');
    await page.keyboard.press('2');
    await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
    await page.keyboard.press('1');
    await expect(row(page, '50 g potatoes')).toBeVisible();
    await page.reload();
    await expect(row(page, '50 g potatoes')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(row(page, '500 g potatoes')).toBeVisible();
    await page.keyboard.press('Control+Shift+z');
    await expect(row(page, '50 g potatoes')).toBeVisible();
  });

  test('the message takes back its own change, not the latest', async ({ page }) => {
    await openBench(page);
    await takeIn(page, POT);
    await swapFirst(page, '2 tbsp olive oil');
    await expect(row(page, '2 tbsp olive oil')).toHaveCount(0);
    // the focus is back on a line, not lost with the panel
    await expect(page.locator('[data-line] button:focus')).toHaveCount(1);
    await page.getByRole('button', { name: 'One serving more' }).click();
    await expect(page.getByTestId('servings')).toHaveText('3');
    await page
      .getByRole('listitem')
      .filter({ hasText: 'swapped' })
      .getByRole('button', { name: 'Undo' })
      .click();
    await expect(row(page, '2 tbsp olive oil')).toBeVisible();
    await expect(page.getByTestId('servings')).toHaveText('3');
  });
});

test('a recipe begun waits in the sheet, whatever closed it', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('n');
  const field = page.getByLabel(/Paste or write the recipe/);
  await field.fill('Begun pot\n1 onion');
  await page.keyboard.press('Escape');
  await expect(field).toBeHidden();
  await page.keyboard.press('n');
  await expect(field).toHaveValue('Begun pot\n1 onion');
  await page.mouse.click(5, 400);
  await expect(field).toBeHidden();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(field).toHaveValue('Begun pot\n1 onion');
  await page.getByRole('button', { name: /Audit it/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Begun pot');
  await page.keyboard.press('n');
  await expect(field).toHaveValue('');
});

test.describe('files', () => {
  test('an older one asks, keeps the newer words, and is taken back whole', async ({ page }) => {
    await openBench(page);
    await takeIn(page, POT);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tab pot');
    await page.keyboard.press(',');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save to a file' }).click(),
    ]);
    const file = await download.path();
    await page.keyboard.press('Escape');
    await edit(page, '500 g potatoes', '700 g potatoes');
    await page.keyboard.press(',');
    await page.getByLabel('Archive to bring in').setInputFiles(file);
    const ask = page.getByRole('alert').filter({ hasText: 'changed after this file was made' });
    await expect(ask).toBeVisible();
    await expectAccessible(page);
    await ask.getByRole('button', { name: 'Take the file’s' }).click();
    await expect(row(page, '500 g potatoes')).toBeVisible();
    await page.keyboard.press(',');
    await page.getByRole('button', { name: 'Take the last file back' }).click();
    await page.keyboard.press('Escape');
    await expect(row(page, '700 g potatoes')).toBeVisible();
  });
});

test.describe('a browser that keeps nothing', () => {
  test('says so and why, and goes on in memory', async ({ page }) => {
    await page.addInitScript(() => {
      Object.defineProperty(window, 'indexedDB', { value: undefined });
    });
    await page.goto('/');
    await expect(page.getByRole('heading', { name: 'Nothing can be kept here' })).toBeVisible();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Go on without keeping' }).click();
    await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
    await expect(page.getByText('Nothing is kept')).toBeVisible();
    await takeIn(page, POT);
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Tab pot');
  });

  test('storage that is full keeps the words on the screen, and tries again', async ({ page }) => {
    await openBench(page);
    await takeIn(page, POT);
    await expect(row(page, '500 g potatoes')).toBeVisible();
    await page.evaluate(() => {
      const put = IDBObjectStore.prototype.put;
      (window as unknown as { full: boolean }).full = true;
      IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
        if ((window as unknown as { full: boolean }).full)
          throw new DOMException('no room', 'QuotaExceededError');
        return put.apply(this, args);
      };
    });
    await choose(page, '500 g potatoes');
    await page.keyboard.press('e');
    await page.getByLabel('Words of this line').fill('900 g potatoes');
    await page.keyboard.press('Enter');
    const alert = page.getByRole('alert').filter({ hasText: 'Not kept' });
    await expect(alert).toContainText('storage is full');
    await expect(row(page, '900 g potatoes')).toBeVisible();
    await page.evaluate(() => {
      (window as unknown as { full: boolean }).full = false;
    });
    await alert.getByRole('button', { name: 'Try again' }).click();
    await expect(alert).toBeHidden();
    await page.reload();
    await expect(row(page, '900 g potatoes')).toBeVisible();
  });
});

test('a solver that cannot be loaded is said, not waited for', async ({ page }) => {
  await page.route('**/highs.wasm', (route) => route.abort());
  await openBench(page);
  await page.keyboard.press('l');
  await expect(page.getByRole('alert').filter({ hasText: 'No plan' })).toBeVisible({ timeout: 30_000 });
});

test.describe('places', () => {
  test('a link to nothing says so, and is not remembered', async ({ page }) => {
    await openBench(page);
    await page.goto('/?recipe=nothing-here');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('This recipe is not here');
    await page.getByRole('button', { name: 'Narrowboat aubergine and butter bean bake' }).click();
    await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
    await page.goto('/');
    await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  });
});

test('a packet without a readable statement is not known to whoever is allergic', async ({ page }) => {
  await openBench(page);
  await page.goto('/larder');
  await expect(page.getByRole('heading', { name: 'Larder' })).toBeVisible();
  await page.keyboard.press('p');
  await page.getByLabel(/^Name, as you/).fill('golden valley peanut butter');
  await putText(
    page.getByLabel(/What the packet says/),
    'Nutrition per 100g: Energy 2580kJ / 622kcal, Fat 51g, Salt 0.10g',
  );
  const read = page.getByRole('region', { name: 'What is read' });
  await expect(read).toContainText('Allergens: peanuts; not known');
  await page.getByRole('button', { name: /^Done/ }).click();
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  await page.getByRole('button', { name: 'Table', exact: true }).click();
  await page
    .getByRole('dialog', { name: 'The table' })
    .getByRole('listitem')
    .first()
    .getByLabel('celery')
    .check();
  await page.keyboard.press('Escape');
  await takeIn(page, 'Spread pot\nServes 2\n\n500 g potatoes\n2 tbsp golden valley peanut butter');
  const first = page.getByRole('group', { name: 'Diners' }).getByRole('button').first();
  await expect(first).toContainText('allergens not known');
  await expect(page.getByRole('complementary')).toContainText('no ingredient statement that can be read');
  await page.goto('/shelf');
  await expect(page.getByRole('row').filter({ hasText: 'Spread pot' })).toContainText('allergens not known');
});

test('a recipe card is printed in the units of whoever cooks from it, with nothing to press', async ({
  page,
}) => {
  await openBench(page);
  await takeIn(
    page,
    'Card pot\nServes 2\n\nIngredients\n1 lb carrots\n2 cups water\n\nMethod\nBoil the carrots.',
  );
  await page.getByRole('button', { name: 'Recipe card' }).click();
  const card = page.getByRole('article', { name: 'Card pot' });
  await expect(card).toContainText('1 lb carrots');
  await page.getByRole('button', { name: 'grams and millilitres' }).click();
  await expect(card).toContainText('455 g carrots');
  await expect(card).toContainText('470 ml water');
  await expectAccessible(page);
  await page.emulateMedia({ media: 'print' });
  await expect(card).toBeVisible();
  for (const button of await page.getByRole('button').all()) await expect(button).toBeHidden();
});

test('the words as first brought in are one tap away, whatever was edited since', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'First pot\nServes 2\n\n1 onion\n100 g rice');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('First pot');
  await page.keyboard.press('t');
  const text = page.getByLabel("The recipe's whole text");
  await putText(text, 'Second pot\nServes 2\n\n5 onions\n100 g rice');
  await page.getByRole('button', { name: 'As first brought in' }).click();
  await expect(page.getByLabel('The words as first brought in')).toHaveValue(/First pot[\s\S]*1 onion/);
  await page.getByRole('button', { name: 'Put these words back' }).click();
  await expect(text).toHaveValue(/First pot[\s\S]*1 onion/);
});

test('one step leads out of the demo, and one back', async ({ page }) => {
  await openBench(page);
  await page.getByRole('button', { name: /^Settings/ }).click();
  await page.getByRole('button', { name: /^Leave the demo/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/An empty bench/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
});

test('a page says how to read what is shown', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('h');
  const guide = page.getByRole('dialog', { name: 'How to read this' });
  await expect(guide).toContainText('Within');
  await expectAccessible(page);
  await guide.getByRole('button', { name: /All keys/ }).click();
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

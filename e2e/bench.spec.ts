import { expect, test } from '@playwright/test';
import { choose, expectAccessible, openBench, putText, row, takeIn } from './kitchen';

const POT = `Odd pot
serves 2, three at a pinch

2 tbsp olive oil
500 g potatoes
1 tbsp tahini
2 cups gronk

Heat the olive oil in a pan and fry the potatoes. Season with salt.`;

test('opens on the demo kitchen, judged for everyone at the table', async ({ page }) => {
  await openBench(page);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Narrowboat aubergine and butter bean bake',
  );
  const diners = page.getByRole('group', { name: 'Diners' }).getByRole('button');
  await expect(diners).toHaveCount(4);
  await expect(diners.nth(1)).toContainText('has nuts');
  await expectAccessible(page);
});

test('a pasted recipe is audited; what is not understood is said', async ({ page }) => {
  await openBench(page);
  await takeIn(page, POT);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Odd pot');
  await expect(page.getByTestId('servings')).toHaveText('2–3');
  const dish = page.getByRole('complementary');
  await expect(dish).toContainText('Not understood, so not counted');
  await expect(dish).toContainText('2 cups gronk');
  await expect(page.getByRole('region', { name: 'Limits' })).toContainText('oil');
  // salt that only the method names has a row of its own
  await expect(row(page, 'salt')).toContainText('method');
  await expectAccessible(page);
});

test('a swap is previewed, applied to the text, undone', async ({ page }) => {
  await openBench(page);
  await takeIn(page, POT);
  await choose(page, '2 tbsp olive oil');
  const swaps = page.getByRole('region', { name: 'Swaps' });
  await expect(swaps).toContainText('The recipe will read');
  await expectAccessible(page);
  await swaps
    .getByRole('button', { name: /Swap it/ })
    .first()
    .click();
  await expect(row(page, '2 tbsp olive oil')).toHaveCount(0);
  await page.keyboard.press('t');
  const text = page.getByLabel('The recipe’s whole text').or(page.getByLabel("The recipe's whole text"));
  await expect(text).not.toHaveValue(/olive oil/);
  await page.getByRole('button', { name: /^Undo/ }).first().click();
  await expect(text).toHaveValue(/2 tbsp olive oil/);
});

test('everything is saved as it is made and survives a reload', async ({ page }) => {
  await openBench(page);
  await takeIn(page, POT);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Odd pot');
  await choose(page, '2 cups gronk');
  await page.keyboard.press('e');
  await page.getByLabel('Words of this line').fill('2 cups spinach');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'One serving more' }).click();
  await expect(page.getByTestId('servings')).toHaveText('3');
  await page.reload();
  await expect(row(page, '2 cups spinach')).toBeVisible();
  await expect(page.getByTestId('servings')).toHaveText('3');
  await page.getByRole('button', { name: 'as written' }).click();
  await expect(page.getByTestId('servings')).toHaveText('2–3');
});

test('a reading is corrected in place, grams and food', async ({ page }) => {
  await openBench(page);
  await takeIn(page, POT);
  await choose(page, '2 cups gronk');
  await page.keyboard.press('f');
  await page.getByLabel('Which food').fill('spinach');
  await page.getByRole('button', { name: /^Spinach/ }).click();
  await page.getByLabel('Grams that go in').fill('0');
  await page.getByRole('button', { name: 'Weighed' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'above 0' })).toBeVisible();
  await page.getByLabel('Grams that go in').fill('80');
  await page.getByRole('button', { name: 'Weighed' }).click();
  await expect(row(page, '2 cups gronk')).toContainText('80 g');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('complementary')).not.toContainText('Not understood');
});

test('the keyboard reaches everything on the Bench', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('complementary').getByRole('heading', { level: 2 })).toHaveText(
    '4 tbsp olive oil',
  );
  await page.keyboard.press('w');
  await expect(page.getByRole('complementary')).toContainText('US FoodData Central, recalled');
  // swaps come a moment after the line is chosen
  await expect(page.getByRole('region', { name: 'Swaps' })).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('s');
  await page.keyboard.press('a');
  await expect(row(page, '4 tbsp olive oil')).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(row(page, '4 tbsp olive oil')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(row(page, '4 tbsp olive oil')).toHaveCount(0);
  await page.keyboard.press('d');
  await expect(page.getByRole('complementary')).toContainText('Nothing added');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await expectAccessible(page);
});

test('Escape while editing brings the words back', async ({ page }) => {
  await openBench(page);
  await choose(page, '1 tbsp capers');
  await page.keyboard.press('e');
  await page.getByLabel('Words of this line').fill('9 tbsp capers');
  await page.keyboard.press('Escape');
  await expect(row(page, '1 tbsp capers')).toBeVisible();
  await page.getByRole('button', { name: 'One serving more' }).click();
  await choose(page, '1 tbsp capers');
  await page.keyboard.press('e');
  await page.keyboard.press('Escape');
  // nothing was typed, so nothing is undone
  await expect(page.getByTestId('servings')).toHaveText('7');
});

test('a line that reads as nothing for a moment keeps its field', async ({ page }) => {
  await openBench(page);
  await choose(page, '1 tbsp capers');
  await page.keyboard.press('e');
  const field = page.getByLabel('Words of this line');
  await field.fill('');
  await field.pressSequentially('For the top:');
  await field.fill('2 tsp lemon juice');
  await page.keyboard.press('Enter');
  await expect(row(page, '2 tsp lemon juice')).toContainText('10 g');
  await expect(row(page, '10 kalamata olives, halved')).toBeVisible();
  await expect(row(page, '1 cup raw cashews, soaked')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(row(page, '1 tbsp capers')).toBeVisible();
});

test('a recipe pasted anywhere starts an audit', async ({ page }) => {
  await openBench(page);
  await page.evaluate((text) => {
    const data = new DataTransfer();
    data.setData('text/plain', text);
    window.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
  }, POT);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Odd pot');
});

test.describe('bad input gets a word in place', () => {
  test('empty, binary and enormous', async ({ page }) => {
    await openBench(page);
    await page.keyboard.press('n');
    const dialog = page.getByRole('dialog');
    await dialog.getByRole('button', { name: /Audit it/ }).click();
    await expect(dialog.getByRole('alert')).toContainText('nothing here yet');
    const field = page.getByLabel(/Paste or write the recipe/);
    await field.fill('\u0001\u0002\u0003\u0004\u0005\u0006\u0007');
    await dialog.getByRole('button', { name: /Audit it/ }).click();
    await expect(dialog.getByRole('alert')).toContainText('not text');
    const enormous = `${'x'.repeat(79)}\n`.repeat(13_200);
    await putText(field, enormous);
    await dialog.getByRole('button', { name: /Audit it/ }).click();
    await expect(dialog.getByRole('alert')).toContainText('1 MiB');
    // what was there is still there
    expect(await field.evaluate((el: HTMLTextAreaElement) => el.value.length)).toBe(enormous.length);
  });

  test('HTML with scripts is read as words and never run', async ({ page }) => {
    await openBench(page);
    await takeIn(
      page,
      '<h1>Page pot</h1><script>window.bad = 1</script><img src=x onerror="window.bad = 2"><p>Serves 2</p><ul><li>1 cup brown rice</li><li>1 <b>onion</b></li></ul><p>Cook it.</p>',
    );
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Page pot');
    await expect(row(page, '1 cup brown rice')).toBeVisible();
    expect(await page.evaluate(() => (window as unknown as { bad?: number }).bad)).toBeUndefined();
  });

  test('zero, absurd and a serving count of 0', async ({ page }) => {
    await openBench(page);
    await takeIn(page, 'Zero pot\nServes 0\n\n0 cups sugar\n900 kg carrots\n1 onion');
    const dish = page.getByRole('complementary');
    await expect(dish).toContainText('feeds nobody');
    await choose(page, '0 cups sugar');
    await expect(dish).toContainText('an amount of nothing');
    await choose(page, '900 kg carrots');
    await expect(dish).toContainText('900 kg: a slip of the pen?');
  });

  test('2000 lines are read', async ({ page }) => {
    await openBench(page);
    await takeIn(
      page,
      `Long pot\nServes 4\n\n${Array.from({ length: 2000 }, (_, i) => `${i + 1} g carrots`).join('\n')}`,
    );
    await expect(page.locator('[data-line]')).toHaveCount(2000, { timeout: 30_000 });
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Long pot');
  });
});

test('on a phone: no sideways scroll, the chosen line comes up from below', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openBench(page);
  const overflow = () =>
    page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(await overflow()).toBeLessThanOrEqual(0);
  await choose(page, '4 tbsp olive oil');
  await expect(page.getByRole('region', { name: 'Swaps' })).toBeVisible();
  expect(await overflow()).toBeLessThanOrEqual(0);
  await expectAccessible(page);
});

test('by night the colours still carry', async ({ browser }) => {
  const context = await browser.newContext({ colorScheme: 'dark' });
  const page = await context.newPage();
  await openBench(page);
  await expectAccessible(page);
  await choose(page, '4 tbsp olive oil');
  await expect(page.getByRole('region', { name: 'Swaps' })).toBeVisible();
  await expectAccessible(page);
  await context.close();
});

test('the whole text is edited live, and undone as one step', async ({ page }) => {
  await openBench(page);
  await page.keyboard.press('t');
  const text = page.getByLabel("The recipe's whole text");
  await text.fill('New pot\nServes 2\n\n500 g potatoes');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('New pot');
  await expect(page.getByTestId('servings')).toHaveText('2');
  await page.getByRole('button', { name: 'Lines' }).click();
  await expect(row(page, '500 g potatoes')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Narrowboat aubergine and butter bean bake',
  );
});

test('every number answers why: words, reading, food, source', async ({ page }) => {
  await openBench(page);
  await choose(page, '2 (15-oz) cans butter beans');
  await page.getByRole('button', { name: /^Why/ }).click();
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('Butter beans, canned, drained');
  await expect(panel).toContainText('425 g printed');
  await expect(panel).toContainText('Duyff, Mount & Jones 2011');
  await expect(panel).toContainText('may also mean');
  await expectAccessible(page);
});

test('what the method brings is marked in its words and can be swapped there', async ({ page }) => {
  await openBench(page);
  await takeIn(page, 'Greasy pot\nServes 2\n\n200 g wholemeal flour\n\nGrease a loaf tin. Bake 30 minutes.');
  await expect(page.getByRole('region', { name: 'Method' }).locator('mark')).toHaveText('Grease a loaf tin');
  await choose(page, 'Grease a loaf tin');
  await page.getByRole('button', { name: /Swap it/ }).click();
  await expect(page.getByRole('region', { name: 'Method' })).toContainText(
    'Line a loaf tin with baking paper. Bake 30 minutes.',
  );
  await expect(page.getByRole('complementary')).toContainText('Within Heart-strict');
});

test('print shows the sheet without buttons', async ({ page }) => {
  await openBench(page);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('region', { name: 'Lines' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save as text' })).toBeHidden();
});

test('where the system picks the colours, gauges keep theirs and the view one is in is marked', async ({
  page,
}) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await openBench(page);
  const bars = page.getByRole('region', { name: 'Limits' }).locator('button[tabindex="-1"]');
  await expect(bars.first()).toBeAttached();
  const [bar, sheet] = await bars.first().evaluate((el) => {
    const canvas = document.createElement('span');
    canvas.style.background = 'Canvas';
    document.body.append(canvas);
    return [getComputedStyle(el).backgroundColor, getComputedStyle(canvas).backgroundColor];
  });
  expect(bar).not.toBe(sheet);
  const here = page.getByRole('navigation').locator('[aria-current="page"]').first();
  await expect(here).toHaveCSS('outline-style', 'solid');
});

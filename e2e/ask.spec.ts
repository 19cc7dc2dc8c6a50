import { expect, test } from '@playwright/test';
import { expectAccessible, openBench, putText, row, takeIn } from './kitchen';

test('a row that is not sure is asked about, and one tap says what it is', async ({ page }) => {
  await openBench(page);
  await takeIn(
    page,
    'Canal bowl\nServes 2\n\n200 g rice\n2 carrots\n\nmushrooms\n1 tbsp cumin\n2 leeks\n\nBoil the rice.',
  );
  const asked = page.getByRole('group', { name: 'What is “mushrooms”' });
  await expect(asked).toBeVisible();
  await expectAccessible(page);
  await asked.getByRole('button', { name: 'A food' }).click();
  await expect(row(page, 'mushrooms')).toBeVisible();
  await expect(asked).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(asked).toBeVisible();
});

test('a general word is judged by all it may mean until one tap says which', async ({ page }) => {
  await openBench(page);
  await takeIn(
    page,
    'Canal milk\nServes 2\n\n1 cup plant milk\n200 g brown rice\n\nBoil the rice in the milk.',
  );
  await row(page, '1 cup plant milk').getByRole('button').click();
  const which = page.getByRole('group', { name: 'Which “plant milk”' });
  await which.getByRole('button', { name: 'Oat milk', exact: true }).click();
  await expect(which).toBeHidden();
  await expect(page.getByRole('button', { name: /Mean this whenever I write “plant milk”/ })).toBeVisible();
});

test('two recipes in one paste: the Bench asks which', async ({ page }) => {
  const one = (name: string, food: string) =>
    `${name}\nServes 4\n\nIngredients\n1 kg ${food}\n2 onions\n\nMethod\nBoil the ${food}.\nServe it hot.`;
  await openBench(page);
  await page.keyboard.press('n');
  await putText(
    page.getByLabel(/Paste or write the recipe/),
    `${one('Potato pot', 'potatoes')}\n\n${one('Carrot pot', 'carrots')}`,
  );
  await page.getByRole('button', { name: /Audit it/ }).click();
  await page.getByRole('group', { name: 'Which recipe' }).getByRole('button', { name: 'Carrot pot' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Carrot pot' })).toBeVisible();
});

import { expect, test } from '@playwright/test';
import { openBench } from './kitchen';

test('copies go by themselves into a folder that the cook chose', async ({ page }) => {
  // the browser’s own private folder stands in for one of the disk, which no test can choose
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () =>
        (await navigator.storage.getDirectory()).getDirectoryHandle('copies', { create: true }),
    });
  });
  await openBench(page);
  await page.keyboard.press(',');
  const settings = page.getByRole('dialog', { name: 'Settings' });
  await settings.getByRole('button', { name: 'Choose a folder' }).click();
  await expect(page.getByText(/dulvet-kitchen-.*json.* stands in copies/)).toBeVisible();
  await expect(settings).toContainText('Into copies, a file a day');
  const recipes = await page.evaluate(async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle('copies');
    const texts: string[] = [];
    for await (const entry of (
      folder as unknown as { values: () => AsyncIterable<FileSystemFileHandle> }
    ).values())
      texts.push(await (await entry.getFile()).text());
    return texts.map((t) => (JSON.parse(t) as { recipes: unknown[] }).recipes.length);
  });
  expect(recipes).toEqual([expect.any(Number)]);
  expect(recipes[0]).toBeGreaterThan(0);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
  await page.keyboard.press(',');
  await expect(settings).toContainText('Into copies');
  await settings.getByRole('button', { name: 'No more copies' }).click();
  await expect(settings.getByRole('button', { name: 'Choose a folder' })).toBeVisible();
});

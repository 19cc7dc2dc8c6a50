import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { expect, type Locator, type Page } from '@playwright/test';

const axe = readFileSync(createRequire(__filename).resolve('axe-core/axe.min.js'), 'utf8');

/** Opens the demo kitchen's Bench. */
export async function openBench(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Limits' })).toBeVisible();
}

/** The row of the ledger that holds some words. */
export const row = (page: Page, words: string): Locator =>
  page.locator('[data-line]').filter({ hasText: words }).first();

/** Chooses a line by its words. */
export const choose = (page: Page, words: string): Promise<void> =>
  row(page, words).getByRole('button').first().click();

/** Chooses a line and makes the first swap that is offered for it. */
export async function swapFirst(page: Page, words: string): Promise<void> {
  await choose(page, words);
  await page
    .getByRole('region', { name: 'Swaps' })
    .getByRole('button', { name: /Swap it/ })
    .first()
    .click();
}

/** Puts a long text into a field at once, as a paste does. */
export async function putText(field: Locator, text: string): Promise<void> {
  await field.evaluate((el, value) => {
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set?.call(el, value);
    el.dispatchEvent(new Event('input', { bubbles: true }));
  }, text);
}

/** Takes a recipe in through the dialog. */
export async function takeIn(page: Page, text: string): Promise<void> {
  await page.keyboard.press('n');
  await putText(page.getByLabel(/Paste or write the recipe/), text);
  await page.getByRole('button', { name: /Audit it/ }).click();
}

/** WCAG 2.2 A and AA by axe-core; the page must have no violation. */
export async function expectAccessible(page: Page): Promise<void> {
  // a view that was just opened has its title a moment after its content
  await expect(page).toHaveTitle(/\S/);
  await page.evaluate(axe);
  const look = () =>
    page.evaluate(async () => {
      const run = (
        window as unknown as {
          axe: {
            run: (
              context: unknown,
              options: unknown,
            ) => Promise<{
              violations: { id: string; nodes: { target: unknown; failureSummary: string }[] }[];
            }>;
          };
        }
      ).axe;
      const { violations } = await run.run(document, {
        runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
      });
      return violations.map(
        (v) =>
          `${v.id}: ${v.nodes
            .map((n) => `${String(n.target)} ${n.failureSummary}`)
            .slice(0, 3)
            .join(' | ')}`,
      );
    });
  let found = await look();
  // a page that went on to its recipe's own address has its title a moment later
  if (found.some((f) => f.startsWith('document-title'))) {
    await expect(page).toHaveTitle(/\S/);
    found = await look();
  }
  expect(found).toEqual([]);
}

/** Takes something out of the menu of a row of the Shelf. */
export async function fromMenu(page: Page, row: Locator, what: string): Promise<void> {
  await row.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('menuitem', { name: what }).click();
}

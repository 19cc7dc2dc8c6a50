import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, expect as expectSoon, test, type BrowserContext, type Page } from '@playwright/test';
import launch from '../scripts/chromium.json';
import { choose, openBench, row, swapFirst, takeIn } from './kitchen';

/** A browser that begins anew reads all again: on a loaded machine that takes its time. */
const expect = expectSoon.configure({ timeout: 120_000 });

/** A browser that keeps its kitchen in a folder, so that it can be killed and opened again. */
class Mortal {
  private context: BrowserContext | null = null;
  private readonly folder = mkdtempSync(path.join(tmpdir(), 'dulvet-killed-'));

  constructor(private readonly address: string) {}

  async open(): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.folder, {
      ...launch,
      baseURL: this.address,
      viewport: { width: 1280, height: 800 },
      serviceWorkers: 'block',
    });
    return this.context.pages()[0] ?? this.context.newPage();
  }

  /** As the power goes: every process at once, and nothing asked of the page. */
  async kill(): Promise<void> {
    const gone = new Promise<void>((resolve) => this.context?.once('close', () => resolve()));
    execFileSync('pkill', ['-9', '-f', `user-data-dir=${this.folder}`]);
    await gone;
    this.context = null;
  }

  async bury(): Promise<void> {
    await this.context?.close();
    rmSync(this.folder, { recursive: true, force: true, maxRetries: 5 });
  }
}

/** Letters that a killed session typed after words: what is kept of a line begins with all but the last of them. */
const LETTERS = 'thinly sliced across the grain and left to stand a while'.slice(0, 40);

interface Deed {
  readonly name: string;
  /** How often the browser is killed at it. */
  readonly kills: number;
  /** Brings the page to where the deed is done, the first time. */
  readonly begin: (page: Page) => Promise<void>;
  /** Does the deed of the n-th session and returns while it is under way. */
  readonly act: (page: Page, n: number) => Promise<void>;
  /** Holds what the n-th session left against what it did, and leaves the page ready for the next. */
  readonly holds: (page: Page, n: number) => Promise<void>;
}

const takePot = (title: string) => async (page: Page) => {
  await openBench(page);
  await takeIn(
    page,
    `${title}\nServes 2\n\n500 g potatoes\n2 tbsp olive oil\n300 g tomatoes\n\nHeat the oil and fry the potatoes.\nStir in the tomatoes and simmer for 10 minutes.`,
  );
  await expect(row(page, '500 g potatoes')).toBeVisible();
};

/** Opens a line's words for editing. */
async function editing(page: Page, words: string) {
  await expect(row(page, words)).toBeVisible();
  await choose(page, words);
  await page.keyboard.press('e');
  return page.getByLabel('Words of this line');
}

/** Whether the kitchen on disk holds a recipe with these words in it. */
const isStored = (page: Page, words: string): Promise<boolean> =>
  page.evaluate(
    (looked) =>
      new Promise<boolean>((resolve) => {
        const open = indexedDB.open('dulvet');
        open.onerror = () => resolve(false);
        open.onsuccess = () => {
          const all = open.result.transaction('recipes').objectStore('recipes').getAll();
          all.onsuccess = () => {
            open.result.close();
            resolve((all.result as { text: string }[]).some((recipe) => recipe.text.includes(looked)));
          };
        };
      }),
    words,
  );

/** How many letters of the n-th session are typed before it is killed. */
const typed = (n: number): number => 3 + ((n * 7) % (LETTERS.length - 4));

const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const MEAL = 'Lockside chickpea';

/** The days of the week that hold a meal. */
async function daysOf(page: Page): Promise<string[]> {
  await expect(page.getByRole('button', { name: new RegExp(`^Move supper: ${MEAL}`) })).toBeVisible();
  const found = await Promise.all(
    DAYS.map(async (day) => {
      const item = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: day }) });
      return (await item.getByRole('button', { name: new RegExp(`^Move supper: ${MEAL}`) }).count()) > 0
        ? [day]
        : [];
    }),
  );
  return found.flat();
}

const DEEDS: readonly Deed[] = [
  {
    name: 'a line being typed loses at most its last letter',
    kills: 20,
    begin: takePot('Typed pot'),
    act: async (page, n) => {
      const field = await editing(page, '500 g potatoes');
      await field.fill('500 g potatoes, ');
      const letters = LETTERS.slice(0, typed(n));
      await field.pressSequentially(letters.slice(0, -1), { delay: 60 });
      // a machine that is busy writes later than a hand types: all but the last letter, and then the last
      const before = `500 g potatoes, ${letters.slice(0, -1)}`.trimEnd();
      await expect.poll(() => isStored(page, before)).toBe(true);
      await field.pressSequentially(letters.slice(-1));
    },
    holds: async (page, n) => {
      const field = await editing(page, '500 g potatoes');
      const kept = await field.inputValue();
      await page.keyboard.press('Escape');
      const whole = `500 g potatoes, ${LETTERS.slice(0, typed(n))}`;
      expect([whole.trimEnd(), whole.slice(0, -1).trimEnd()]).toContain(kept);
    },
  },
  {
    name: 'a swap is made whole or not at all',
    kills: 12,
    begin: takePot('Swapped pot'),
    act: async (page) => {
      await expect(row(page, '2 tbsp olive oil')).toBeVisible();
      await swapFirst(page, '2 tbsp olive oil');
    },
    holds: async (page) => {
      await expect(row(page, '300 g tomatoes')).toBeVisible();
      const listed = await row(page, '2 tbsp olive oil').count();
      // the list and the method go together
      await expect(page.getByText('Heat the oil and fry the potatoes')).toHaveCount(listed);
      if (listed === 0) await page.keyboard.press('Control+z');
    },
  },
  {
    name: 'a meal that is dragged is on one day',
    kills: 9,
    begin: async (page) => {
      await openBench(page);
      await page.goto('/week');
      expect(await daysOf(page)).toHaveLength(1);
    },
    act: async (page) => {
      const [from] = await daysOf(page);
      const there = DAYS.indexOf(from ?? '');
      await page.getByRole('button', { name: new RegExp(`^Move supper: ${MEAL}`) }).focus();
      await page.keyboard.press('Space');
      await expect(page.getByText(new RegExp(`over ${from ?? ''}`))).toBeAttached();
      await page.keyboard.press(there < 5 ? 'ArrowDown' : 'ArrowUp');
      await expect(
        page.getByText(new RegExp(`over ${DAYS[there + (there < 5 ? 1 : -1)] ?? ''}`)),
      ).toBeAttached();
      await page.keyboard.press('Space');
    },
    holds: async (page) => {
      expect(await daysOf(page)).toHaveLength(1);
    },
  },
  {
    name: 'a serving more is counted once',
    kills: 9,
    begin: takePot('Counted pot'),
    act: async (page) => {
      await page.getByRole('button', { name: 'One serving more' }).click();
    },
    holds: async (page, n) => {
      const now = Number(await page.getByTestId('servings').innerText());
      expect([2, 3], `after ${n}`).toContain(now);
      if (now === 3) await page.getByRole('button', { name: 'One serving less' }).click();
      await expect(page.getByTestId('servings')).toHaveText('2');
    },
  },
];

test.describe.configure({ retries: 0 });
for (const deed of DEEDS) {
  test(`killed ${deed.kills} times: ${deed.name}`, async ({ baseURL }) => {
    test.setTimeout(60_000 + deed.kills * 60_000);
    const browser = new Mortal(baseURL ?? '');
    try {
      let page = await browser.open();
      await deed.begin(page);
      const address = page.url();
      for (let n = 0; n < deed.kills; n++) {
        await deed.act(page, n);
        await browser.kill();
        page = await browser.open();
        await page.goto(address);
        await deed.holds(page, n);
      }
    } finally {
      await browser.bury();
    }
  });
}

// What a cook with a slow device waits for while typing in a recipe of forty lines: Chromium at a quarter of this
// machine's speed. Prints figures, tests nothing. Needs a build. Run with `npm run bench:typing`.
import { chromium } from '@playwright/test';
import { CHROMIUM_LAUNCH, freePort, startApp } from './lib.mjs';

const SLOWER = Number(process.argv[2] ?? 4);
const FOODS = [
  'carrots',
  'potatoes',
  'red lentils',
  'onions',
  'tomatoes',
  'brown rice',
  'spinach',
  'mushrooms',
];
const STATES = ['diced', 'sliced', 'rinsed', 'chopped', 'peeled'];
const lines = Array.from(
  { length: 40 },
  (_, n) => `${100 + n * 10} g ${FOODS[n % FOODS.length]}, ${STATES[n % STATES.length]}`,
);
const recipe = `Forty-line pot\nServes 8\n\n${lines.join('\n')}\n\nSoften the onions for 5 minutes. Add the rest with 2 litres water and simmer for 30 minutes. Serve over the rice.`;

const { child, address } = await startApp(await freePort(3300));
const browser = await chromium.launch(CHROMIUM_LAUNCH);
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.goto(address);
  await page.getByRole('region', { name: 'Limits' }).waitFor();
  await page.keyboard.press('n');
  await page.getByLabel(/Paste or write the recipe/).fill(recipe);
  await page.getByRole('button', { name: /Audit it/ }).click();
  await page.locator('[data-line="39"]').waitFor();
  await page.locator('[data-line="20"]').getByRole('button').first().click();
  await page.keyboard.press('e');
  const field = page.getByLabel('Words of this line');
  await field.fill('300 g tomatoes');
  const slow = await page.context().newCDPSession(page);
  await slow.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await page.evaluate(() => {
    const seen = { letters: [], painted: [], verdict: [], tasks: [], shift: 0 };
    window.seen = seen;
    let pressed = 0;
    addEventListener(
      'keydown',
      (e) => {
        pressed = e.timeStamp;
        // the next frame has this key's letters; without a graphics card it is painted here by the CPU as well
        requestAnimationFrame(() => {
          seen.letters.push(performance.now() - e.timeStamp);
          setTimeout(() => seen.painted.push(performance.now() - e.timeStamp));
        });
      },
      true,
    );
    const limits = document.querySelector('[aria-label="Limits"]');
    new MutationObserver(() => {
      if (pressed > 0) seen.verdict.push(performance.now() - pressed);
      pressed = 0;
    }).observe(limits, { subtree: true, childList: true, characterData: true, attributes: true });
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) seen.tasks.push(e.duration);
    }).observe({ type: 'longtask' });
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) if (!e.hadRecentInput) seen.shift += e.value;
    }).observe({ type: 'layout-shift' });
  });
  // amounts that change, so that each key changes the verdict; and words, as most of typing is
  await field.press('Home');
  for (const key of ['9', 'Backspace', '8', 'Backspace', '7', 'Backspace', '6', 'Backspace']) {
    await page.keyboard.press(key);
    await page.waitForTimeout(400);
  }
  await field.press('End');
  await field.pressSequentially(', cut small and left to drain', { delay: 120 });
  await page.waitForTimeout(1000);
  const seen = await page.evaluate(() => window.seen);
  const of = (numbers) => {
    const sorted = [...numbers].sort((a, b) => a - b);
    const at = (share) => `${Math.round(sorted[Math.floor((sorted.length - 1) * share)] ?? 0)} ms`;
    return `median ${at(0.5)}, nine of ten ${at(0.9)}, most ${at(1)} (${sorted.length})`;
  };
  console.log(`typing in a recipe of 40 lines, ${SLOWER}x slower CPU`);
  console.log(`  key to letters' frame   ${of(seen.letters)}   goal 50 ms`);
  console.log(`  … painted by the CPU    ${of(seen.painted)}`);
  console.log(`  key to changed verdict  ${of(seen.verdict)}   goal 150 ms`);
  console.log(`  tasks over 50 ms        ${of(seen.tasks)}`);
  console.log(`  layout shift            ${seen.shift.toFixed(3)}   goal 0.02`);
} finally {
  await browser.close();
  child.kill();
}

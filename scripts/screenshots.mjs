// Takes the pictures of docs/screenshots from the demo kitchen. Needs a build and Debian's Chromium.
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { chromium } from '@playwright/test';
import { CHROMIUM_LAUNCH, freePort, root, startApp } from './lib.mjs';

const out = path.resolve(root, process.argv[2] ?? 'docs/screenshots');
mkdirSync(out, { recursive: true });
const { child, address } = await startApp(await freePort(3300));
const browser = await chromium.launch(CHROMIUM_LAUNCH);
const WIDE = { width: 1280, height: 800 };
const NARROW = { width: 390, height: 844 };
const UPRIGHT = { width: 820, height: 1180 };

async function page(viewport, scheme = 'light') {
  const context = await browser.newContext({ viewport, colorScheme: scheme, reducedMotion: 'reduce' });
  const p = await context.newPage();
  await p.goto(address);
  await p.getByRole('region', { name: 'Limits' }).waitFor();
  return p;
}
const shot = (p, name) => p.screenshot({ path: path.join(out, `${name}.png`) });
const choose = (p, words) =>
  p.locator('[data-line]').filter({ hasText: words }).first().getByRole('button').first().click();

try {
  const wide = await page(WIDE);
  await shot(wide, 'bench');
  await wide.getByRole('region', { name: 'Limits' }).getByRole('button', { name: 'Sodium' }).click();
  await shot(wide, 'bench-why');
  await wide.keyboard.press('Escape');
  await wide.keyboard.press('l');
  await wide.getByRole('button', { name: /Make these changes/ }).waitFor({ timeout: 30_000 });
  await shot(wide, 'bench-plan');
  await wide.keyboard.press('Escape');
  await wide.keyboard.press('v');
  await wide.getByText('500 kcal buy').waitFor({ timeout: 30_000 });
  await wide.waitForTimeout(1200);
  await shot(wide, 'versions');
  await wide.keyboard.press('Escape');
  await choose(wide, '4 tbsp olive oil');
  await wide.getByRole('region', { name: 'Swaps' }).waitFor();
  await shot(wide, 'bench-swap');
  await wide.getByRole('button', { name: 'Table' }).click();
  await shot(wide, 'table');
  await wide.keyboard.press('Escape');
  await wide.keyboard.press(',');
  await wide.getByRole('dialog', { name: 'Settings' }).waitFor();
  await shot(wide, 'settings');
  await wide.keyboard.press('Escape');
  await wide.goto(`${address}/shelf`);
  // every row is judged
  await wide.getByRole('row').last().getByRole('img').first().waitFor({ timeout: 60_000 });
  await wide.waitForTimeout(600);
  await shot(wide, 'shelf');
  await wide.getByRole('button', { name: 'Map' }).click();
  await wide.locator('.js-plotly-plot .point').first().waitFor({ timeout: 30_000 });
  await wide.waitForTimeout(600);
  await shot(wide, 'shelf-map');
  await wide.goto(`${address}/stove`);
  await wide.getByRole('region', { name: 'The plan' }).waitFor({ timeout: 30_000 });
  await wide.waitForTimeout(600);
  await shot(wide, 'stove');
  await wide.setViewportSize(UPRIGHT);
  await shot(wide, 'stove-upright');
  await wide.setViewportSize(WIDE);
  await wide.goto(`${address}/week`);
  await wide.getByText('of 1500 mg').first().waitFor();
  await shot(wide, 'week');
  await wide.goto(`${address}/log`);
  await wide.getByRole('region', { name: 'Versions' }).waitFor();
  await shot(wide, 'log');
  await wide.goto(`${address}/larder?food=own-lock-chickpeas`);
  await wide.getByRole('article', { name: /Tinned chickpeas/ }).waitFor();
  await wide.waitForTimeout(500);
  await shot(wide, 'larder');
  await wide.keyboard.press('e');
  await wide.getByRole('region', { name: 'What is read' }).waitFor();
  await shot(wide, 'larder-packet');
  await wide.goto(`${address}/rules`);
  await wide.getByRole('region', { name: 'The schools side by side' }).waitFor();
  await wide.waitForTimeout(400);
  await shot(wide, 'rules');
  await wide.getByRole('button', { name: 'Everyday', exact: true }).last().click();
  await wide.getByLabel('Fat share', { exact: true }).fill('45');
  await wide.getByText(/dishes fit/).waitFor();
  await wide.waitForTimeout(900);
  await wide.evaluate(() => scrollTo(0, 0));
  await shot(wide, 'rules-own');
  const night = await page(WIDE, 'dark');
  await night.getByRole('button', { name: /Ida/ }).click();
  await shot(night, 'bench-night');
  const narrow = await page(NARROW);
  await shot(narrow, 'bench-390');
} finally {
  await browser.close();
  child.kill();
}

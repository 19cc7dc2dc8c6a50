import { defineConfig } from '@playwright/test';
import chromium from './scripts/chromium.json';

const port = Number(process.env.E2E_PORT ?? 3210);

/** What a cook does, in Debian's Chromium against the built app. `npm test` builds first. */
export default defineConfig({
  // a loaded machine may be slow to show a page; what is waited for is still what is meant
  expect: { timeout: 45_000 },
  testDir: 'e2e',
  timeout: 120_000,
  // a second try is counted and named in the last lines of `npm test`, never hidden
  retries: 1,
  fullyParallel: true,
  workers: 2,
  forbidOnly: Boolean(process.env.CI),
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://localhost:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: chromium,
    // what is kept for later is tested where that is meant: e2e/offline.spec.ts
    serviceWorkers: 'block',
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start -p ${port}`,
    url: `http://localhost:${port}/api/protocols`,
    env: { DULVET_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
    reuseExistingServer: false,
    timeout: 60_000,
  },
});

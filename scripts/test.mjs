// The whole check: installs what is missing, then lint, types, unit tests, build and browser tests.
// Ends with one plain line: N passed, N failed.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import { CHROMIUM_LAUNCH, freePort, installPackages, root, run } from './lib.mjs';

let passed = 0;
let failed = 0;

function step(name, command, args, env = {}) {
  console.log(`\n── ${name}`);
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  return status === 0;
}
function check(name, command, args, env) {
  if (step(name, command, args, env)) passed += 1;
  else failed += 1;
}

installPackages();
if (!existsSync(CHROMIUM_LAUNCH.executablePath)) {
  console.log('\n── Chromium from Debian’s packages');
  run('apt-get', ['update']);
  run('apt-get', ['install', '-y', '--no-install-recommends', 'chromium', 'fonts-dejavu-core'], {
    DEBIAN_FRONTEND: 'noninteractive',
  });
}
const results = path.join(root, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

check('lint', 'npm', ['run', '-s', 'lint']);
check('build', 'npm', ['run', '-s', 'build']);
check('types', 'npm', ['run', '-s', 'types']);
check('bytes of the first load', 'node', ['scripts/budget.mjs']);

// what is timed runs by itself: nothing else turns meanwhile
const TIMED = String.raw`linear\.test\.ts$`;
for (const [name, which] of [
  ['unit tests', ['--maxWorkers=100%', `--testPathIgnorePatterns=${TIMED}`]],
  ['unit tests of time', ['--runInBand', TIMED]],
]) {
  const file = path.join(results, `${name.replaceAll(' ', '-')}.json`);
  const ok = step(name, 'npx', ['jest', ...which, '--json', `--outputFile=${file}`]);
  if (existsSync(file)) {
    const counts = JSON.parse(readFileSync(file, 'utf8'));
    passed += counts.numPassedTests;
    failed += counts.numFailedTests + counts.numRuntimeErrorTestSuites;
  } else failed += 1;
  if (!ok && failed === 0) failed += 1;
}

const port = await freePort(3210);
const browserOk = step('browser tests', 'npx', ['playwright', 'test'], { E2E_PORT: String(port) });
const browser = path.join(results, 'e2e.json');
let counted = false;
if (existsSync(browser)) {
  const { stats } = JSON.parse(readFileSync(browser, 'utf8'));
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected;
  if (stats.flaky > 0) console.log(`\n${stats.flaky} browser tests passed only at the second try`);
  counted = stats.expected + stats.unexpected > 0;
}
if (!counted || (!browserOk && failed === 0)) failed += 1;

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, statSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import net from 'node:net';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');

/** Chromium from Debian's packages, as every test and picture starts it. */
export const CHROMIUM_LAUNCH = JSON.parse(readFileSync(path.join(root, 'scripts/chromium.json'), 'utf8'));

/** Runs a command in the project, its output shown; the process ends with it where it fails. */
export function run(command, args, env = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
  if (result.status !== 0) {
    console.error(`\n${command} ${args.join(' ')} failed.`);
    process.exit(result.status ?? 1);
  }
}

/** Installs packages where they are missing or older than the lock file. */
export function installPackages() {
  const mark = path.join(root, 'node_modules/.package-lock.json');
  const lock = path.join(root, 'package-lock.json');
  if (existsSync(mark) && statSync(mark).mtimeMs >= statSync(lock).mtimeMs)
    run('npm', ['run', '-s', 'content']);
  else run('npm', ['ci']);
}

/** The addresses of all views of the build that stands in .next. */
export const views = () =>
  Object.entries(JSON.parse(readFileSync(path.join(root, '.next/app-path-routes-manifest.json'), 'utf8')))
    .filter(([file, at]) => file.endsWith('/page') && !at.startsWith('/_'))
    .map(([, at]) => at)
    .sort();

/** The first free port from a given one on. */
export async function freePort(from) {
  for (let port = from; port < from + 50; port += 1) {
    const free = await new Promise((resolve) => {
      const server = net.createServer();
      server.once('error', () => resolve(false));
      server.listen(port, () => server.close(() => resolve(true)));
    });
    if (free) return port;
  }
  throw new Error(`no free port between ${from} and ${from + 49}`);
}

/** True once an address answers; a certificate of one's own is no reason against it here. */
const answers = (url) =>
  new Promise((resolve) => {
    const { get } = url.startsWith('https') ? https : http;
    get(url, { rejectUnauthorized: false }, (response) => {
      response.resume();
      resolve(response.statusCode === 200);
    }).on('error', () => resolve(false));
  });

/** Starts the built app, over https where that is asked for; resolves once it answers. */
export async function startApp(port, { quiet = true, secure = false } = {}) {
  const child = spawn(
    process.execPath,
    secure
      ? [path.join(root, 'scripts/serve-https.mjs'), String(port)]
      : [path.join(root, 'node_modules/next/dist/bin/next'), 'start', '-p', String(port)],
    {
      cwd: root,
      stdio: quiet ? 'ignore' : 'inherit',
      env: { ...process.env, DULVET_DEMO: '1', NEXT_TELEMETRY_DISABLED: '1' },
    },
  );
  const address = `${secure ? 'https' : 'http'}://localhost:${port}`;
  for (let i = 0; i < 120; i += 1) {
    if (child.exitCode !== null) throw new Error(`the server stopped with ${child.exitCode}`);
    const up = await answers(`${address}/api/protocols`);
    if (up) return { child, address };
    await new Promise((r) => setTimeout(r, 250));
  }
  child.kill();
  throw new Error('the server did not answer');
}

// Installs, builds and starts Dulvet with its demo kitchen, and prints the address.
import { freePort, installPackages, run, startApp } from './lib.mjs';

const wanted = Number(process.env.PORT ?? 3000);
installPackages();
run('npm', ['run', '-s', 'build'], { NEXT_TELEMETRY_DISABLED: '1' });
const port = await freePort(wanted);
if (port !== wanted) console.log(`\nPort ${wanted} is taken; using the next free one, ${port}.`);
const { child, address } = await startApp(port);
console.log(
  `\nDulvet is ready: ${address}\nIt opens on the demo kitchen of Fernbank Reach. Ctrl C stops it.\n`,
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill());
child.on('exit', (code) => process.exit(code ?? 0));

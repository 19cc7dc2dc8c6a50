// Installs, builds and starts Dulvet with its demo kitchen, and prints its addresses. With --https it serves the
// kitchen's other devices over https, with a certificate made on the spot.
import { networkInterfaces } from 'node:os';
import { freePort, installPackages, run, startApp } from './lib.mjs';

const https = process.argv.includes('--https');
const wanted = Number(process.env.PORT ?? 3000);

/** This computer's addresses in the house. */
const inTheHouse = Object.values(networkInterfaces())
  .flatMap((all) => all ?? [])
  .filter((a) => a.family === 'IPv4' && !a.internal)
  .map((a) => a.address);

installPackages();
run('npm', ['run', '-s', 'build'], { NEXT_TELEMETRY_DISABLED: '1' });
const port = await freePort(wanted);
if (port !== wanted) console.log(`\nPort ${wanted} is taken; using the next free one, ${port}.`);
const { child, address } = await startApp(port, { secure: https });
const scheme = https ? 'https' : 'http';
console.log(`\nDulvet is ready: ${address}`);
for (const ip of inTheHouse) console.log(`From the phone in the kitchen: ${scheme}://${ip}:${port}`);
if (https) console.log('The certificate was made on the spot: the browser asks once whether to trust it.');
else if (inTheHouse.length > 0)
  console.log(
    '(Plain http: storage cannot be asked to last there. `npm run demo -- --https` serves it over https.)',
  );
console.log('It opens on the demo kitchen of Fernbank Reach. Ctrl C stops it.\n');
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill());
child.on('exit', (code) => process.exit(code ?? 0));

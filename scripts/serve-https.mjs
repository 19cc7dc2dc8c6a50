// Serves the built app over https, with a certificate for this computer's addresses made on the spot.
import { createServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import next from 'next';
import selfsigned from 'selfsigned';
import { root } from './lib.mjs';

const port = Number(process.argv[2]);
const DAYS = 30;
const IP = 7;
const DNS = 2;
const addresses = Object.values(networkInterfaces())
  .flatMap((all) => all ?? [])
  .filter((a) => a.family === 'IPv4')
  .map((a) => a.address);
const { private: key, cert } = await selfsigned.generate(
  [{ name: 'commonName', value: 'Dulvet in this kitchen' }],
  {
    keySize: 2048,
    notAfterDate: new Date(Date.now() + DAYS * 86_400_000),
    extensions: [
      {
        name: 'subjectAltName',
        altNames: [{ type: DNS, value: 'localhost' }, ...addresses.map((ip) => ({ type: IP, ip }))],
      },
    ],
  },
);
const app = next({ dev: false, dir: root, hostname: '0.0.0.0', port });
await app.prepare();
const handle = app.getRequestHandler();
createServer({ key, cert }, (request, response) => void handle(request, response)).listen(port);

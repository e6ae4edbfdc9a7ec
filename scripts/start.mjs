// npm start: a shop, from a bare checkout to an address.
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { answers, build, install, needNode, needRoom, portFree, ROOT, SERVE, start, stop } from './steps.mjs';

const HELP = `npm start

Opens the shop in the folder that EDDRIN_DATA names (./shop), and makes one where there is none.
What else the environment decides is told by: node scripts/serve.mjs --help`;
const args = process.argv.slice(2);
if (args.includes('--help')) {
  console.log(HELP);
  process.exit(0);
}
if (args.length > 0) stop(`Not understood: ${args.join(' ')}. The environment decides; see npm start -- --help.`);

needNode();
const data = resolve(ROOT, process.env.EDDRIN_DATA ?? 'shop');
if (existsSync(join(data, 'demo-pins.json')) || existsSync(join(data, 'demo-seeding')))
  stop(`${data} holds the demo. A shop has a folder of its own: name one with EDDRIN_DATA, or look at the demo with npm run demo.`);
needRoom(data);
const port = Number(process.env.EDDRIN_PORT ?? 3000);
if (!(Number.isInteger(port) && port > 0 && port < 65536)) stop('EDDRIN_PORT takes a number from 1 to 65535.');
if (!(await portFree(port))) stop(`Port ${port} is taken. Stop what runs there, or choose another: EDDRIN_PORT=${port + 1} npm start`);
await install();
await build('.next');

start('the application', SERVE, { EDDRIN_DATA: data, EDDRIN_PORT: String(port), EDDRIN_BUILD: '.next', NODE_ENV: 'production' }, 'all');
const tls = process.env.EDDRIN_TLS_CERT !== undefined;
// A certificate is for the name that people use, which this machine need not answer to: only that somebody listens is asked.
const { EDDRIN_HOST: host = '' } = process.env;
if (!tls) await answers(`http://${['', '::', '0.0.0.0'].includes(host) ? 'localhost' : host}:${port}/sign-in`, 60_000);
console.log(`
  The shop in ${data} is served at  ${process.env.EDDRIN_ORIGIN ?? `${tls ? 'https' : 'http'}://localhost:${port}`}
  Ctrl-C stops it.
`);

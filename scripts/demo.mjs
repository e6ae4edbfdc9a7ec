// npm run demo [-- --reset] [-- --port N]: the demo shop, from a bare checkout to an address.
import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { answers, anyPort, build, install, needNode, needRoom, portFree, ROOT, run, SERVE, say, start, stop } from './steps.mjs';

const HELP = `npm run demo [-- --reset] [-- --port N]

  --reset   makes the demo shop up anew
  --port N  another port than 3000

What the environment decides is told by: node scripts/serve.mjs --help`;
const args = process.argv.slice(2);
if (args.includes('--help')) {
  console.log(HELP);
  process.exit(0);
}
const portAt = args.indexOf('--port');
const port = Number(portAt === -1 ? (process.env.PORT ?? 3000) : args[portAt + 1]);
const unknown = args.filter((a, i) => a !== '--reset' && a !== '--port' && !(portAt !== -1 && i === portAt + 1));
if (unknown.length > 0) stop(`Not understood: ${unknown.join(' ')}. There are --reset, --port N and --help.`);
if (!(Number.isInteger(port) && port > 0 && port < 65536)) stop('--port takes a number from 1 to 65535.');

needNode();
const data = resolve(ROOT, process.env.EDDRIN_DATA ?? 'var');
needRoom(data);
if (!(await portFree(port))) stop(`Port ${port} is taken. Stop what runs there, or choose another: npm run demo -- --port ${port + 1}`);

const mark = join(data, 'demo-pins.json');
// A demo whose tables are of another version is made up anew: nothing of anybody's is in it.
const version = readFileSync(join(ROOT, 'src/db/engine/migrations/meta/_journal.json'), 'utf8');
const versionFile = join(data, 'demo-version');
const outdated = existsSync(mark) && (!existsSync(versionFile) || readFileSync(versionFile, 'utf8') !== version);
if (args.includes('--reset') || outdated) {
  if (existsSync(join(data, 'eddrin.db')) && !existsSync(mark))
    stop(`${data} holds a shop that is not the demo; it is not thrown away. Choose another folder with EDDRIN_DATA.`);
  say(outdated ? 'the demo was made by another version: it is made up anew' : 'starting over: the demo’s data is thrown away');
  for (const name of [
    'eddrin.db',
    'eddrin.db-wal',
    'eddrin.db-shm',
    'photos',
    'certificate-key',
    'rig-truth.json',
    'gauge-truth.json',
    'gauge-token',
    'demo-pins.json',
    'backups',
  ])
    rmSync(join(data, name), { recursive: true, force: true });
}
/** Makes the shop up, unless it is there already. */
const seed = async () => {
  if (existsSync(mark)) return;
  if (existsSync(join(data, 'eddrin.db'))) {
    // A seed that was broken off leaves a database without the mark of a finished one.
    if (!existsSync(join(data, 'demo-seeding'))) stop(`${data} holds a shop that is not the demo. Choose another folder with EDDRIN_DATA.`);
    for (const name of ['eddrin.db', 'eddrin.db-wal', 'eddrin.db-shm']) rmSync(join(data, name), { force: true });
  }
  writeFileSync(join(data, 'demo-seeding'), '');
  say('making up the demo shop: people, kits, units and their histories …');
  await run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], { EDDRIN_DATA: data }, 'The demo could not be made up.');
  writeFileSync(versionFile, version);
  rmSync(join(data, 'demo-seeding'));
};
await install();
// One core makes the shop up while the other builds.
await Promise.all([seed(), build('.next')]);

const [rigPort, rigPanel] = [await anyPort(), await anyPort()];
const [mailPort, mailPage] = [await anyPort(), await anyPort()];
const tokenFile = join(data, 'demo-token');
if (!existsSync(tokenFile)) writeFileSync(tokenFile, randomBytes(24).toString('base64url'), { mode: 0o600 });
const token = process.env.EDDRIN_API_TOKEN ?? readFileSync(tokenFile, 'utf8');
const speed = process.env.EDDRIN_RIG_SPEED ?? '6';
start('the stand-in rig', ['--import', 'tsx', 'devices/rig/server.ts'], {
  EDDRIN_RIG_PORT: String(rigPort),
  EDDRIN_RIG_PANEL: String(rigPanel),
  EDDRIN_RIG_SPEED: speed,
  EDDRIN_RIG_TRUTH: join(data, 'rig-truth.json'),
});
start('the stand-in mail server', ['--import', 'tsx', 'devices/mail/server.ts'], {
  EDDRIN_MAIL_PORT: String(mailPort),
  EDDRIN_MAIL_PAGE: String(mailPage),
});
start('the application', [...SERVE, String(port)], {
  EDDRIN_DATA: data,
  EDDRIN_BUILD: '.next',
  EDDRIN_RIG: `127.0.0.1:${rigPort}`,
  EDDRIN_API_TOKEN: token,
  EDDRIN_SMTP: `smtp://localhost:${mailPort}`,
  EDDRIN_MAIL_FROM: 'works@skerrin.example',
  NODE_ENV: 'production',
});
const gaugePort = await anyPort();
start('the stand-in gauge', ['--import', 'tsx', 'devices/gauge/server.ts'], {
  EDDRIN_GAUGE_PORT: String(gaugePort),
  EDDRIN_GAUGE_TRUTH: join(data, 'gauge-truth.json'),
  EDDRIN_GAUGE_TOKEN: readFileSync(join(data, 'gauge-token'), 'utf8'),
  EDDRIN_APP: `http://localhost:${port}`,
});
await answers(`http://localhost:${port}/sign-in`, 60_000);
console.log(`
  Eddrin’s demo shop is open:  http://localhost:${port}
  Names and PINs stand on its sign-in page.
  Token for /api/v1/compute:   ${token}
  The stand-in gauge measures: http://localhost:${gaugePort}
  The stand-in rig goes wrong, or finds a unit mended:  http://localhost:${rigPanel}
  (it runs ${speed} times as fast as a real one)
  What it mails to customers:  http://localhost:${mailPage}
  Data in ${data}. Ctrl-C stops everything.
`);

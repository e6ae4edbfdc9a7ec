// npm test: everything that is checked, from a bare checkout to one closing line.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { attempt, build, environment, has, install, needNode, needRoom, ROOT, run, say, stop } from './steps.mjs';

needNode();
needRoom(join(ROOT, 'node_modules'));
await install();
chromium();

const reports = mkdtempSync(join(tmpdir(), 'eddrin-test-'));
let passed = 0;
/** What failed, by name: said again at the end, where it is looked for. */
const failures = [];

/** One tool that passes or fails as a whole. */
const check = async (name, args) => {
  say(name);
  if ((await attempt(process.execPath, args)) === 0) passed += 1;
  else failures.push(name);
};

/** One project of tests, counted test by test; a run that broke off counts as one failure. */
const suite = async (name) => {
  say(`${name} tests`);
  const report = join(reports, `${name}.json`);
  const status = await attempt(process.execPath, [
    'node_modules/vitest/vitest.mjs',
    'run',
    '--project',
    name,
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ]);
  const { numPassedTests = 0, testResults = [] } = existsSync(report) ? JSON.parse(readFileSync(report, 'utf8')) : {};
  passed += numPassedTests;
  const failedTests = testResults.flatMap((file) => file.assertionResults.filter((test) => test.status === 'failed'));
  failures.push(...failedTests.map((test) => `${name}: ${test.fullName}`));
  if (status !== 0 && failedTests.length === 0) failures.push(`${name} tests broke off`);
};

await check('boundaries', ['scripts/boundaries.mjs']);
await check('lint and format', ['node_modules/@biomejs/biome/bin/biome', 'check', '--error-on-warnings', '.']);
await check('types', ['node_modules/typescript/bin/tsc', '--noEmit', '-p', '.']);
await suite('unit');
await suite('server');
await suite('actions');
// One core makes the demo shop up while the other builds, which the browser tests copy.
const seed = join(reports, 'demo');
await Promise.all([
  build('.next-test'),
  run(process.execPath, ['--import', 'tsx', 'demo/seed.ts'], { EDDRIN_DATA: seed }, 'The demo shop could not be made up.', true),
]);
process.env.EDDRIN_TEST_SEED = seed;
await suite('browser');

rmSync(reports, { recursive: true, force: true });
console.log(`\n${[`${passed} passed, ${failures.length} failed`, ...failures.map((name) => `✗ ${name}`)].join('\n')}`);
process.exit(failures.length === 0 ? 0 : 1);

/** The browser that the interface is tested in: `CHROMIUM_PATH`, or Debian's, installed if need be. */
function chromium() {
  if (process.env.CHROMIUM_PATH !== undefined) {
    if (!existsSync(process.env.CHROMIUM_PATH)) stop(`CHROMIUM_PATH names ${process.env.CHROMIUM_PATH}, which is not there.`);
    return;
  }
  if (existsSync('/usr/bin/chromium')) return;
  if (!has('apt-get') || process.getuid?.() !== 0)
    stop('The interface is tested in Chromium. Install it (apt-get install chromium), or name one with CHROMIUM_PATH.');
  say('installing Chromium (apt-get) …');
  const apt = (...args) =>
    spawnSync('apt-get', args, { env: environment({ DEBIAN_FRONTEND: 'noninteractive' }), stdio: ['ignore', 'ignore', 'inherit'] }).status;
  apt('update', '-qq');
  if (apt('install', '-y', '-qq', '--no-install-recommends', 'chromium') !== 0)
    stop('Chromium could not be installed. Name one with CHROMIUM_PATH.');
}

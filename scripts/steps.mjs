// What demo, test and bench share. Plain Node: nothing may be installed yet when this runs.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statfsSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));
/** Of the interface; English, as the sources have it, where none is named. */
const LANGUAGE = process.env.EDDRIN_LANGUAGE;
const LEAST_NODE = [20, 9];
const LEAST_FREE_BYTES = 1.5e9;

/** Starts the built application; a port comes after. A page makes more short-lived things than Node's own room for the young holds; old things are swept away before sweeping them takes long. */
export const SERVE = ['--max-semi-space-size=64', '--max-old-space-size=1024', 'scripts/serve.mjs'];

export const say = (text) => console.log(`· ${text}`);

/** Ends with one clear message. */
export function stop(message) {
  console.error(`\n✗ ${message}`);
  signalAll('SIGTERM');
  process.exit(1);
}

export function needNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < LEAST_NODE[0] || (major === LEAST_NODE[0] && minor < LEAST_NODE[1]))
    stop(`Eddrin needs Node ${LEAST_NODE.join('.')} or newer; this is ${process.versions.node}.`);
}

export function needRoom(folder) {
  try {
    mkdirSync(folder, { recursive: true });
    writeFileSync(join(folder, '.room'), '');
  } catch (error) {
    stop(`The folder ${folder} cannot be written: ${error.message}`);
  }
  const { bavail, bsize } = statfsSync(folder);
  if (bavail * bsize < LEAST_FREE_BYTES)
    stop(`Only ${((bavail * bsize) / 1e9).toFixed(1)} GB are free where ${folder} lies; 1.5 GB are needed.`);
}

export const environment = (more = {}) => ({ ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...more });

/** Installs what the lock file asks for, unless it is there. */
export async function install() {
  const stamp = join(ROOT, 'node_modules/.eddrin-lock');
  const lock = hashOf(readFileSync(join(ROOT, 'package-lock.json')));
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  say('installing packages (npm ci), a minute or so …');
  await run(
    'npm',
    ['ci', '--no-audit', '--no-fund', '--loglevel=error', '--ignore-scripts'],
    {},
    'The packages could not be installed. Is the registry reachable?',
  );
  writeFileSync(stamp, lock);
}

/** Builds the application into a folder, unless that holds a build of these very sources. */
export async function build(folder) {
  const stamp = join(ROOT, folder, 'eddrin-sources');
  const sources = hashOf(
    [...sourceFiles(), ...(LANGUAGE === undefined ? [] : [`words/${LANGUAGE}.json`])]
      .map((f) => `${f} ${hashOf(readFileSync(join(ROOT, f)))}`)
      .join('\n'),
  );
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return say('the build is up to date');
  const started = Date.now();
  say('building the application, once …');
  const clock = setInterval(() => say(`  still building, ${Math.round((Date.now() - started) / 1000)} s`), 10_000);
  try {
    await run(
      process.execPath,
      ['node_modules/next/dist/bin/next', 'build'],
      { EDDRIN_BUILD: folder },
      'The build failed; its words are above.',
      true,
    );
    await buildPool(folder);
  } finally {
    clearInterval(clock);
  }
  writeFileSync(stamp, sources);
  say(`built in ${Math.round((Date.now() - started) / 1000)} s`);
}

/** What the pool's threads run, in one file of a folder in the project; the server is told of it by `EDDRIN_POOL`. */
export async function buildPool(folder) {
  const { build: bundle } = await import('esbuild');
  const outfile = join(ROOT, folder, 'pool.mjs');
  await bundle({
    entryPoints: [join(ROOT, 'src/pool/thread.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    jsx: 'automatic',
    logLevel: 'warning',
    plugins: LANGUAGE === undefined ? [] : [(await import('./words/plugin.mjs')).inLanguage(LANGUAGE)],
  });
  return outfile;
}

const sourceFiles = () => [...walk('src'), 'package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'].sort();
const walk = (folder) =>
  readdirSync(join(ROOT, folder), { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? walk(join(folder, e.name)) : e.name.endsWith('.test.ts') ? [] : [join(folder, e.name)],
  );
const hashOf = (data) => createHash('sha256').update(data).digest('hex');

const children = new Set();

/** Starts a process in a group of its own, so that whatever it starts ends with it. */
const launch = (command, args, env, stdio) => {
  const child = spawn(command, args, { cwd: ROOT, env: environment(env), stdio: ['ignore', ...stdio], detached: true });
  children.add(child);
  child.on('exit', () => children.delete(child));
  child.on('error', (error) => stop(`${command} could not be started: ${error.message}`));
  return child;
};

/** Runs a command to its end and gives its exit code. */
export const attempt = (command, args, env = {}) =>
  new Promise((resolve) => launch(command, args, env, ['inherit', 'inherit']).on('close', (code) => stopping || resolve(code)));

/** Runs a command to its end; stops everything when it fails. @param quiet holds its output back unless it fails */
export function run(command, args, env, failure, quiet = false) {
  return new Promise((resolve) => {
    const child = launch(command, args, env, quiet ? ['pipe', 'pipe'] : ['inherit', 'inherit']);
    let output = '';
    child.stdout?.on('data', (d) => (output += d));
    child.stderr?.on('data', (d) => (output += d));
    child.on('close', (code) => {
      if (stopping) return;
      if (code === 0) return resolve(output);
      if (quiet) console.error(output);
      stop(failure);
    });
  });
}

/** Starts something that goes on; everything ends when one of them does. @param says `all`: what it says is passed on */
export function start(name, args, env, says = 'nothing') {
  const child = launch(process.execPath, args, env, [says === 'nothing' ? 'pipe' : 'inherit', 'inherit']);
  child.stdout?.resume();
  child.on('exit', (code) => {
    if (stopping) return;
    console.error(`\n✗ ${name} ended (${code}); stopping.`);
    endAll(1);
  });
  return child;
}

/** Signals every child with all that it has started. */
const signalAll = (signal) => {
  for (const child of children) {
    try {
      process.kill(-child.pid, signal);
    } catch {
      // It has ended meanwhile.
    }
  }
};

let stopping = false;
/** Ends every child and then itself. */
export function endAll(code) {
  if (stopping) return;
  stopping = true;
  signalAll('SIGTERM');
  const hard = setTimeout(() => {
    signalAll('SIGKILL');
    process.exit(code);
  }, 4000);
  const wait = setInterval(() => {
    if (children.size > 0) return;
    clearTimeout(hard);
    clearInterval(wait);
    process.exit(code);
  }, 50);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => endAll(signal === 'SIGINT' ? 130 : 143));

/** Is a port free on this machine? */
export const portFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, () => probe.close(() => resolve(true)));
  });

/** Any free port. */
export const anyPort = () =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/** Waits until an address answers. */
export async function answers(url, withinMs) {
  const until = Date.now() + withinMs;
  while (Date.now() < until) {
    try {
      await fetch(url, { redirect: 'manual' });
      return;
    } catch {
      await new Promise((r) => setTimeout(r, 100));
    }
  }
  stop(`${url} did not answer within ${withinMs / 1000} s.`);
}

export const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;

// npm run backup -- FILE | npm run restore -- FILE | npm run check: the shop as a whole, from the command line.
import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { environment, install, needNode, ROOT, say, stop } from './steps.mjs';

const HELP = {
  make: 'npm run backup -- FILE   makes one file with all of the shop, also while people work, and reads it again',
  restore: 'npm run restore -- FILE  verifies a backup, and puts it in the place of the shop; what was there is kept beside it',
  check: 'npm run check            looks through the shop: database, references, events, certificates, photos',
};
const [doing, ...args] = process.argv.slice(2);
if (args.includes('--help')) {
  console.log(`${HELP[doing]}\n\nThe shop is the one in the folder that EDDRIN_DATA names (./shop).`);
  process.exit(0);
}
const takes = doing === 'check' ? 0 : 1;
if (args.length !== takes) stop(`${HELP[doing]}`);

needNode();
await install();
const data = resolve(ROOT, process.env.EDDRIN_DATA ?? 'shop');
const [file] = args.map((f) => resolve(process.env.INIT_CWD ?? process.cwd(), f));
if (doing === 'make' && existsSync(file)) stop(`${file} is there already: name another file.`);
if (doing === 'restore' && isServed(data)) stop(`The shop in ${data} is being served: stop the program first.`);

const child = spawn(process.execPath, ['--import', 'tsx', 'scripts/backup.ts', doing, ...(file === undefined ? [] : [file])], {
  cwd: ROOT,
  env: environment({ EDDRIN_DATA: data }),
  stdio: ['ignore', 'pipe', 'inherit'],
});
let [rest, said, ended] = ['', '', undefined];
const SAYS = {
  progress: ({ doing: what }) => what !== said && say(what),
  made: ({ bytes, files, rows }) => say(`${(bytes / 1e6).toFixed(1)} MB: ${files} files, ${rows} rows`),
  restored: ({ madeAt, kept }) => {
    say(`the shop stands as of ${new Date(madeAt).toLocaleString('en-GB')}`);
    if (kept !== null) say(`what was there before lies in ${kept}`);
  },
  end: ({ faults }) => (ended = faults),
};
child.stdout.on('data', (chunk) => {
  const lines = (rest + chunk).split('\n');
  rest = lines.pop();
  for (const line of lines) {
    const told = JSON.parse(line);
    SAYS[told.kind](told);
    said = told.doing ?? said;
  }
});
child.on('close', () => {
  if (ended === undefined) stop('It was broken off. Nothing was left half done.');
  if (ended.length > 0) stop(ended.join('\n  '));
  console.log({ make: `\n  ${file} is whole.`, restore: '\n  Restored.', check: '\n  All of it is whole.' }[doing]);
});

/** Does a server that is alive say that it serves this folder? */
function isServed(folder) {
  const mark = join(folder, 'served-by');
  if (!existsSync(mark)) return false;
  try {
    process.kill(Number(readFileSync(mark, 'utf8')), 0);
    return true;
  } catch {
    return false;
  }
}

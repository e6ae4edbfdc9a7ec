// npm run code -- NAME: a one-time code for somebody who cannot come in, for whoever looks after the machine; an owner gives one under Shop, People.
import { resolve } from 'node:path';
import { environment, install, needNode, ROOT, run, stop } from './steps.mjs';

const name = process.argv.slice(2).join(' ');
if (name === '' || name === '--help')
  stop(
    'npm run code -- NAME   takes the PIN or passcode of a person of the shop in EDDRIN_DATA (./shop) away and says a one-time code for a new one',
  );

needNode();
await install();
const env = environment({ EDDRIN_DATA: resolve(ROOT, process.env.EDDRIN_DATA ?? 'shop') });
await run(process.execPath, ['--import', 'tsx', 'scripts/give-code.ts', name], env, 'No code was given.');

import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { z } from 'zod';
import { dataFolder } from '@/db/engine/connection';

const Pins = z.record(z.string(), z.string());

/** The demo's PINs by person, which its seed leaves in the data folder for the sign-in page; none in a real shop. */
export const demoPins = (): Readonly<Record<string, string>> => {
  const file = join(dataFolder(), 'demo-pins.json');
  return existsSync(file) ? Pins.parse(JSON.parse(readFileSync(file, 'utf8'))) : {};
};

import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { photoName, photoStoreOf } from '../photo/photo-store';
import { checkDatabase, type Faults, photoHashesIn } from './check-database';
import { DATABASE } from './manifest';

/** Looks through a living shop: its database, and whether each photo that it refers to is there and is still what it was. */
export async function checkShop(data: string): Promise<Faults> {
  const file = join(data, DATABASE);
  if (!existsSync(file)) return [`There is no shop in ${data}.`];
  const faults = await checkDatabase(file);
  return faults.length > 0 ? faults : photoFaults(data);
}

const photoFaults = async (data: string): Promise<Faults> => {
  const client = createClient({ url: `file:${join(data, DATABASE)}` });
  try {
    const store = photoStoreOf(data);
    const [missing, changed]: [string[], string[]] = [[], []];
    for (const hash of await photoHashesIn(client)) {
      const bytes = await store.get(photoName(hash));
      if (bytes === undefined) missing.push(hash);
      else if (createHash('sha256').update(bytes).digest('hex') !== hash) changed.push(hash);
    }
    return [
      ...(missing.length === 0 ? [] : [`${missing.length} photos are missing, such as ${missing[0]}.`]),
      ...(changed.length === 0 ? [] : [`${changed.length} photos were changed, such as ${changed[0]}.`]),
    ];
  } finally {
    client.close();
  }
};

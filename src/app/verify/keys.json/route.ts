import type { KeyFile } from '@/core/release/certificate-file';
import { theDb } from '@/db/engine/connection';
import { shopKeysOf } from '@/db/release/shop-key';

/** The shop's keys as a file, for `scripts/verify.mjs`. Open to everybody: they are the public parts. */
export async function GET(): Promise<Response> {
  const file: KeyFile = { eddrin: 'keys', version: 1, keys: await shopKeysOf(await theDb()) };
  return Response.json(file, { headers: { 'content-disposition': 'attachment; filename="keys.json"' } });
}

import { createHash } from 'node:crypto';
import { AwsClient } from 'aws4fetch';
import { setting } from '@/config';
import type { PhotoStore } from './port';

/** So long a store may take for one photo, ms: a person waits for it. */
const PATIENCE_MS = 10_000;
const TRIES_MORE = 2;

/** Photos as objects of an S3-compatible store. @param bucket its address by path, such as https://store.example/photos */
export const inBucket = (bucket: string): PhotoStore => {
  const client = new AwsClient({
    accessKeyId: setting('EDDRIN_PHOTOS_KEY') ?? '',
    secretAccessKey: setting('EDDRIN_PHOTOS_SECRET') ?? '',
    region: setting('EDDRIN_PHOTOS_REGION'),
    service: 's3',
    retries: TRIES_MORE,
  });
  const ask = async (method: 'GET' | 'PUT' | 'DELETE', name: string, body?: Uint8Array<ArrayBuffer>): Promise<Response> => {
    const response = await client.fetch(`${bucket.replace(/\/$/, '')}/${name}`, {
      method,
      signal: AbortSignal.timeout(PATIENCE_MS),
      headers: {
        'x-amz-content-sha256': createHash('sha256')
          .update(body ?? '')
          .digest('hex'),
      },
      ...(body === undefined ? {} : { body }),
    });
    if (response.ok || response.status === 404) return response;
    throw new Error(`the store of photos answered ${response.status} to ${method} ${name}: ${(await response.text()).slice(0, 300)}`);
  };
  return {
    get: async (name) => {
      const response = await ask('GET', name);
      return response.ok ? new Uint8Array(await response.arrayBuffer()) : undefined;
    },
    put: async (name, bytes) => {
      const { ok } = await ask('PUT', name, new Uint8Array(bytes));
      if (!ok) throw new Error(`there is no bucket ${bucket}`);
    },
    drop: async (name) => void (await ask('DELETE', name)),
    // An object is there whole, or not.
    sweep: async () => undefined,
  };
};

import { join } from 'node:path';
import { setting } from '@/config';
import { dataFolder } from '../engine/connection';
import { inBucket } from './in-bucket';
import { inFolder } from './in-folder';
import type { PhotoStore } from './port';

export const PHOTO_FOLDER = 'photos';
export type PhotoSize = 'full' | 'small';

/** The name of a photo's bytes: by the hash of what was re-encoded. */
export const photoName = (hash: string, size: PhotoSize = 'full'): string => `${hash}${size === 'small' ? '.small' : ''}.webp`;

/** Where the photos of a shop lie: a folder of its data, unless `EDDRIN_PHOTOS` names a bucket. @param data the shop's folder */
export const photoStoreOf = (data: string): PhotoStore => {
  const bucket = setting('EDDRIN_PHOTOS');
  return bucket === undefined ? inFolder(join(data, PHOTO_FOLDER)) : inBucket(bucket);
};

/** The running shop's. */
export const photoStore = (): PhotoStore => photoStoreOf(dataFolder());

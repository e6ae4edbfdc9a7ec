import { unzipSync } from 'fflate';
import { fail, ok, type Result } from '@/core/result';

const MB = 1024 * 1024;
/** What a zip of photos may hold, unpacked. */
const MOST = { files: 200, bytes: 100 * MB };

/** The photos of a zip, each by its name without its ending. @returns why it is not taken, else */
export const unzipPhotos = (bytes: Uint8Array): Result<readonly { readonly id: string; readonly bytes: Uint8Array }[], string> => {
  let [files, total] = [0, 0];
  try {
    const found = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith('.webp')) return false;
        files += 1;
        total += originalSize;
        // Nothing is unpacked past what may be.
        return files <= MOST.files && total <= MOST.bytes;
      },
    });
    if (files > MOST.files) return fail(`It holds ${files} photos; ${MOST.files} are taken in at once.`);
    if (total > MOST.bytes) return fail(`Its photos are more than ${MOST.bytes / MB} MB.`);
    if (files === 0) return fail('There are no photos in it.');
    return ok(Object.entries(found).map(([name, of]) => ({ id: name.slice(0, -'.webp'.length), bytes: of })));
  } catch {
    return fail('That is no zip, or it is damaged.');
  }
};

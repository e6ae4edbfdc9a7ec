/** Longest side that is sent, pixels; the server keeps no more. */
const LONGEST_PX = 1600;
/** Files beyond this are not opened at all: they are no bench photos. */
export const LARGEST_FILE_MB = 30;

/** Makes a picture as small as is of use before it is sent. A kind that this browser cannot open goes as it is: the server may know it. */
export async function shrink(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined);
  if (picture === undefined) return file;
  const scale = Math.min(1, LONGEST_PX / Math.max(picture.width, picture.height));
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(picture.width * scale)), Math.max(1, Math.round(picture.height * scale)));
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  picture.close();
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.86 });
}

import { type DownBore, tubeView } from '@/core/bore-map/down-bore';
import { type Pixels, type Unrolled, unroll } from '@/core/bore-map/unroll';

/** What is asked of the worker: a picture, and how it lies in a bore. */
export type UnrollAsk = {
  readonly src: string;
  readonly lies: DownBore;
  readonly diaMm: number;
  readonly lengthMm: number;
};
export type UnrollSaid = Unrolled | 'no-tube' | 'no-picture';

/** Lets quick drags pass: only the last of them is unrolled, ms. */
const STILL_MS = 120;

let picture: { readonly src: string; readonly pixels: Promise<Pixels> } | undefined;
let newest = 0;

const read = async (src: string): Promise<Pixels> => {
  const bitmap = await createImageBitmap(await (await fetch(src)).blob());
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true }) as OffscreenCanvasRenderingContext2D;
  context.drawImage(bitmap, 0, 0);
  const { width, height, data } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  return { width, height, rgba: data };
};

/** Unrolls what was asked for last; an older question is left where it is. */
export const unrolledPicture = async ({ data: ask }: MessageEvent<UnrollAsk>): Promise<void> => {
  newest += 1;
  const mine = newest;
  if (picture?.src !== ask.src) picture = { src: ask.src, pixels: read(ask.src) };
  const pixels = await picture.pixels.catch(() => undefined);
  await new Promise((go) => setTimeout(go, STILL_MS));
  if (mine !== newest) return;
  const view = pixels && tubeView(ask.lies, ask, pixels.height / pixels.width);
  const said: UnrollSaid =
    pixels === undefined ? 'no-picture' : view === undefined ? 'no-tube' : unroll(pixels, view, ask.lengthMm, ask.lies.from);
  postMessage(said);
};

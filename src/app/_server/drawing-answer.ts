import sharp from 'sharp';

/** Dots an inch of a drawing as a picture: its finest lines are still told apart. */
const DPI = 200;

/** An SVG drawing as a picture on the light sheet. */
export const pngOf = (svg: string): Promise<Buffer> =>
  sharp(Buffer.from(svg), { density: DPI }).flatten({ background: '#f8faf9' }).png().toBuffer();

/** A drawing as a file to take along: SVG in true millimetres, or the same as a PNG. */
export async function drawingAnswer(svg: string, name: string, kind: 'svg' | 'png'): Promise<Response> {
  const headers = { 'content-disposition': `attachment; filename="${name}.${kind}"` };
  if (kind === 'svg') return new Response(svg, { headers: { ...headers, 'content-type': 'image/svg+xml' } });
  return new Response(new Uint8Array(await pngOf(svg)), { headers: { ...headers, 'content-type': 'image/png' } });
}

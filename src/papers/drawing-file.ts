import type { ReactElement } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';

/** Colours of the light sheet: a file does not know the page's. */
const COLOURS: Readonly<Record<string, string>> = {
  ink: '#12181b',
  ink2: '#485357',
  line: '#b4bdbb',
  hair: '#cfd6d4',
  plate: '#eef1f0',
  sheet: '#f8faf9',
  act: '#1c3f94',
  tint: '#b4c4ea',
  tint2: '#dbe3f4',
  brass: '#5e450b',
  amber: '#8a4a00',
  red: '#b3261e',
};

/** A drawing of the screen as an SVG file, sized in millimetres. @param mmPerUnit what one unit of its view box is */
export async function drawingFile(drawing: ReactElement, mmPerUnit: number): Promise<string> {
  const markup = renderToStaticMarkup(drawing).replace(/var\(--(\w+)\)/g, (whole, name: string) => COLOURS[name] ?? whole);
  const { width, height } = boxIn(markup);
  const size = `width="${width * mmPerUnit}mm" height="${height * mmPerUnit}mm"`;
  return markup.replace('<svg ', `<svg xmlns="http://www.w3.org/2000/svg" ${size} style="font-family:B612,sans-serif" `);
}

/** How large a drawing is, in the units of its view box. */
export const boxOf = (drawing: ReactElement) => boxIn(renderToStaticMarkup(drawing));

const boxIn = (markup: string): { readonly width: number; readonly height: number } => {
  const [, , width = 0, height = 0] = (/viewBox="([^"]+)"/.exec(markup)?.[1] ?? '').split(' ').map(Number);
  return { width, height };
};

import { createElement } from 'react';
import { METRIC } from '@/core/quantity/units';
import { SectionDrawing, type SectionProps } from '../drawing/section-drawing';

/** Colours of the light sheet: a file does not know the page's. */
const COLOURS =
  '--ink:#12181b;--ink2:#485357;--line:#b4bdbb;--hair:#cfd6d4;--plate:#eef1f0;--sheet:#f8faf9;--act:#1c3f94;--tint:#b4c4ea;font-family:B612,sans-serif';

/** The section drawing as a file of its own, one millimetre a millimetre. */
export async function sectionSvg(props: Pick<SectionProps, 'family' | 'geometry' | 'parts' | 'view'>): Promise<string> {
  // Next refuses this import at the top of a module: it is meant for pages, which never draw to text.
  const { renderToStaticMarkup } = await import('react-dom/server');
  const markup = renderToStaticMarkup(createElement(SectionDrawing, { ...props, units: METRIC, trayHref: null }));
  const [, , width, height] = (/viewBox="([^"]+)"/.exec(markup)?.[1] ?? '').split(' ');
  return markup.replace('<svg ', `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" style="${COLOURS}" `);
}

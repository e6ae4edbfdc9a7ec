import { createElement } from 'react';
import { METRIC } from '@/core/quantity/units';
import { SectionDrawing, type SectionProps } from '../drawing/section-drawing';
import { drawingFile } from './drawing-file';

/** The section drawing as a file of its own, one millimetre a millimetre. */
export const sectionSvg = (props: Pick<SectionProps, 'family' | 'geometry' | 'parts' | 'view'>): Promise<string> =>
  drawingFile(createElement(SectionDrawing, { ...props, units: METRIC, trayHref: null }), 1);

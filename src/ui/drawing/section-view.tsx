'use client';

import { useState } from 'react';
import { type Box, sectionOf } from '@/core/family/section';
import type { BoreDrawing } from '@/core/unit/bore-drawing';
import { useUnits } from '../shell/units-context';
import { SectionDrawing, type SectionProps } from './section-drawing';

/** One bore of a section, with what is drawn in it. */
export type DrawnBore = BoreDrawing & Pick<SectionProps, 'parts' | 'lanes' | 'marks' | 'pressed'>;

/** The bores of a unit cut along their axes: side by side where there are several, each with its name and at its own size. */
export function Sections({
  bores,
  ...props
}: Pick<SectionProps, 'view' | 'stopAtMm' | 'faint' | 'trayHref'> & { readonly bores: readonly DrawnBore[] }) {
  const units = useUnits();
  const frame = bores.length > 1 ? frameOf(bores, props.view) : undefined;
  const drawn = bores.map(({ pot, name, ...bore }) => (
    <figure key={pot} className="m-0 min-w-0 flex-1">
      {name !== '' && <figcaption className="text-[13px] text-ink2">{name}</figcaption>}
      <SectionDrawing
        {...props}
        {...bore}
        {...(frame === undefined ? {} : { frame })}
        units={units}
        lanes={props.view === 'apart' ? [] : bore.lanes}
      />
    </figure>
  ));
  return drawn.length === 1 ? drawn[0] : <div className={`flex gap-4 ${props.view === 'apart' ? 'flex-col' : ''}`}>{drawn}</div>;
}

/** What holds every one of several drawings. */
const frameOf = (bores: readonly DrawnBore[], view: SectionProps['view']): Box => {
  const boxes = bores.map((b) => sectionOf(b.family, b.geometry, b.parts)[view === 'apart' ? 'apartBox' : 'box']);
  const [x0, y0] = [Math.min(...boxes.map((b) => b[0])), Math.min(...boxes.map((b) => b[1]))];
  return [x0, y0, Math.max(...boxes.map((b) => b[0] + b[2])) - x0, Math.max(...boxes.map((b) => b[1] + b[3])) - y0];
};

/** The section with what one can do to it: pull it apart, put it together, take it along as a file. */
export function SectionView({ svgHref, ...props }: Omit<Parameters<typeof Sections>[0], 'view'> & { readonly svgHref: string }) {
  const [view, setView] = useState<SectionProps['view']>('together');
  const other = view === 'together' ? 'apart' : 'together';
  return (
    <div className="relative">
      <div className={view === 'apart' ? 'section-apart' : 'section-together'}>
        <Sections {...props} view={view} />
      </div>
      {/* Beside the drawing where it leaves room, below it where it does not. */}
      <div
        className={`flex justify-end gap-3 text-[13px] ${view === 'together' && props.bores.length === 1 ? 'lg:absolute lg:right-0 lg:bottom-0' : ''}`}
      >
        <button type="button" className="min-h-[44px] font-bold text-act" aria-pressed={view === 'apart'} onClick={() => setView(other)}>
          {view === 'together' ? 'Pull apart' : 'Put together'}
        </button>
        <a className="inline-flex min-h-[44px] items-center font-bold text-act" href={`${svgHref}?view=${view}`} download>
          SVG
        </a>
      </div>
    </div>
  );
}

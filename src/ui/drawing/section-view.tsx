'use client';

import { useState } from 'react';
import { SectionDrawing, type SectionProps } from './section-drawing';

/** The section with what one can do to it: pull it apart, put it together, take it along as a file. */
export function SectionView({ svgHref, ...props }: Omit<SectionProps, 'view'> & { readonly svgHref: string }) {
  const [view, setView] = useState<SectionProps['view']>('together');
  const other = view === 'together' ? 'apart' : 'together';
  return (
    <div className="relative">
      <div className={view === 'apart' ? 'section-apart' : 'section-together'}>
        <SectionDrawing {...props} view={view} lanes={view === 'apart' ? [] : props.lanes} />
      </div>
      {/* Beside the drawing where it leaves room, below it where it does not. */}
      <div className={`flex justify-end gap-3 text-[13px] ${view === 'together' ? 'md:absolute md:right-0 md:bottom-0' : ''}`}>
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

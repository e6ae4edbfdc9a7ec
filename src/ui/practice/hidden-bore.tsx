'use client';

import { useState } from 'react';
import type { Picture } from '@/core/practice/exercise';
import { fixed } from '@/core/quantity/figure';
import { Scroll } from '../unit/scroll';

/** A bore that is gauged by pressing where: each reading is one of few. */
export function HiddenBore({
  picture: { depthsMm, clocksDeg, diasMm, budget },
}: {
  readonly picture: Extract<Picture, { readonly kind: 'hidden' }>;
}) {
  const [read, setRead] = useState<readonly string[]>([]);
  const left = budget - read.length;
  return (
    <Scroll label="Readings">
      <table className="border-collapse bg-sheet">
        <caption className="text-left">{left === 0 ? 'No reading left.' : `${left} ${left === 1 ? 'reading' : 'readings'} left.`}</caption>
        <thead>
          <tr>
            <th scope="col" className="th">
              Depth, mm
            </th>
            {clocksDeg.map((c) => (
              <th key={c} scope="col" className="th">
                {c}°
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {depthsMm.map((x, d) => (
            <tr key={x}>
              <th scope="row" className="cell">
                {x}
              </th>
              {clocksDeg.map((c, i) => {
                const key = `${x} ${c}`;
                return (
                  <td key={c} className="cell">
                    {read.includes(key) ? (
                      <b>{fixed(diasMm[d]?.[i] ?? 0, 3)}</b>
                    ) : (
                      <button
                        type="button"
                        className="btn-quiet px-3"
                        disabled={left === 0}
                        aria-label={`Gauge at ${x} mm, ${c}°`}
                        onClick={() => setRead((all) => [...all, key])}
                      >
                        gauge
                      </button>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}

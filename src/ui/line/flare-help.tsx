'use client';

import { useState } from 'react';
import { FLARES, flaresFor } from '@/core/line/flare';
import { TIGHT, WASHERS, WHY_NOT_TIGHTER } from '@/core/line/union-torque';
import { fixed, rewritten } from '@/core/quantity/figure';
import { SEAT_NAMES, SEATS, type Seat } from '@/core/quantity/thread';
import { Choices } from '../field/choices';
import { Scroll } from '../unit/scroll';
import { FlarePicture } from './flare-picture';

/** Which flare a port takes, how it is made and judged; washers by size; how tight, and why not tighter. */
export function FlareHelp({ open = false }: { readonly open?: boolean }) {
  const [seat, setSeat] = useState<Seat>('cone-out');
  return (
    <details open={open} className="border-t border-line pt-2">
      <summary className="min-h-[44px] cursor-pointer font-bold text-act">Flares, washers, and how tight</summary>
      <div className="grid gap-4">
        <Choices
          label="What is at the bottom of the port"
          wrap
          value={seat}
          onPick={setSeat}
          options={SEAT_NAMES.map((s) => ({ value: s, text: SEATS[s].see }))}
        />
        <div className="grid gap-4 md:grid-cols-2">
          {flaresFor(seat).map((f) => (
            <section key={f} aria-label={FLARES[f].label} className="border border-line bg-sheet p-3">
              <div className="flex items-center gap-4">
                <FlarePicture flare={f} seat={seat} />
                <p>
                  <b>{FLARES[f].label}</b>
                  <br />
                  {FLARES[f].looks}
                </p>
              </div>
              <h3 className="mt-2 font-bold">Made</h3>
              <ol className="ml-5 list-decimal">
                {FLARES[f].made.map((t) => (
                  <li key={t}>{t}</li>
                ))}
              </ol>
              <h3 className="mt-2 font-bold">Judged</h3>
              <ul className="ml-5 list-disc">
                {FLARES[f].judged.map((t) => (
                  <li key={t}>{t}</li>
                ))}
              </ul>
            </section>
          ))}
        </div>
        <div className="grid gap-6 md:grid-cols-2">
          <Scroll label="Sealing washers by size">
            <table className="w-full border-collapse bg-sheet">
              <thead>
                <tr>
                  {['Washer for', 'Inside, mm', 'Outside, mm', 'Thick, mm'].map((h) => (
                    <th key={h} scope="col" className="th">
                      {h}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {WASHERS.map((w) => (
                  <tr key={w.bolt}>
                    <th scope="row" className="cell font-normal">
                      {w.bolt}
                    </th>
                    <td className="cell">{fixed(w.innerMm, 0)}</td>
                    <td className="cell">{fixed(w.outerMm, 0)}</td>
                    <td className="cell">{fixed(w.thickMm, 1)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Scroll>
          <div>
            <ul>
              {TIGHT.map((t) => (
                <li key={t.what} className="border-b border-hair py-1">
                  {rewritten(t.what)}: <b>{t.nm}</b>
                </li>
              ))}
            </ul>
            <p className="mt-2 border-l-4 border-amber pl-3">{WHY_NOT_TIGHTER}</p>
            <p className="mt-2 text-[13px] text-ink2">
              Usual figures where none is known: the manual of the machine goes before them. New washers each time.
            </p>
          </div>
        </div>
      </div>
    </details>
  );
}

'use client';

import type { Fitment } from '@/core/identify/fitment';
import { sayLength, sayNominal } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import { Go } from '../shell/go';
import { FindBox } from '../store/find-box';
import { useFind } from '../store/use-find';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

/** Where units belong: machine, years, place, what they measure there, and the kits that a catalogue names. */
export function FitmentTable({
  q: start,
  first,
  units,
}: {
  readonly q: string;
  readonly first: { readonly fitments: readonly Fitment[]; readonly inAll: number };
  readonly units: Units;
}) {
  const { q, setQ, answer, state } = useFind(first, { of: 'fitments' }, start);
  const { fitments, inAll } = answer;
  const mm = (v: number | null | undefined): string => (v == null ? '–' : sayLength(Math.round(v * 10) / 10, units));
  return (
    <>
      <FindBox label="Find a fitment" hint="tractor 1978 rear · 13/16 · DN 20 · M10x1" q={q} onType={setQ} state={state} />
      <p className="flex flex-wrap items-center gap-x-5 text-[13px] text-ink2" aria-live="polite">
        {inAll === 0
          ? 'No fitment meets that.'
          : inAll > fitments.length
            ? `${inAll} found, the first ${fitments.length} shown`
            : `${inAll} found`}
        <Go className="inline-flex min-h-[44px] items-center font-bold text-act" href="/kits/fitments/new">
          Enter a fitment
        </Go>
      </p>
      <Scroll label="Fitments">
        <table className="w-full border-collapse bg-sheet">
          <TableHead
            names={[
              'Machine',
              'Years',
              'Place',
              'Bore',
              `Stroke, ${units.length}`,
              `Body, ${units.length}`,
              `Studs, ${units.length}`,
              'Threads',
              'Cast',
              'Kits',
            ]}
          />
          <tbody>
            {fitments.map((f) => (
              <tr key={f.id} className="align-top">
                <th scope="row" className="cell text-left font-bold">
                  <Go className="underline" href={`/kits/fitments/${encodeURIComponent(f.id)}`}>
                    {f.maker} {f.machine}
                  </Go>
                  {f.note !== '' && <p className="text-[13px] font-normal text-amber">{f.note}</p>}
                </th>
                <td className="cell whitespace-nowrap">{f.yearFrom === null ? '' : `${f.yearFrom}–${f.yearTo ?? ''}`}</td>
                <td className="cell">{f.position}</td>
                <td className="cell whitespace-nowrap">{f.features.boreMm == null ? '–' : sayNominal(f.features.boreMm)}</td>
                <td className="cell">{mm(f.features.strokeMm)}</td>
                <td className="cell">{mm(f.features.bodyLengthMm)}</td>
                <td className="cell">{mm(f.features.studPitchMm)}</td>
                <td className="cell">{f.features.portThreads?.join(', ') ?? '–'}</td>
                <td className="cell">{f.features.castingMark ?? '–'}</td>
                <td className="cell">
                  <span className="flex flex-wrap gap-x-2">
                    {f.kits.map((k) => (
                      <Go key={k} href={`/kits/${encodeURIComponent(k)}`} className="font-bold text-brass underline">
                        {k}
                      </Go>
                    ))}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </>
  );
}

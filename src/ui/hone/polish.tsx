'use client';

import { type ReactNode, useState } from 'react';
import type { Material } from '@/core/family/material';
import type { BorePass } from '@/core/hone/bore-pass';
import { DRIVES } from '@/core/hone/drive';
import { fixed } from '@/core/quantity/figure';
import { useStation } from '../unit/station-context';
import { StationFrame } from '../unit/station-frame';
import { PassForm } from './pass-form';
import { PassTable } from './pass-table';
import type { HoneSetup } from './setup';

const POINTS = [
  'Marked places only, with fine paper and fluid or soft beads; round the bore, not along it.',
  'Washed out, dry, no grit in ports or grooves.',
] as const;

/** A bore that is polished and not cut: beads or paper, logged where they were measured, and signed off when it is clean. */
export function Polish({
  stockUm,
  startDiaMm,
  material,
  passes,
  signOff,
  ledger,
}: {
  /** Most that a polish may take off the diameter. */
  readonly stockUm: number;
  readonly startDiaMm: number | null;
  readonly material: Material;
  readonly passes: readonly BorePass[];
  readonly signOff: ReactNode;
  readonly ledger: ReactNode;
}) {
  const { open } = useStation();
  const [seen, setSeen] = useState<readonly string[]>([]);
  const nowMm = passes.at(-1)?.afterMm ?? startDiaMm;
  const offUm = startDiaMm === null || nowMm === null ? 0 : (nowMm - startDiaMm) * 1000;
  const hand: HoneSetup = { drive: 'hand', ...DRIVES.hand, stoneLengthMm: 25, finish: 'fine' };
  return (
    <StationFrame title="POLISH" ledger={ledger} aside={seen.length === POINTS.length ? <div className="mb-4">{signOff}</div> : undefined}>
      <ul className="border border-line bg-sheet">
        {POINTS.map((point) => (
          <li key={point} className="border-b border-hair last:border-b-0">
            <label className="flex min-h-[44px] items-center gap-3 px-3">
              <input
                type="checkbox"
                className="size-5 accent-act"
                disabled={!open}
                checked={seen.includes(point)}
                onChange={(e) => setSeen(e.target.checked ? [...seen, point] : seen.filter((s) => s !== point))}
              />
              {point}
            </label>
          </li>
        ))}
      </ul>
      {offUm > stockUm && (
        <p className="mt-3 border-l-4 border-amber bg-sheet px-3 py-2">
          {fixed(offUm, 0)} µm off: a polish takes no more than {stockUm} µm. Gauge the bore again before it goes on.
        </p>
      )}
      {open && nowMm !== null && (
        <PassForm setup={hand} grit={600} strokes={10} nowMm={nowMm} material={material} tools={['paper', 'bead']} />
      )}
      <PassTable passes={passes} />
    </StationFrame>
  );
}

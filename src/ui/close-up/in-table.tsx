'use client';

import type { CloseUpStep } from '@/core/close-up/guide';
import { sayDims } from '@/core/family/say-dims';
import { CONDITION_WORDS } from '@/core/strip/condition';
import { FATE_WORDS } from '@/core/strip/fate';
import type { TrayPart } from '@/core/strip/tray-schema';
import type { Photo } from '@/core/unit/photo';
import { SidedPart } from '../drawing/sided';
import { CameraButton } from '../photo/camera-button';
import { Thumbs } from '../photo/thumbs';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import { useStation } from '../unit/station-context';

const HEADS = ['', 'Part', 'Measured', 'As it came out', 'As it goes in', 'Faces', '', 'Photo'] as const;

/** The tray in two halves: as it came out, and as it goes in. */
export function InTable({
  tray,
  steps,
  nowId,
  photos,
  pick,
  photograph,
}: {
  readonly tray: readonly TrayPart[];
  readonly steps: readonly CloseUpStep[];
  readonly nowId: string | undefined;
  readonly photos: readonly Photo[];
  readonly pick: (partId: string) => void;
  readonly photograph: (part: TrayPart, files: readonly File[]) => void;
}) {
  const units = useUnits();
  const { open } = useStation();
  return (
    <Scroll label="Tray">
      <table className="cards w-full border-collapse bg-sheet">
        <thead>
          <tr>
            {HEADS.map((h, i) => (
              <th key={i} scope="col" className={`th ${h === 'As it goes in' ? 'border-l-2 border-l-ink' : ''}`}>
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tray.map((p, i) => {
            const step = steps.find((s) => s.partId === p.id);
            const isNow = p.id === nowId;
            const faces = p.goesIn?.faces ?? null;
            const own = photos.filter((x) => x.onKind === 'part' && x.onId === p.id);
            const takesPhoto = open && p.goesIn !== null;
            return (
              <tr key={p.id} id={`part-${p.slotId}`} className={isNow ? 'bg-tint2' : ''}>
                <td className="cell text-ink2">{i + 1}</td>
                <th scope="row" className="cell font-normal">
                  {isNow ? <b>{p.name}</b> : p.name}
                  {p.qty > 1 ? ` × ${p.qty}` : ''}
                </th>
                <td className="cell text-[13px] text-ink2" data-label="Measured">
                  {sayDims(p.dims, units)}
                </td>
                <td className="cell text-ink2" data-label="As it came out">
                  {p.found === 'absent' ? 'was absent' : [p.condition && CONDITION_WORDS[p.condition], p.note].filter(Boolean).join(', ')}
                </td>
                <td className="cell md:border-l-2 md:border-l-ink" data-label="As it goes in">
                  {step?.from ?? notPutBack(p)}
                </td>
                <td className="cell" data-label="Faces">
                  {faces !== null && <SidedPart what={step?.side?.what ?? 'lip'} seen={faces} size={20} />}
                </td>
                <td className="cell min-w-16" data-label="Is it in">
                  {p.goesIn !== null ? (
                    'in'
                  ) : isNow ? (
                    <b className="text-act">now</b>
                  ) : step === undefined ? (
                    <span className="text-ink2">–</span>
                  ) : (
                    <button
                      type="button"
                      disabled={!open}
                      className="min-h-[44px] w-full text-left text-ink2 enabled:underline"
                      onClick={() => pick(p.id)}
                    >
                      waits
                    </button>
                  )}
                </td>
                <td className="cell" data-label="Photo">
                  {(own.length > 0 || takesPhoto) && (
                    <span className="flex gap-1">
                      <Thumbs photos={own} among={photos} />
                      {takesPhoto && <CameraButton label={`Photo of the ${p.name}, in`} onPick={(files) => photograph(p, files)} />}
                    </span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Scroll>
  );
}

const notPutBack = (p: TrayPart): string =>
  p.found === 'absent' ? 'none on this unit' : p.fate === null ? FATE_WORDS.replaced : 'not put back';

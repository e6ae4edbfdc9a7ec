'use client';

import { Camera } from 'lucide-react';
import type { Faces } from '@/core/close-up/stack-check';
import { PART_KINDS } from '@/core/family/part-kind';
import type { Units } from '@/core/quantity/units';
import { MEASURES } from '@/core/strip/measures';
import { CONDITIONS, type Condition, usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-door';
import { LIP_WORDS, Lip } from '../drawing/lip';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useTray } from '../save/use-tray';
import { Scroll } from '../unit/scroll';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { type AddPhoto, useAddPhoto } from '../unit/use-add-photo';

export const FATE_WORDS: { readonly [F in NonNullable<TrayPart['fate']>]: string } = {
  refitted: 'goes back',
  replaced: 'new one',
  binned: 'bin, not replaced',
};

type News = Partial<Pick<TrayPart, 'found' | 'condition' | 'faces' | 'dims' | 'fate' | 'note'>>;

/** The tray as it came out: one row a part from the open end. Choosing a condition says that it was there and proposes its fate. */
export function Strip({
  target,
  tray: saved,
  units,
  recordPart,
  addPhoto,
  open,
}: {
  readonly target: UnitTarget;
  readonly tray: readonly TrayPart[];
  readonly units: Units;
  readonly recordPart: SaveAction;
  readonly addPhoto: AddPhoto;
  readonly open: boolean;
}) {
  const { tray, tell, saving, acceptTheirs } = useTray(saved, recordPart, target);
  const { send, note: photoNote } = useAddPhoto(target.unitId, addPhoto);
  return (
    <div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
      <p role="status" className="text-[13px] text-ink2 empty:hidden">
        {photoNote}
      </p>
      <Scroll label="Tray">
        <table className="w-full border-collapse bg-sheet">
          <thead>
            <tr>
              {['', 'Part', 'As it came out', 'Lip', `Measured, ${units.length}`, 'Fate', 'Photo', 'Note'].map((h) => (
                <th key={h} scope="col" className="th">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {tray.map((part, i) => (
              <tr key={part.id} id={`part-${part.slotId}`} className={`target:bg-tint2 ${part.found === null ? '' : 'bg-plate'}`}>
                <td className="cell text-ink2">{i + 1}</td>
                <th scope="row" className="cell font-bold" title={PART_KINDS[part.kind].look}>
                  {part.name}
                  {part.qty > 1 ? ` × ${part.qty}` : ''}
                </th>
                <td className="cell">
                  <CameOut part={part} open={open} tell={tell} />
                </td>
                <td className="cell">
                  {part.kind === 'cup' && (
                    <LipPick
                      label={`Lip of the ${part.name}`}
                      value={part.faces}
                      disabled={!open}
                      onPick={(faces) => tell(part, { faces })}
                    />
                  )}
                </td>
                <td className="cell">
                  <span className="flex gap-1">
                    {part.found !== 'absent' &&
                      (MEASURES[part.kind] ?? []).map(({ dim, label, fine }) => (
                        <LengthField
                          key={dim}
                          label={`${part.name}, ${label}`}
                          hideLabel
                          hint={label}
                          className="w-20"
                          fine={fine}
                          units={units}
                          value={typeof part.dims[dim] === 'number' ? part.dims[dim] : null}
                          disabled={!open}
                          onSay={(mm) => tell(part, { dims: { ...part.dims, [dim]: mm } })}
                        />
                      ))}
                  </span>
                </td>
                <td className="cell">
                  <select
                    className="field w-32"
                    aria-label={`Fate of the ${part.name}`}
                    disabled={!open || part.found !== 'present'}
                    value={part.fate ?? ''}
                    onChange={(e) => tell(part, { fate: e.target.value as NonNullable<TrayPart['fate']> })}
                  >
                    <option value="" disabled>
                      {part.found === 'absent' ? '–' : 'choose'}
                    </option>
                    {Object.entries(FATE_WORDS)
                      .filter(([fate]) => fate !== 'refitted' || PART_KINDS[part.kind].policy !== 'never')
                      .map(([fate, text]) => (
                        <option key={fate} value={fate}>
                          {text}
                        </option>
                      ))}
                  </select>
                </td>
                <td className="cell">
                  <PartPhoto part={part} open={open} send={send} />
                </td>
                <td className="cell">
                  <input
                    className="field min-w-24"
                    aria-label={`Note on the ${part.name}`}
                    disabled={!open}
                    defaultValue={part.note}
                    onBlur={(e) => e.target.value !== part.note && tell(part, { note: e.target.value })}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
    </div>
  );
}

/** The part as it came out: its photo, or a camera to take one. */
function PartPhoto({
  part,
  open,
  send,
}: {
  readonly part: TrayPart;
  readonly open: boolean;
  readonly send: (file: File | undefined, caption: string, partId: string) => Promise<void>;
}) {
  if (part.photoId !== null)
    return (
      <a href={`/photos/${part.photoId}`} target="_blank" rel="noreferrer" className="block size-[44px]">
        {/* biome-ignore lint/performance/noImgElement: re-encoded to size when it was stored */}
        <img src={`/photos/${part.photoId}`} alt={part.name} className="size-full object-cover" />
      </a>
    );
  if (!open) return null;
  return (
    <label
      className="flex size-[44px] cursor-pointer items-center justify-center border border-line text-act focus-within:outline-3 focus-within:outline-act"
      title={`Photo of the ${part.name}`}
    >
      <Camera size={18} aria-hidden />
      <input
        type="file"
        accept="image/*"
        capture="environment"
        className="sr-only"
        aria-label={`Photo of the ${part.name}`}
        onChange={(e) => void send(e.target.files?.[0], part.name, part.id)}
      />
    </label>
  );
}

function CameOut({
  part,
  open,
  tell,
}: {
  readonly part: TrayPart;
  readonly open: boolean;
  readonly tell: (part: TrayPart, news: News) => void;
}) {
  const value = part.found === 'absent' ? 'absent' : (part.condition ?? '');
  const choose = (chosen: string): void => {
    if (chosen === 'absent') return tell(part, { found: 'absent', condition: null, fate: null });
    const condition = chosen as Condition;
    tell(part, { found: 'present', condition, fate: part.fate ?? usualFate(part.kind, condition) });
  };
  return (
    <select
      className={`field w-28 ${value === '' ? 'border-act' : ''}`}
      aria-label={`Condition of the ${part.name}`}
      disabled={!open}
      value={value}
      onChange={(e) => choose(e.target.value)}
    >
      <option value="" disabled>
        look at it
      </option>
      {CONDITIONS.map((c) => (
        <option key={c}>{c}</option>
      ))}
      <option value="absent">was absent</option>
    </select>
  );
}

/** Two drawn lips to choose from, open end of the unit to the left. */
export function LipPick({
  label,
  value,
  disabled,
  onPick,
}: {
  readonly label: string;
  readonly value: Faces | null;
  readonly disabled: boolean;
  readonly onPick: (faces: Faces) => void;
}) {
  return (
    <span className="inline-flex" role="radiogroup" aria-label={label}>
      {(['blind', 'open'] as const).map((faces) => (
        // biome-ignore lint/a11y/useSemanticElements: a drawn toggle
        <button
          key={faces}
          type="button"
          role="radio"
          aria-checked={value === faces}
          aria-label={LIP_WORDS[faces]}
          title={LIP_WORDS[faces]}
          disabled={disabled}
          onClick={() => onPick(faces)}
          className={`-ml-px flex min-h-[44px] w-[44px] items-center justify-center border first:ml-0 ${value === faces ? 'relative border-act bg-tint2' : 'border-line bg-sheet'}`}
        >
          <Lip faces={faces} size={20} />
        </button>
      ))}
    </span>
  );
}

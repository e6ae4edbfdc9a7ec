'use client';

import { Fragment, useState } from 'react';
import { type Family, partFacing } from '@/core/family/family';
import { MEASURES } from '@/core/family/measures';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { CONDITIONS, type Condition } from '@/core/strip/condition';
import { CHECKS, inspectPart } from '@/core/strip/inspect';
import { isForeign } from '@/core/strip/part-state';
import type { AddPart as AddPartSent, DropPart as DropPartSent, RecordPart } from '@/core/strip/strip-doors';
import { usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-door';
import type { Photo } from '@/core/unit/photo';
import { LengthField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { SendingNote } from '../photo/sending-note';
import { Thumbs } from '../photo/thumbs';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useTray } from '../save/use-tray';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { AddPart, DropPart } from './add-part';
import { Inspect } from './inspect';
import { LipPick } from './lip-pick';

export const FATE_WORDS: { readonly [F in NonNullable<TrayPart['fate']>]: string } = {
  refitted: 'goes back',
  replaced: 'new one',
  binned: 'bin, not replaced',
};

type News = Partial<Pick<TrayPart, 'kind' | 'found' | 'condition' | 'faces' | 'dims' | 'checks' | 'fate' | 'note'>>;

/** The tray as it came out: one row a part from the open end. Choosing a condition says that it was there and proposes its fate. */
export function Tray({
  target,
  family,
  tray: saved,
  photos,
  units,
  rules,
  actions,
  open,
}: {
  readonly target: UnitTarget;
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  readonly photos: readonly Photo[];
  readonly units: Units;
  readonly rules: Rules;
  readonly actions: {
    readonly recordPart: SaveAction<RecordPart>;
    readonly addPart: SaveAction<AddPartSent>;
    readonly dropPart: SaveAction<DropPartSent>;
  };
  readonly open: boolean;
}) {
  const { tray, tell, saving, acceptTheirs } = useTray(saved, actions.recordPart, target);
  const { send, sending } = usePhotos(target.unitId, 'out');
  const [inspected, setInspected] = useState<string>();
  return (
    <div>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
      <SendingNote sending={sending} />
      <Scroll label="Tray">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['', 'Part', 'As it came out', 'Lip', `Measured, ${units.length}`, 'Fate', 'Inspected', 'Photo', 'Note']} />
          <tbody>
            {tray.map((part, i) => (
              <Fragment key={part.id}>
                <tr id={`part-${part.slotId}`} className={`target:bg-tint2 ${part.found === null ? '' : 'bg-plate'}`}>
                  <td className="cell text-ink2">{i + 1}</td>
                  <th scope="row" className="cell font-bold" title={PART_KINDS[part.kind].look}>
                    {part.name}
                    {part.qty > 1 ? ` × ${part.qty}` : ''}
                    <PartKindNote part={part} family={family} open={open} tell={tell} />
                    {isForeign(family, part) && (
                      <span className="flex items-center gap-2 font-normal text-brass">
                        added{open && <DropPart target={target} part={part} dropPart={actions.dropPart} />}
                      </span>
                    )}
                  </th>
                  <td className="cell">
                    <CameOut part={part} open={open} tell={tell} />
                  </td>
                  <td className="cell">
                    {partFacing(family, part) !== undefined && (
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
                            className="w-18"
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
                      className="field w-30"
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
                    {part.found === 'present' && CHECKS[part.kind] !== undefined && (
                      <button
                        type="button"
                        className="min-h-[44px] font-bold text-act"
                        aria-expanded={inspected === part.id}
                        aria-label={`Inspect the ${part.name}`}
                        onClick={() => setInspected(inspected === part.id ? undefined : part.id)}
                      >
                        {VERDICT_WORDS[inspectPart(part, rules)?.verdict ?? 'open']}
                      </button>
                    )}
                  </td>
                  <td className="cell">
                    <span className="flex flex-wrap gap-1">
                      <Thumbs photos={photos.filter((p) => p.onKind === 'part' && p.onId === part.id)} among={photos} />
                      {open && (
                        <CameraButton
                          label={`Photo of the ${part.name}`}
                          onPick={(files) => void send(files, { kind: 'part', id: part.id }, part.name)}
                        />
                      )}
                    </span>
                  </td>
                  <td className="cell">
                    <input
                      className="field min-w-20"
                      aria-label={`Note on the ${part.name}`}
                      disabled={!open}
                      defaultValue={part.note}
                      onBlur={(e) => e.target.value !== part.note && tell(part, { note: e.target.value })}
                    />
                  </td>
                </tr>
                {inspected === part.id && (
                  <tr>
                    <td className="cell" />
                    <td className="cell bg-sheet" colSpan={8}>
                      <Inspect part={part} units={units} rules={rules} open={open} tell={tell} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      </Scroll>
      {open && <AddPart target={target} tray={tray} addPart={actions.addPart} />}
    </div>
  );
}

const VERDICT_WORDS = { good: 'good', replace: 'replace', open: 'inspect' } as const;

/** Which of the kinds that a family knows for a place this one is. */
function PartKindNote({
  part,
  family,
  open,
  tell,
}: {
  readonly part: TrayPart;
  readonly family: Family;
  readonly open: boolean;
  readonly tell: (part: TrayPart, news: News) => void;
}) {
  const kinds = family.slots.find((s) => s.id === part.slotId)?.oneOf;
  if (kinds === undefined) return null;
  return (
    <select
      className="field mt-1 block w-32 font-normal"
      aria-label={`Kind of the ${part.name}`}
      disabled={!open}
      value={part.kind}
      onChange={(e) => tell(part, { kind: e.target.value as PartKind })}
    >
      {kinds.map((k) => (
        <option key={k} value={k}>
          {PART_KINDS[k].label}
        </option>
      ))}
    </select>
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
      <option value="absent">absent</option>
    </select>
  );
}

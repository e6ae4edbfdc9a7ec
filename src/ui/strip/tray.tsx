'use client';

import { Fragment, useState } from 'react';
import { recordRestAction } from '@/app/actions/strip';
import { type Family, partFacing } from '@/core/family/family';
import { MEASURES } from '@/core/family/measures';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import { may } from '@/core/people/role';
import { CONDITION_WORDS, CONDITIONS, type Condition, isSpoilt } from '@/core/strip/condition';
import { FATE_WORDS } from '@/core/strip/fate';
import { CHECKS, inspectPart } from '@/core/strip/inspect';
import type { PartNews } from '@/core/strip/part-news';
import { isForeign } from '@/core/strip/part-state';
import { perhapsNone, toBeLookedAt, usualFate } from '@/core/strip/tray';
import type { TrayPart } from '@/core/strip/tray-schema';
import type { Photo } from '@/core/unit/photo';
import { LengthField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { SendingNote } from '../photo/sending-note';
import { Thumbs } from '../photo/thumbs';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useTray } from '../save/use-tray';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import { useStation } from '../unit/station-context';
import { TableHead } from '../unit/table-head';
import { AddPart, DropPart } from './add-part';
import { Inspect } from './inspect';
import { LetBack } from './let-back';
import { LipPick } from './lip-pick';

type News = Omit<PartNews, 'goesIn' | 'fastened'>;

/** The tray as it came out: one row a part from the open end. Choosing a condition says that it was there and proposes its fate. */
export function Tray({
  family,
  tray: saved,
  photos,
}: {
  readonly family: Family;
  readonly tray: readonly TrayPart[];
  readonly photos: readonly Photo[];
}) {
  const units = useUnits();
  const { target, rules, role, open, inShop } = useStation();
  // One number can be put right by a lead after the sign-off, while nothing rests on it.
  const mayWrite = open || (inShop && may(role, 'override'));
  const { tray, tell, saving, decide } = useTray(saved);
  const { send, sending } = usePhotos(target.unitId, 'out');
  const [inspected, setInspected] = useState<string>();
  return (
    <div>
      <SaveNote saving={saving} onDecide={decide} />
      <SendingNote sending={sending} />
      <Scroll label="Tray">
        <table className="cards w-full border-collapse bg-sheet">
          <TableHead names={['', 'Part', 'As it came out', 'Lip', `Measured, ${units.length}`, 'Fate', 'Inspected', 'Photo', 'Note']} />
          <tbody>
            {tray.map((part, i) => (
              <Fragment key={part.id}>
                <tr id={`part-${part.slotId}`} className={`target:bg-tint2 ${part.found === null ? '' : 'bg-plate'}`}>
                  <td className="cell text-ink2">{i + 1}</td>
                  <th scope="row" className="cell font-bold" title={PART_KINDS[part.kind].look}>
                    {part.name}
                    {part.qty > 1 ? ` × ${part.qty}` : ''}
                    <PartKindNote part={part} family={family} tell={tell} />
                    {isForeign(family, part) && (
                      <span className="flex items-center gap-2 font-normal text-brass">added{open && <DropPart part={part} />}</span>
                    )}
                  </th>
                  <td className="cell" data-label="As it came out">
                    <CameOut part={part} tell={tell} />
                  </td>
                  <td className="cell" data-label="Lip">
                    {partFacing(family, part) !== undefined && (
                      <LipPick
                        label={`Lip of the ${part.name}`}
                        value={part.faces}
                        disabled={!open}
                        onPick={(faces) => tell(part, { faces })}
                      />
                    )}
                  </td>
                  <td className="cell" data-label="Measured">
                    <span className="flex gap-1">
                      {part.found !== 'absent' &&
                        (MEASURES[part.kind] ?? []).map(({ dim, label, fine }, _, measures) => (
                          <LengthField
                            key={dim}
                            label={`${part.name}, ${label}`}
                            hideLabel
                            hint={label}
                            className={`shrink-0 ${measures.length > 1 ? 'w-18' : 'w-24'}`}
                            fine={fine}
                            value={typeof part.dims[dim] === 'number' ? part.dims[dim] : null}
                            disabled={!mayWrite}
                            onSay={(mm) => tell(part, { dims: { ...part.dims, [dim]: mm } })}
                          />
                        ))}
                    </span>
                  </td>
                  <td className="cell" data-label="Fate">
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
                    <LetBack part={part} onAllow={(allow) => tell(part, { allow })} />
                  </td>
                  <td className="cell" data-label="Inspected">
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
                  <td className="cell" data-label="Photo">
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
                  <td className="cell" data-label="Note">
                    <input
                      className="field min-w-16"
                      aria-label={`Note on the ${part.name}`}
                      disabled={!mayWrite}
                      defaultValue={part.note}
                      onBlur={(e) => e.target.value !== part.note && tell(part, { note: e.target.value })}
                    />
                  </td>
                </tr>
                {inspected === part.id && (
                  <tr>
                    <td className="cell" />
                    <td className="cell bg-sheet" colSpan={8}>
                      <Inspect part={part} tell={tell} />
                    </td>
                  </tr>
                )}
              </Fragment>
            ))}
          </tbody>
        </table>
      </Scroll>
      {open && <Rest family={family} tray={tray} />}
      {open && <AddPart tray={tray} />}
    </div>
  );
}

type Rested = 'usual' | 'none';

/** What is left once everything unusual was said: one press for it, and one for what this unit does not have. */
function Rest({ family, tray }: { readonly family: Family; readonly tray: readonly TrayPart[] }) {
  const { save, saving, decide } = useSave(recordRestAction);
  const [said, setSaid] = useState<readonly Rested[]>([]);
  const say = async (as: Rested, parts: readonly TrayPart[]): Promise<void> => {
    if ((await save({ partIds: parts.map((p) => p.id), as })).ok) setSaid([...said, as]);
  };
  const usual = toBeLookedAt(family, tray);
  const groups = [
    {
      as: 'usual',
      parts: usual,
      text: `Looked at: ${usual.length} are as usual`,
      means: '. Rubber worn, lips the right way, the rest good: what is not so is said above first.',
    },
    { as: 'none', parts: perhapsNone(family, tray), text: 'This unit has none', means: '' },
  ] as const;
  return (
    <div className="my-2 grid gap-2">
      {groups.map(({ as, parts, text, means }) =>
        parts.length > 0 ? (
          <div key={as} className="flex flex-wrap items-center gap-3">
            <button type="button" className="btn-quiet" disabled={saving.kind === 'saving'} onClick={() => void say(as, parts)}>
              {text}
            </button>
            <p className="text-[13px] text-ink2">
              {parts.map((p) => p.name).join(', ')}
              {means}
            </p>
          </div>
        ) : (
          // What is below does not move under a finger that is pressing.
          said.includes(as) && (
            <p key={as} className="min-h-[44px] content-center text-ink2">
              Said.
            </p>
          )
        ),
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}

const VERDICT_WORDS = { good: 'good', replace: 'replace', open: 'inspect' } as const;

/** Which of the kinds that a family knows for a place this one is. */
function PartKindNote({
  part,
  family,
  tell,
}: {
  readonly part: TrayPart;
  readonly family: Family;
  readonly tell: (part: TrayPart, news: News) => void;
}) {
  const { open } = useStation();
  const kinds = family.slots.find((s) => s.id === part.slotId)?.oneOf;
  if (kinds === undefined) return null;
  return (
    <select
      className="field mt-1 block w-36 font-normal"
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

function CameOut({ part, tell }: { readonly part: TrayPart; readonly tell: (part: TrayPart, news: News) => void }) {
  const { open } = useStation();
  const value = part.found === 'absent' ? 'absent' : (part.condition ?? '');
  const choose = (chosen: string): void => {
    if (chosen === 'absent') return tell(part, { found: 'absent', condition: null, fate: null });
    const condition = chosen as Condition;
    const kept = part.fate !== null && !(part.fate === 'refitted' && isSpoilt(condition));
    tell(part, { found: 'present', condition, fate: kept ? part.fate : usualFate(part.kind, condition) });
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
        <option key={c} value={c}>
          {CONDITION_WORDS[c]}
        </option>
      ))}
      <option value="absent">absent</option>
    </select>
  );
}

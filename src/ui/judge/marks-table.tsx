'use client';

import { memo, useMemo } from 'react';
import type { JudgedMark } from '@/core/judge/judge';
import { type BeforeCut, MARK_KINDS, MARK_WORDS, type MarkKind } from '@/core/judge/mark';
import type { MarkRecord } from '@/core/judge/mark-record';
import { depthDoubt } from '@/core/judge/mark-verdict';
import { BORE_OUTCOMES } from '@/core/judge/outcome';
import { depthIn, depthUnit, sayDepth, sayDia, sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { Photo } from '@/core/unit/photo';
import { OUTCOME_WORDS, VerdictSign } from '../drawing/verdict-sign';
import { AngleField, DepthField, LengthField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { Thumbs } from '../photo/thumbs';
import { useUnits } from '../shell/units-context';
import { type Column, DataTable } from '../table/data-table';
import { useStation } from '../unit/station-context';
import { Word } from '../unit/word';

type RowActions = {
  readonly onChoose: (id: string) => void;
  readonly onChange: (id: string, news: Partial<MarkRecord>) => void;
  readonly onRemove: (id: string) => void;
  readonly onPhoto: (files: readonly File[], id: string, name: string) => void;
};

/** The marks of the map as a table: the same data, and what each is judged. */
export function MarksTable({
  marks,
  judged,
  savedIds,
  photos,
  chosen,
  beforeCut,
  ...actions
}: RowActions & {
  readonly marks: readonly MarkRecord[];
  readonly judged: ReadonlyMap<string, JudgedMark>;
  /** Marks on record: photos can be hung on them. */
  readonly savedIds: ReadonlySet<string>;
  readonly photos: readonly Photo[];
  readonly chosen: string | undefined;
  readonly beforeCut: { readonly [markId: string]: BeforeCut | undefined };
}) {
  const units = useUnits();
  const { rules } = useStation();
  const columns = useMemo(() => columnsOf(units, judged), [units, judged]);
  return (
    <div className="mt-2">
      <DataTable
        label="Marks"
        cards
        columns={columns}
        rows={marks}
        keyOf={(m) => m.id}
        shown={chosen}
        row={(m) => (
          <Row
            m={m}
            judged={judged.get(m.name)}
            photos={photos}
            chosen={m.id === chosen}
            unseen={m.seenAt === null ? undefined : beforeCut[m.id]}
            saved={savedIds.has(m.id)}
            doubt={m.depthUm == null || m.depthUncertaintyUm != null ? undefined : depthDoubt(m.depthUm, rules)}
            {...actions}
          />
        )}
      />
    </div>
  );
}

const columnsOf = (units: Units, judged: ReadonlyMap<string, JudgedMark>): readonly Column<MarkRecord>[] => [
  { id: 'name', head: 'Mark', by: (m) => Number(m.name.replace(/\D/g, '')) || m.name },
  { id: 'kind', head: 'Kind', by: (m) => m.kind },
  { id: 'x0', head: `From, ${units.length}`, by: (m) => m.x0Mm },
  { id: 'x1', head: 'To', by: (m) => m.x1Mm },
  { id: 'clock0', head: 'Clock', by: (m) => m.clock0Deg },
  { id: 'clock1', head: 'to', by: (m) => m.clock1Deg },
  { id: 'depth', head: `Deep, ${depthUnit(units)}`, by: (m) => m.depthUm ?? null },
  { id: 'doubt', head: '±', by: (m) => m.depthUncertaintyUm ?? null },
  { id: 'clean', head: 'Clean', by: (m) => Number(m.cleaned) },
  { id: 'needs', head: 'Needs ⌀', by: (m) => judged.get(m.name)?.needsDiaMm ?? null },
  { id: 'judged', head: 'Judged', by: (m) => BORE_OUTCOMES.indexOf(judged.get(m.name)?.outcome ?? 'undecided') },
  { id: 'photo', head: 'Photo' },
  { id: 'remove', head: '' },
];

/** Judging gives every mark a new answer with each keystroke: a row is drawn anew only where the answer is another. */
const Row = memo(
  ({
    m,
    judged,
    photos,
    chosen,
    saved,
    doubt,
    unseen,
    onChoose,
    onChange,
    onRemove,
    onPhoto,
  }: RowActions & {
    readonly m: MarkRecord;
    readonly judged: JudgedMark | undefined;
    readonly photos: readonly Photo[];
    readonly chosen: boolean;
    readonly saved: boolean;
    /** Last seen before the bore was cut. */
    readonly unseen: BeforeCut | undefined;
    /** What is counted for a depth that has no uncertainty of its own, µm. */
    readonly doubt: number | undefined;
  }) => {
    const units = useUnits();
    const { open } = useStation();
    return (
      <tr className={chosen ? 'bg-tint2' : ''} onFocus={() => onChoose(m.id)}>
        <th scope="row" className="cell font-bold">
          {m.name}
        </th>
        <td className="cell" data-label="Kind">
          <select
            className="field w-28"
            aria-label={`Kind of ${m.name}`}
            disabled={!open}
            value={m.kind}
            onChange={(e) => onChange(m.id, { kind: e.target.value as MarkKind })}
          >
            {MARK_KINDS.map((k) => (
              <option key={k} value={k}>
                {MARK_WORDS[k]}
              </option>
            ))}
          </select>
        </td>
        {(['x0Mm', 'x1Mm'] as const).map((end) => (
          <td key={end} className="cell" data-label={end === 'x0Mm' ? 'From' : 'To'}>
            <LengthField
              label={`${m.name} ${end === 'x0Mm' ? 'from' : 'to'}`}
              hideLabel
              className="w-16"
              value={m[end]}
              disabled={!open}
              onSay={(mm) =>
                mm !== null &&
                onChange(m.id, end === 'x0Mm' ? { x0Mm: mm, x1Mm: Math.max(mm, m.x1Mm) } : { x1Mm: mm, x0Mm: Math.min(mm, m.x0Mm) })
              }
            />
          </td>
        ))}
        {(['clock0Deg', 'clock1Deg'] as const).map((end) => (
          <td key={end} className="cell" data-label={end === 'clock0Deg' ? 'Clock' : 'to'}>
            <AngleField
              label={`${m.name} clock ${end === 'clock0Deg' ? 'from' : 'to'}`}
              hideLabel
              className="w-14"
              value={m[end]}
              disabled={!open}
              say="typing"
              onSay={(deg) => onChange(m.id, { [end]: deg ?? 0 })}
            />
          </td>
        ))}
        <td className="cell" data-label="Deep">
          <DepthField
            label={`${m.name} depth`}
            hideLabel
            className="w-14"
            value={m.depthUm ?? null}
            disabled={!open}
            say="typing"
            onSay={(depthUm) => onChange(m.id, { depthUm })}
          />
        </td>
        <td className="cell" data-label="±">
          <DepthField
            label={`${m.name} depth uncertainty`}
            hideLabel
            className="w-14"
            value={m.depthUncertaintyUm ?? null}
            hint={doubt === undefined ? undefined : depthIn(doubt, units)}
            disabled={!open}
            say="typing"
            onSay={(depthUncertaintyUm) => onChange(m.id, { depthUncertaintyUm })}
          />
          {doubt !== undefined && <span className="block text-[12px] text-ink2">the rule’s</span>}
        </td>
        <td className="cell text-center" data-label="Clean">
          <input
            type="checkbox"
            className="size-5 accent-act"
            aria-label={`${m.name} cleaned`}
            disabled={!open}
            checked={m.cleaned}
            onChange={(e) => onChange(m.id, { cleaned: e.target.checked })}
          />
        </td>
        <td className="cell" data-label="Needs ⌀">
          {judged?.needsDiaMm == null ? '–' : sayDia(judged.needsDiaMm, units)}
        </td>
        <td className="cell min-w-36" data-label="Judged">
          <span className="flex items-center gap-1.5 whitespace-nowrap">
            <VerdictSign outcome={judged?.outcome ?? null} />
            {judged === undefined ? '' : OUTCOME_WORDS[judged.outcome].toLowerCase()}
          </span>
          {unseen !== undefined && (
            <LookAgain name={m.name} unseen={unseen} onThere={() => onChange(m.id, { depthUm: null })} onGone={() => onRemove(m.id)} />
          )}
          {judged !== undefined && (
            <span className="block text-[12px] text-ink2">
              {judged.zone === 'clear' ? (
                `${sayLength(judged.distanceMm, units)} ${units.length} off `
              ) : (
                <>
                  <Word of={judged.zone} />,{' '}
                </>
              )}
              {judged.nearestSealId.replaceAll('-', ' ')}
            </span>
          )}
        </td>
        <td className="cell" data-label="Photo">
          <span className="flex w-11 flex-wrap gap-1">
            <Thumbs photos={photos.filter((p) => p.onId === m.id)} among={photos} />
            {saved && <CameraButton label={`Photo of ${m.name}`} onPick={(files) => onPhoto(files, m.id, m.name)} />}
          </span>
        </td>
        <td className="cell" data-label="Off the map">
          {open && (
            <button type="button" className="min-h-[44px] px-1 text-act" aria-label={`Remove ${m.name}`} onClick={() => onRemove(m.id)}>
              remove
            </button>
          )}
        </td>
      </tr>
    );
  },
  (a, b) =>
    a.m === b.m &&
    a.chosen === b.chosen &&
    a.saved === b.saved &&
    a.doubt === b.doubt &&
    a.unseen === b.unseen &&
    a.photos === b.photos &&
    a.judged?.outcome === b.judged?.outcome &&
    a.judged?.needsDiaMm === b.judged?.needsDiaMm &&
    a.judged?.zone === b.judged?.zone &&
    a.judged?.distanceMm === b.judged?.distanceMm &&
    a.judged?.nearestSealId === b.judged?.nearestSealId,
);

/** A mark of the bore as it was before a cut: is it still there? Then its depth is measured anew. */
function LookAgain({
  name,
  unseen: { expectedUm },
  onThere,
  onGone,
}: {
  readonly name: string;
  readonly unseen: BeforeCut;
  readonly onThere: () => void;
  readonly onGone: () => void;
}) {
  const units = useUnits();
  const { open } = useStation();
  return (
    <span className="block text-[12px] text-amber">
      before the cut{expectedUm === null ? '' : expectedUm === 0 ? ': should be gone' : `: ${sayDepth(expectedUm, units)} should be left`}
      {open && (
        <span className="flex gap-1">
          <button type="button" className="btn-quiet px-2" aria-label={`${name} is gone`} onClick={onGone}>
            Gone
          </button>
          <button type="button" className="btn-quiet px-2" aria-label={`${name} is still there`} onClick={onThere}>
            Still there
          </button>
        </span>
      )}
    </span>
  );
}

'use client';

import { memo, useEffect, useState } from 'react';
import type { JudgedMark } from '@/core/judge/judge';
import { MARK_KINDS, MARK_WORDS, type MarkKind } from '@/core/judge/mark';
import type { MarkRecord } from '@/core/judge/mark-record';
import { depthDoubt } from '@/core/judge/mark-verdict';
import { sayDia, sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import type { Photo } from '@/core/unit/photo';
import { OUTCOME_WORDS, VerdictSign } from '../drawing/verdict-sign';
import { AngleField, DepthField, LengthField } from '../field/quantity-field';
import { CameraButton } from '../photo/camera-button';
import { Thumbs } from '../photo/thumbs';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

type RowActions = {
  readonly onChoose: (id: string) => void;
  readonly onChange: (id: string, news: Partial<MarkRecord>) => void;
  readonly onRemove: (id: string) => void;
  readonly onPhoto: (files: readonly File[], id: string, name: string) => void;
};

/** Marks that the table shows at once: a browser lays hundreds of rows of fields out anew with every keystroke. */
const A_PAGE = 40;

/** The marks of the map as a table: the same data, and what each is judged. */
export function MarksTable({
  marks,
  judged,
  savedIds,
  photos,
  chosen,
  units,
  rules,
  open,
  ...actions
}: RowActions & {
  readonly marks: readonly MarkRecord[];
  readonly judged: ReadonlyMap<string, JudgedMark>;
  /** Marks on record: photos can be hung on them. */
  readonly savedIds: ReadonlySet<string>;
  readonly photos: readonly Photo[];
  readonly chosen: string | undefined;
  readonly units: Units;
  readonly rules: Rules;
  readonly open: boolean;
}) {
  const pages = Math.max(1, Math.ceil(marks.length / A_PAGE));
  const [asked, setPage] = useState(0);
  // The page that holds the chosen mark, until another is asked for.
  const at = Math.floor(marks.findIndex((m) => m.id === chosen) / A_PAGE);
  useEffect(() => {
    if (at >= 0) setPage(at);
  }, [at]);
  const page = Math.min(asked, pages - 1);
  if (marks.length === 0) return null;
  return (
    <>
      <Scroll label="Marks" className="mt-2">
        <table className="w-full border-collapse">
          <TableHead
            names={[
              'Mark',
              'Kind',
              `From, ${units.length}`,
              'To',
              'Clock',
              'to',
              'Deep, µm',
              '±',
              'Clean',
              'Needs ⌀',
              'Judged',
              'Photo',
              '',
            ]}
          />
          <tbody>
            {marks.slice(page * A_PAGE, (page + 1) * A_PAGE).map((m) => (
              <Row
                key={m.id}
                m={m}
                judged={judged.get(m.name)}
                photos={photos}
                chosen={m.id === chosen}
                saved={savedIds.has(m.id)}
                units={units}
                doubt={m.depthUm == null || m.depthUncertaintyUm != null ? undefined : depthDoubt(m.depthUm, rules)}
                open={open}
                {...actions}
              />
            ))}
          </tbody>
        </table>
      </Scroll>
      {pages > 1 && (
        <div className="mt-2 flex items-center gap-3">
          <button type="button" className="btn-quiet" disabled={page === 0} onClick={() => setPage(page - 1)}>
            Marks before
          </button>
          <p>
            {page * A_PAGE + 1} to {Math.min(marks.length, (page + 1) * A_PAGE)} of {marks.length}
          </p>
          <button type="button" className="btn-quiet" disabled={page === pages - 1} onClick={() => setPage(page + 1)}>
            Marks after
          </button>
        </div>
      )}
    </>
  );
}

/** Judging gives every mark a new answer with each keystroke: a row is drawn anew only where the answer is another. */
const Row = memo(
  ({
    m,
    judged,
    photos,
    chosen,
    saved,
    units,
    doubt,
    open,
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
    readonly units: Units;
    /** What is counted for a depth that has no uncertainty of its own, µm. */
    readonly doubt: number | undefined;
    readonly open: boolean;
  }) => (
    <tr className={chosen ? 'bg-tint2' : ''} onFocus={() => onChoose(m.id)}>
      <th scope="row" className="cell font-bold">
        {m.name}
      </th>
      <td className="cell">
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
        <td key={end} className="cell">
          <LengthField
            label={`${m.name} ${end === 'x0Mm' ? 'from' : 'to'}`}
            hideLabel
            className="w-16"
            value={m[end]}
            disabled={!open}
            units={units}
            onSay={(mm) =>
              mm !== null &&
              onChange(m.id, end === 'x0Mm' ? { x0Mm: mm, x1Mm: Math.max(mm, m.x1Mm) } : { x1Mm: mm, x0Mm: Math.min(mm, m.x0Mm) })
            }
          />
        </td>
      ))}
      {(['clock0Deg', 'clock1Deg'] as const).map((end) => (
        <td key={end} className="cell">
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
      <td className="cell">
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
      <td className="cell">
        <DepthField
          label={`${m.name} depth uncertainty`}
          hideLabel
          className="w-14"
          value={m.depthUncertaintyUm ?? null}
          hint={doubt === undefined ? undefined : String(Number(doubt.toFixed(1)))}
          disabled={!open}
          say="typing"
          onSay={(depthUncertaintyUm) => onChange(m.id, { depthUncertaintyUm })}
        />
        {doubt !== undefined && <span className="block text-[12px] text-ink2">the rule’s</span>}
      </td>
      <td className="cell text-center">
        <input
          type="checkbox"
          className="size-5 accent-act"
          aria-label={`${m.name} cleaned`}
          disabled={!open}
          checked={m.cleaned}
          onChange={(e) => onChange(m.id, { cleaned: e.target.checked })}
        />
      </td>
      <td className="cell">{judged?.needsDiaMm == null ? '–' : sayDia(judged.needsDiaMm, units)}</td>
      <td className="cell min-w-36">
        <span className="flex items-center gap-1.5 whitespace-nowrap">
          <VerdictSign outcome={judged?.outcome ?? null} />
          {judged === undefined ? '' : OUTCOME_WORDS[judged.outcome].toLowerCase()}
        </span>
        {judged !== undefined && (
          <span className="block text-[12px] text-ink2">
            {judged.zone === 'clear' ? `${sayLength(judged.distanceMm, units)} ${units.length} off ` : `${judged.zone}, `}
            {judged.nearestSealId.replaceAll('-', ' ')}
          </span>
        )}
      </td>
      <td className="cell">
        <span className="flex w-11 flex-wrap gap-1">
          <Thumbs photos={photos.filter((p) => p.onId === m.id)} among={photos} />
          {saved && <CameraButton label={`Photo of ${m.name}`} onPick={(files) => onPhoto(files, m.id, m.name)} />}
        </span>
      </td>
      <td className="cell">
        {open && (
          <button type="button" className="min-h-[44px] px-1 text-act" aria-label={`Remove ${m.name}`} onClick={() => onRemove(m.id)}>
            remove
          </button>
        )}
      </td>
    </tr>
  ),
  (a, b) =>
    a.m === b.m &&
    a.chosen === b.chosen &&
    a.saved === b.saved &&
    a.units === b.units &&
    a.doubt === b.doubt &&
    a.open === b.open &&
    a.photos === b.photos &&
    a.judged?.outcome === b.judged?.outcome &&
    a.judged?.needsDiaMm === b.judged?.needsDiaMm &&
    a.judged?.zone === b.judged?.zone &&
    a.judged?.distanceMm === b.judged?.distanceMm &&
    a.judged?.nearestSealId === b.judged?.nearestSealId,
);

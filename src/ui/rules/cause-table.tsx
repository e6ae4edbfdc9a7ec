'use client';

import { useState } from 'react';
import type { SaveCauses } from '@/core/book-in/book-in-doors';
import { CAUSE_NAMES, CAUSES, type CauseName, WHERE_WORDS } from '@/core/book-in/cause';
import { COMPLAINT_NAMES, COMPLAINTS, type Complaint } from '@/core/book-in/complaint';
import type { Likelihoods } from '@/core/book-in/likelihoods';
import { saySaveError } from '@/core/unit/save-error';
import type { Ask } from '../save/use-ask';
import { Scroll } from '../unit/scroll';

const percent = (chance: number): string => String(Math.round(chance * 1000) / 10);

/** The shop's likelihoods, to read and to edit: a row a cause, a column a complaint. */
export function CauseTable({
  version,
  stated,
  moved,
  open,
  save,
}: {
  readonly version: number;
  readonly stated: Likelihoods;
  readonly moved: Likelihoods;
  readonly open: boolean;
  readonly save: Ask<SaveCauses>;
}) {
  const [model, setModel] = useState(stated);
  const [note, setNote] = useState('');
  const [told, setTold] = useState<readonly string[]>([]);
  const set = (cause: CauseName, complaint: Complaint | 'prior', chance: number): void => {
    const row = model[cause];
    const next = complaint === 'prior' ? { ...row, prior: chance } : { ...row, given: { ...row.given, [complaint]: chance } };
    setModel({ ...model, [cause]: next });
  };
  const submit = async (): Promise<void> => {
    const result = await save({ after: version, note, likelihoods: model }).catch(() => undefined);
    if (result === undefined) return setTold(['No connection. Everything is still here: save it again when it is back.']);
    setTold(result.ok ? [] : saySaveError(result.error));
  };
  const cell = (cause: CauseName, column: Complaint | 'prior') => {
    const [mine, now] =
      column === 'prior' ? [model[cause].prior, moved[cause].prior] : [model[cause].given[column], moved[cause].given[column]];
    const name = `${CAUSES[cause].label}, ${column === 'prior' ? 'how often' : COMPLAINTS[column]}`;
    return (
      <td key={column} className="cell">
        <input
          className="min-h-9 w-14 border border-line bg-sheet px-1 text-right disabled:border-transparent"
          inputMode="decimal"
          aria-label={name}
          disabled={!open}
          defaultValue={percent(mine)}
          onChange={(e) => set(cause, column, Number(e.target.value.replace(',', '.')) / 100)}
        />
        <span className="block text-right text-[12px] text-ink2">{percent(now)}</span>
      </td>
    );
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void submit();
      }}
    >
      <Scroll label="Causes and complaints">
        <table className="border-collapse bg-sheet">
          <thead>
            <tr>
              {['Cause', 'How often', ...COMPLAINT_NAMES.map((c) => COMPLAINTS[c])].map((h) => (
                <th key={h} scope="col" className="th align-bottom">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {CAUSE_NAMES.map((cause) => (
              <tr key={cause}>
                <th scope="row" className="cell min-w-52 font-normal">
                  {CAUSES[cause].label}
                  <span className="block text-[12px] text-ink2">{WHERE_WORDS[CAUSES[cause].where]}</span>
                </th>
                {(['prior', ...COMPLAINT_NAMES] as const).map((column) => cell(cause, column))}
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <div role="alert">
        {told.map((t) => (
          <p key={t} className="mt-2 border-l-4 border-red bg-sheet px-3 py-1 text-red">
            {t}
          </p>
        ))}
      </div>
      {open && (
        <div className="mt-3 flex flex-wrap items-end gap-3">
          <label className="label mb-0">
            Why it changes
            <input className="field mt-1 w-80" value={note} maxLength={300} onChange={(e) => setNote(e.target.value)} />
          </label>
          <button type="submit" className="btn" disabled={note.trim().length < 3 || model === stated}>
            Save as version {version + 1}
          </button>
        </div>
      )}
    </form>
  );
}

'use client';

import { saveCausesAction } from '@/app/actions/book-in';
import { CAUSE_NAMES, CAUSES, type CauseName, WHERE_WORDS } from '@/core/book-in/cause';
import { COMPLAINT_NAMES, COMPLAINTS, type Complaint } from '@/core/book-in/complaint';
import { eachChance, type Likelihoods } from '@/core/book-in/likelihoods';
import { plain } from '@/core/quantity/figure';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Scroll } from '../unit/scroll';

const { Cell, Text } = fieldsOf<{ readonly note: string; readonly likelihoods: Likelihoods }>();
const percent = (chance: number): number => Math.round(chance * 1000) / 10;

/** The shop's likelihoods in %, to read and to edit: a row a cause, a column a complaint; below each, what finished units made of it. */
export function CauseTable({
  version,
  stated,
  moved,
  open,
}: {
  readonly version: number;
  readonly stated: Likelihoods;
  readonly moved: Likelihoods;
  readonly open: boolean;
}) {
  const saving = useAskForm(saveCausesAction, { note: '', likelihoods: eachChance(stated, percent) }, ({ note, likelihoods }) => ({
    after: version,
    note,
    likelihoods: eachChance(likelihoods, (p) => p / 100),
  }));
  const cell = (cause: CauseName, column: Complaint | 'prior') => (
    <td key={column} className="cell">
      <Cell
        name={column === 'prior' ? `likelihoods.${cause}.prior` : `likelihoods.${cause}.given.${column}`}
        label={`${CAUSES[cause].label}, ${column === 'prior' ? 'how often' : COMPLAINTS[column]}`}
        className="w-14"
        disabled={!open}
      />
      <span className="block text-right text-[12px] text-ink2">
        {plain(percent(column === 'prior' ? moved[cause].prior : moved[cause].given[column]))}
      </span>
    </td>
  );
  return (
    <ActionFormFrame
      of={saving}
      className=""
      submit={open ? `Save as version ${version + 1}` : null}
      may={saving.form.formState.dirtyFields.likelihoods !== undefined}
      bar={<Text name="note" label="Why it changes" className="w-80" maxLength={300} />}
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
    </ActionFormFrame>
  );
}

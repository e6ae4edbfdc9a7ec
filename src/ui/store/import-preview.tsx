import type { FileFaults } from '@/core/schema/file-problem';
import type { Fate, Forecast } from '@/core/store/import-record';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

const FATES: { readonly [F in Fate]: string } = { new: 'new', changed: 'changed', same: 'as it is' };
/** What is wrong with a file, by line and column. */
export const Wrong = ({ problems, inAll }: FileFaults) => (
  <div role="alert">
    <p className="font-bold text-red">
      {inAll === 1 ? 'One thing is wrong with it' : `${inAll} things are wrong with it`}; nothing was written.
    </p>
    <Scroll label="What is wrong" className="max-h-[28rem] border border-line bg-sheet px-3 py-1">
      {problems.map((p, i) => (
        <p key={i}>
          {p.line > 0 && `Line ${p.line}`}
          {p.column !== '' && `, ${p.column}`}
          {p.line > 0 && ': '}
          {p.message}.
        </p>
      ))}
    </Scroll>
    {inAll > problems.length && <p className="text-[13px] text-ink2">These are the first {problems.length}.</p>}
  </div>
);

/** What a file would do, row by row, and the button that does it. */
export function Planned({ counts, first, understood, onWrite }: Forecast & { readonly understood: string; readonly onWrite: () => void }) {
  const news = counts.new + counts.changed;
  const more = news + counts.same - first.length;
  return (
    <>
      <p className="flex flex-wrap items-center gap-x-4">
        <span>
          {understood}: <b>{counts.new}</b> new, <b>{counts.changed}</b> changed, {counts.same} as they are.
        </span>
        <button type="button" className="btn" disabled={news === 0} onClick={onWrite}>
          {news === 0 ? 'Nothing to write' : `Write ${news}`}
        </button>
      </p>
      <Scroll label="What becomes of each row" className="mt-2 max-h-[28rem]">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['Line', '', 'Row', 'What changes']} />
          <tbody>
            {first.map((f) => (
              <tr key={f.line}>
                <td className="cell text-ink2">{f.line}</td>
                <td className={`cell ${f.fate === 'same' ? 'text-ink2' : 'font-bold'}`}>{FATES[f.fate]}</td>
                <td className="cell">{f.name}</td>
                <td className="cell text-[13px] text-ink2">{f.what}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      {more > 0 && <p className="text-[13px] text-ink2">{more} rows more, counted above.</p>}
    </>
  );
}

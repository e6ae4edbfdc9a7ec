import type { Fate, ImportNews } from '@/core/store/import-record';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

const FATES: { readonly [F in Fate]: string } = { new: 'new', changed: 'changed', same: 'as it is' };
/** Rows of a preview that are drawn; all are counted. */
const DRAWN = 400;

/** Everything that is wrong with a file, by line and column. */
export const Wrong = ({ problems }: { readonly problems: Extract<ImportNews, { kind: 'wrong' }>['problems'] }) => (
  <div role="alert">
    <p className="font-bold text-red">
      {problems.length === 1 ? 'One thing is wrong with it' : `${problems.length} things are wrong with it`}; nothing was written.
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
  </div>
);

/** What a file would do, row by row, and the button that does it. */
export function Planned({
  fates,
  understood,
  onWrite,
}: {
  readonly fates: Extract<ImportNews, { kind: 'planned' }>['fates'];
  readonly understood: string;
  readonly onWrite: () => void;
}) {
  const count = (fate: Fate): number => fates.filter((f) => f.fate === fate).length;
  const news = fates.filter((f) => f.fate !== 'same');
  return (
    <>
      <p className="flex flex-wrap items-center gap-x-4">
        <span>
          {understood}: <b>{count('new')}</b> new, <b>{count('changed')}</b> changed, {count('same')} as they are.
        </span>
        <button type="button" className="btn" disabled={news.length === 0} onClick={onWrite}>
          {news.length === 0 ? 'Nothing to write' : `Write ${news.length}`}
        </button>
      </p>
      <Scroll label="What becomes of each row" className="mt-2 max-h-[28rem]">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['Line', '', 'Row', 'What changes']} />
          <tbody>
            {fates.slice(0, DRAWN).map((f) => (
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
      {fates.length > DRAWN && <p className="text-[13px] text-ink2">{fates.length - DRAWN} rows more, counted above.</p>}
    </>
  );
}

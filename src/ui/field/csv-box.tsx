'use client';

import { useState } from 'react';
import type { Result } from '@/core/result';
import type { FileProblem } from '@/core/schema/file-problem';
import { type Dialect, sayDialect } from '@/csv/read-table';

type Read<R> = Result<{ readonly dialect: Dialect; readonly rows: readonly R[] }, readonly FileProblem[]>;

/** Takes a CSV by paste or from a file; shows how it was understood, or everything wrong with it, before anything is taken. */
export function CsvBox<R>({
  what,
  columns,
  read,
  onTake,
}: {
  /** What its rows are, as a plural. */
  readonly what: string;
  readonly columns: string;
  readonly read: (text: string) => Read<R>;
  readonly onTake: (rows: readonly R[]) => void;
}) {
  const [text, setText] = useState('');
  const answer = text.trim() === '' ? undefined : read(text);
  return (
    <div className="mt-2 grid max-w-xl gap-2">
      <textarea
        className="field min-h-24 py-2 font-mono text-[13px]"
        aria-label={`CSV of ${what}`}
        placeholder={columns}
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <div className="flex flex-wrap items-center gap-3">
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv"
          aria-label={`File of ${what}`}
          onChange={(e) => void e.target.files?.[0]?.text().then(setText)}
        />
        <button
          type="button"
          className="btn-quiet"
          disabled={answer?.ok !== true}
          onClick={() => {
            if (answer?.ok !== true) return;
            onTake(answer.value.rows);
            setText('');
          }}
        >
          Take them
        </button>
      </div>
      <div role="status">
        {answer?.ok === true && (
          <p>
            {answer.value.rows.length} {what}; {sayDialect(answer.value.dialect)}.
          </p>
        )}
        {answer?.ok === false &&
          answer.error.slice(0, 20).map((p) => (
            <p key={`${p.line} ${p.column} ${p.message}`} className="text-red">
              Line {p.line}
              {p.column === '' ? '' : `, ${p.column}`}: {p.message}.
            </p>
          ))}
        {answer?.ok === false && answer.error.length > 20 && <p className="text-red">And {answer.error.length - 20} more.</p>}
      </div>
    </div>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { undoImportAction } from '@/app/actions/store';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { faultsOf } from '@/core/schema/file-problem';
import type { ImportNews, ImportRecord } from '@/core/store/import-record';
import { Choices } from '../field/choices';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Planned, Wrong } from './import-preview';

type FileKind = {
  readonly name: string;
  readonly words: string;
  readonly columns: { readonly all: readonly string[]; readonly needed: readonly string[] };
};
/** Files in and out of the store. What a file would do is shown row by row before anything is written; a whole import can be taken back. */
export function StoreFiles({
  files,
  imports,
  now,
}: {
  readonly files: readonly FileKind[];
  readonly imports: readonly ImportRecord[];
  readonly now: number;
}) {
  const [what, setWhat] = useState(files[0]?.name ?? 'kits');
  const [file, setFile] = useState<File>();
  const [news, setNews] = useState<ImportNews>();
  const { ask, asking, told } = useAsk();
  const router = useRouter();
  const chosen = files.find((f) => f.name === what);
  const busy = news?.kind === 'progress';
  const send = async (sent: File, write?: string): Promise<void> => {
    const query = new URLSearchParams({ what, file: sent.name, ...(write === undefined ? {} : { write }) });
    try {
      setNews({ kind: 'progress', doing: 'sending', done: 0, of: 1 });
      const answer = await fetch(`/api/v1/store/import?${query}`, { method: 'POST', body: sent });
      if (!answer.ok || answer.body === null) throw new Error(((await answer.json()) as { readonly title: string }).title);
      await follow(answer.body, setNews);
      if (write !== undefined) router.refresh();
    } catch (error) {
      const message =
        error instanceof Error && error.message !== 'Failed to fetch' ? error.message : 'no connection; try again when it is back';
      setNews({ kind: 'wrong', ...faultsOf([{ line: 0, column: '', message }]) });
    }
  };
  const look = (sent: File | undefined): void => {
    setFile(sent);
    setNews(undefined);
    if (sent !== undefined) void send(sent);
  };
  return (
    <div className="grid gap-x-8 gap-y-5 lg:grid-cols-[minmax(0,2fr)_minmax(0,1fr)]">
      <section aria-label="Import">
        <h2 className="head mb-2">IMPORT</h2>
        <Choices
          label="What the file holds"
          wrap
          options={files.map((f) => ({ value: f.name, text: f.words.split(':')[0] ?? f.name, title: f.words }))}
          value={what}
          disabled={busy}
          onPick={(name) => {
            setWhat(name);
            look(undefined);
          }}
        />
        {chosen !== undefined && (
          <p className="mt-2 text-[13px] text-ink2">
            {chosen.words}. CSV or Excel, the first row its header: <b className="text-ink">{chosen.columns.needed.join(', ')}</b>
            {chosen.columns.all.length > chosen.columns.needed.length &&
              `, and if known ${chosen.columns.all.filter((c) => !chosen.columns.needed.includes(c)).join(', ')}`}
            .
          </p>
        )}
        <input
          key={what}
          type="file"
          className="mt-2 min-h-[44px] file:mr-3 file:min-h-[44px] file:border file:border-act file:bg-sheet file:px-4 file:font-bold file:text-act"
          accept=".csv,.txt,.tsv,.xlsx"
          aria-label={`File of ${what}`}
          disabled={busy}
          onChange={(e) => look(e.target.files?.[0])}
        />
        <div aria-live="polite" className="mt-2">
          {news?.kind === 'progress' && (
            <p>
              {news.doing} {news.of > 1 && `${news.done} of ${news.of}`}
              <progress className="ml-3 align-middle" max={news.of} value={news.done} aria-label={news.doing} />
            </p>
          )}
          {news?.kind === 'wrong' && <Wrong {...news} />}
          {news?.kind === 'written' && (
            <p className="border-l-4 border-act pl-3">
              Written: {news.added} new, {news.changed} changed.
            </p>
          )}
          {news?.kind === 'planned' && file !== undefined && <Planned {...news} onWrite={() => void send(file, uuidv7())} />}
        </div>
      </section>
      <aside aria-label="Export and earlier imports">
        <h2 className="head mb-2">EXPORT</h2>
        <ul className="mb-5">
          {files.map((f) => (
            <li key={f.name} className="flex items-center gap-4 border-b border-hair">
              <span className="w-24">{f.words.split(':')[0]}</span>
              {['csv', 'xlsx'].map((kind) => (
                <a
                  key={kind}
                  className="inline-flex min-h-[44px] items-center font-bold text-act uppercase"
                  href={`/api/v1/store/export/${f.name}.${kind}`}
                  download
                >
                  {kind}
                </a>
              ))}
            </li>
          ))}
        </ul>
        <h2 className="head mb-1">IMPORTED SO FAR</h2>
        {imports.length === 0 && <p className="text-ink2">Nothing yet. An import that was wrong is taken back here, whole.</p>}
        {imports.map((i) => (
          <div key={i.id} className="border-b border-hair py-1">
            <p>
              <b>{i.what}</b> {i.file}
            </p>
            <p className="flex flex-wrap items-center gap-x-3 text-[13px] text-ink2" title={sayFullDate(i.at)}>
              {i.added} new, {i.changed} changed · {i.by} · {sayWhen(i.at, now)}
              {i.undoneAt !== null ? (
                <b>taken back {sayWhen(i.undoneAt, now)}</b>
              ) : (
                <button
                  type="button"
                  className="btn-quiet ml-auto"
                  disabled={asking}
                  onClick={() => void ask(undoImportAction, { importId: i.id })}
                >
                  Take it back
                </button>
              )}
            </p>
          </div>
        ))}
        <Told lines={told} />
      </aside>
    </div>
  );
}

/** Reads a stream of news, a line each, as they come. */
const follow = async (body: ReadableStream<Uint8Array>, tell: (news: ImportNews) => void): Promise<void> => {
  const [reader, decoder] = [body.getReader(), new TextDecoder()];
  let text = '';
  for (let part = await reader.read(); !part.done; part = await reader.read()) {
    text += decoder.decode(part.value, { stream: true });
    const lines = text.split('\n');
    text = lines.pop() ?? '';
    for (const line of lines) tell(JSON.parse(line) as ImportNews);
  }
};

import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { foldHistory } from '@/core/unit/history';
import { sayUnit, tagNumber, tagOf } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { historyOf } from '@/db/unit/history';
import { Tag } from '@/ui/drawing/tag';
import { Go } from '@/ui/shell/go';
import { HistoryLines } from '@/ui/unit/history-lines';

type Params = { readonly params: Promise<{ readonly tag: string }> };

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · History` });

/** All that happened to a unit, the newest first. */
export default async function HistoryPage({ params }: Params) {
  const number = tagNumber((await params).tag);
  const db = await theDb();
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  if (record === undefined) notFound();
  const tag = tagOf(record.unit);
  return (
    <div className="max-w-4xl px-4 py-4">
      <Go href={`/units/${tag}/${record.unit.station}`} className="inline-block">
        <Tag text={tag} />
      </Go>
      <h1 className="mt-2 mb-3 text-xl font-bold">History of the {sayUnit(record)}</h1>
      <HistoryLines lines={foldHistory(await historyOf(db, record.unit.id, 2000))} now={Date.now()} />
    </div>
  );
}

import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { sayUnit, tagNumber, tagOf } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { sayNotDone } from '@/pool/pool';
import { Options } from '@/ui/offer/options';
import { Go } from '@/ui/shell/go';
import { optionsNow } from '../../../../_server/options-now';
import { personOrSignIn } from '../../../../_server/who';

type Params = { readonly params: Promise<{ readonly tag: string }> };

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · options` });

/** What may be done about a unit, and what each way costs. */
export default async function OptionsPage({ params }: Params) {
  const [, db, { tag }] = await Promise.all([personOrSignIn(), theDb(), params]);
  const number = tagNumber(tag);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  if (record === undefined) notFound();
  const now = Date.now();
  const found = record.unit.exit === null ? await optionsNow(db, record, now) : undefined;
  return (
    <div className="px-4 py-4">
      <p className="text-[13px]">
        <Go className="font-bold text-act" href={`/units/${tagOf(record.unit)}`}>
          {tagOf(record.unit)}
        </Go>{' '}
        / Options
      </p>
      <h1 className="mb-1 text-xl font-bold">Repair, sleeve, exchange, new, or give back: {sayUnit(record)}</h1>
      {found === undefined ? (
        <p>It has left the shop: there is nothing to choose any more.</p>
      ) : found.ok ? (
        <Options {...found.value} now={now} />
      ) : (
        <p role="alert">{sayNotDone(found.error)}</p>
      )}
    </div>
  );
}

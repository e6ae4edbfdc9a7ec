import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '@/core/people/role';
import { sayUnit, tagNumber, tagOf } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { askablesOf } from '@/db/practice/cases';
import { MakeCaseForm } from '@/ui/practice/make-case';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../../../_server/who';

type Params = { readonly params: Promise<{ readonly tag: string }> };

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: `${(await params).tag} · a case` });

/** A lead makes an exercise of a unit that has left: what is asked of its record, which photos, and what there is to learn. */
export default async function CasePage({ params }: Params) {
  const [person, db, { tag }] = await Promise.all([personOrSignIn(), theDb(), params]);
  const number = tagNumber(tag);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  if (record === undefined) notFound();
  const why = !may(person.role, 'teach')
    ? 'A lead or the owner makes cases.'
    : record.unit.exit === null
      ? 'It has not left the shop yet: its answer is not known.'
      : undefined;
  const all = why === undefined ? await askablesOf(db, record) : [];
  return (
    <div className="grid max-w-4xl gap-4 px-4 py-4">
      <div>
        <p className="text-[13px]">
          <Go className="font-bold text-act" href={`/units/${tagOf(record.unit)}`}>
            {tagOf(record.unit)}
          </Go>{' '}
          / A case for practice
        </p>
        <h1 className="text-xl font-bold">A case: {sayUnit(record)}</h1>
        <p className="text-ink2">No name, machine or tag goes with it. Look whether a photo shows one.</p>
      </div>
      {why !== undefined && <p className="border-l-4 border-amber pl-3">{why}</p>}
      {why === undefined && all.length === 0 && (
        <p>Nothing of its record can be asked: no verdict, no parts that went two ways, no run that was judged.</p>
      )}
      {all.length > 0 && (
        <MakeCaseForm unitId={record.unit.id} all={all.map(({ of, asked }) => ({ of, asked }))} photoIds={record.photos.map((p) => p.id)} />
      )}
    </div>
  );
}

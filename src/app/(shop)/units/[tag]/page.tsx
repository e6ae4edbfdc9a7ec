import { notFound, redirect } from 'next/navigation';
import { tagNumber, tagOf } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';

/** A unit's address leads to the station where it is. */
export default async function UnitPage({ params }: { readonly params: Promise<{ tag: string }> }) {
  const number = tagNumber((await params).tag);
  const record = number === undefined ? undefined : await unitOfTag(await theDb(), number);
  if (record === undefined) notFound();
  redirect(`/units/${tagOf(record.unit)}/${record.unit.station}`);
}

import { notFound, redirect } from 'next/navigation';
import { tagNumber, tagOf } from '@/core/unit/unit-record';
import { theDb } from '@/db/connection';
import { loadUnit } from '@/db/load-unit';
import { unitIdOfTag } from '@/db/stations/book-in';

/** A unit's address leads to the station where it is. */
export default async function UnitPage({ params }: { readonly params: Promise<{ tag: string }> }) {
  const number = tagNumber((await params).tag);
  const db = await theDb();
  const id = number === undefined ? undefined : await unitIdOfTag(db, number);
  const record = id === undefined ? undefined : await loadUnit(db, id);
  if (record === undefined) notFound();
  redirect(`/units/${tagOf(record.unit)}/${record.unit.station}`);
}

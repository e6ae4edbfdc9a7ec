import type { Metadata } from 'next';
import { learned } from '@/core/book-in/likelihoods';
import { theDb } from '@/db/connection';
import { causeModel, finishedCases } from '@/db/stations/findings';
import { currentVariants } from '@/db/stations/variants';
import { BookIn } from '@/ui/stations/book-in';
import { unitsOf } from '../../_server/preferences';
import { bookInAction } from '../../actions/book-in';

export const metadata: Metadata = { title: 'Book in' };

export default async function BookInPage() {
  const db = await theDb();
  const [units, variants, model, cases] = await Promise.all([unitsOf(), currentVariants(db), causeModel(db), finishedCases(db)]);
  return <BookIn units={units} variants={variants} model={learned(model.likelihoods, cases)} cases={cases} bookIn={bookInAction} />;
}

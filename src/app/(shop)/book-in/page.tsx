import type { Metadata } from 'next';
import { learned } from '@/core/book-in/likelihoods';
import { causeModel, finishedUnits } from '@/db/book-in/findings';
import { theDb } from '@/db/engine/connection';
import { currentVariants } from '@/db/family/variants';
import { BookIn } from '@/ui/book-in/book-in';

export const metadata: Metadata = { title: 'Book in' };

export default async function BookInPage() {
  const db = await theDb();
  const [variants, model, finished] = await Promise.all([currentVariants(db), causeModel(db), finishedUnits(db)]);
  return <BookIn variants={variants} model={learned(model.likelihoods, finished)} finished={finished} />;
}

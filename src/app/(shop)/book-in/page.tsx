import type { Metadata } from 'next';
import { BookIn } from '@/ui/stations/book-in';
import { unitsOf } from '../../_server/preferences';
import { addPhotoAction, bookInAction } from '../../actions';

export const metadata: Metadata = { title: 'Book in' };

export default async function BookInPage() {
  return <BookIn units={await unitsOf()} bookIn={bookInAction} addPhoto={addPhotoAction} />;
}

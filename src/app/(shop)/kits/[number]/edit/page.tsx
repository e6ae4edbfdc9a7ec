import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { theDb } from '@/db/engine/connection';
import { articleOf } from '@/db/store/catalogue';
import { ArticleForm } from '@/ui/store/article-form';
import { StorePlaces } from '@/ui/store/store-places';

export const metadata: Metadata = { title: 'Change a kit' };

export default async function EditArticlePage({ params }: { readonly params: Promise<{ readonly number: string }> }) {
  const article = await articleOf(await theDb(), decodeURIComponent((await params).number), Date.now());
  if (article === undefined) notFound();
  const { number, type, name, price, leadDays, note, supersededBy, items } = article;
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">
        Change <span className="text-brass">{number}</span>
      </h1>
      <StorePlaces here="article" />
      <ArticleForm start={{ number, type, name, price, leadDays, note, supersededBy, items }} known={true} />
    </div>
  );
}

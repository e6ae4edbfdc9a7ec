import type { Metadata } from 'next';
import { ArticleForm } from '@/ui/store/article-form';
import { StorePlaces } from '@/ui/store/store-places';

export const metadata: Metadata = { title: 'Enter a kit' };

export default async function NewArticlePage({ searchParams }: { readonly searchParams: Promise<{ readonly type?: string }> }) {
  const type = (await searchParams).type === 'sundry' ? 'sundry' : 'kit';
  const start = { number: '', type, name: '', price: 0, leadDays: null, note: '', supersededBy: null } as const;
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">{type === 'kit' ? 'Enter a kit' : 'Enter a sundry'}</h1>
      <StorePlaces here="article" />
      <ArticleForm start={{ ...start, items: [{ kind: 'cup', name: 'cup', qty: 1, dims: {} }] }} known={false} />
    </div>
  );
}

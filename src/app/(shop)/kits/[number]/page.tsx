import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '@/core/people/role';
import { reorderPoint } from '@/core/store/article';
import { theDb } from '@/db/engine/connection';
import { fitmentIndex } from '@/db/identify/fitments';
import { articleOf } from '@/db/store/catalogue';
import { lotFindings } from '@/db/store/findings';
import { movesOf, openOrders, usesOf } from '@/db/store/stock';
import { ArticlePage } from '@/ui/store/article-page';
import { StorePlaces } from '@/ui/store/store-places';
import { personOrSignIn } from '../../../_server/who';

type Params = { readonly params: Promise<{ readonly number: string }> };

export const generateMetadata = async ({ params }: Params): Promise<Metadata> => ({ title: decodeURIComponent((await params).number) });

export default async function KitPage({ params }: Params) {
  const number = decodeURIComponent((await params).number);
  const [db, person, now] = [await theDb(), await personOrSignIn(), Date.now()];
  const article = await articleOf(db, number, now);
  if (article === undefined) notFound();
  const [moves, orders, uses, findings, fitments] = await Promise.all([
    movesOf(db, article.id),
    openOrders(db, article.id),
    usesOf(db),
    lotFindings(db, article.id),
    fitmentIndex(db),
  ]);
  const used = uses.get(article.id) ?? [];
  return (
    <div className="px-4 py-4">
      <StorePlaces here="article" />
      <ArticlePage
        key={moves.length}
        article={article}
        moves={moves}
        orders={orders}
        findings={findings}
        used={used.length}
        computedReorder={reorderPoint({ ...article, reorderAt: null }, used, now)}
        fits={fitments.entries.map((f) => f.what).filter((f) => f.kits.includes(number))}
        now={now}
        open={may(person.role, 'kit')}
      />
    </div>
  );
}

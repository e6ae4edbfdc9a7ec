import { asStore, namedNeeds } from '@/core/unit/ranked-kits';
import { wholeStore } from '@/db/store/catalogue';
import { inPool, sayNotDone } from '@/pool/pool';
import type { SetsAnswer } from '@/ui/kit/sets';
import { problem } from '../../../../../_server/request';
import { unitOrRefusal } from '../../../../../_server/unit-request';

const DAY_MS = 86_400_000;

/** The best sets of kits and sundries for a unit, of what is on the shelf or can be there by its promise. */
export async function GET(request: Request, { params }: { params: Promise<{ tag: string }> }): Promise<Response> {
  const unit = await unitOrRefusal(params);
  if (unit instanceof Response) return unit;
  const now = Date.now();
  const { dueAt } = unit.record.unit;
  const store = await wholeStore(unit.db, now);
  const promiseDays = Math.max(0, Math.floor((dueAt - now) / DAY_MS));
  const unverified = new URL(request.url).searchParams.get('unverified') === '1';
  const covered = await inPool('cover-sets', { needs: namedNeeds(unit.record), store: asStore(store, promiseDays, unverified) });
  if (!covered.ok) return problem(503, sayNotDone(covered.error));
  const sets = covered.value;
  const picked = new Set([sets.best, sets.cheapest, sets.soonest, sets.single].flatMap((s) => s?.picks.map((p) => p.id) ?? []));
  const articles = store
    .filter((a) => picked.has(a.id))
    .map(({ id, number, name, stock, leadDays }) => ({ id, number, name, stock, leadDays }));
  return Response.json({ sets, promisedAt: dueAt, articles } satisfies SetsAnswer);
}

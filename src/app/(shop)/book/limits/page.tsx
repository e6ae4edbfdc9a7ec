import type { Metadata } from 'next';
import { valueNow } from '@/core/book/limits-tried';
import { plain } from '@/core/quantity/figure';
import { RULES } from '@/core/rules/rule-set';
import { tagOf } from '@/core/unit/unit-record';
import { judgedLives, MOST_JUDGED } from '@/db/book/judged-lives';
import { theDb } from '@/db/engine/connection';
import { rulesInForce } from '@/db/rules/rules';
import { inPool, sayNotDone } from '@/pool/pool';
import { BookHead } from '@/ui/book/book-head';
import { Go } from '@/ui/shell/go';
import { Scroll } from '@/ui/unit/scroll';
import { TableHead } from '@/ui/unit/table-head';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Limits tried' };

const FOLLOW_DAYS = 180;
/** Tags that are named behind a number; the number says how many there are. */
const NAMED = 6;

/** Each limit of a judgement, had it been otherwise: what it would have caught of what came back, and refused of what held. */
export default async function LimitsPage() {
  await personOrSignIn();
  const db = await theDb();
  const [{ lives, inAll }, { rules, schools }] = await Promise.all([judgedLives(db, Date.now(), FOLLOW_DAYS), rulesInForce(db)]);
  const back = lives.filter((l) => l.came === 'came-back').length;
  const done = lives.length === 0 ? undefined : await inPool('limits-tried', [lives, rules, schools]);
  return (
    <div className="grid max-w-6xl grid-cols-[minmax(0,1fr)] gap-3 px-4 py-4">
      <BookHead here="Limits tried" title="Limits, had they been otherwise" within={[{ href: '/book/holds', text: 'What holds' }]} />
      {done === undefined && (
        <p className="border border-line bg-sheet p-3">
          Nothing with a bore has been out for {FOLLOW_DAYS} days yet: what a limit would have caught cannot be known.
        </p>
      )}
      {done !== undefined && !done.ok && <p role="alert">{sayNotDone(done.error)}</p>}
      {done?.ok === true && (
        <>
          <p>
            {lives.length} judgements made again from what was measured then{inAll > MOST_JUDGED && ` (the last of ${inAll})`}: {back} of
            these units came back within {FOLLOW_DAYS} days, {lives.length - back} held. Each line changes one limit and leaves all others.{' '}
            {back < 5 && 'So few came back that no limit can be set by them.'}
          </p>
          <Scroll label="Limits tried">
            <table className="w-full border-collapse bg-sheet">
              <TableHead
                names={[
                  'Limit',
                  'Now',
                  'Had it been',
                  'Would have asked more of, and they came back',
                  'Would have asked more of, and they held',
                  'Would have asked less of, and they held',
                ]}
              />
              <tbody>
                {done.value.map((t) => (
                  <tr key={`${t.rule} ${t.value}`}>
                    <th scope="row" className="cell text-left font-normal">
                      {RULES[t.rule].label}
                    </th>
                    <td className="cell">
                      {rules[t.rule] === null ? `by table, about ${plain(valueNow(rules, t.rule))}` : plain(valueNow(rules, t.rule))}{' '}
                      {RULES[t.rule].unit}
                    </td>
                    <td className="cell font-bold">
                      {plain(t.value)} {RULES[t.rule].unit}
                    </td>
                    <Tags of={t.caught} among={back} />
                    <Tags of={t.refused} among={lives.length - back} />
                    <Tags of={t.spared} among={lives.length - back} />
                  </tr>
                ))}
              </tbody>
            </table>
          </Scroll>
        </>
      )}
    </div>
  );
}

/** How many, of how many, and which: all of them, behind a press where they are many. */
function Tags({ of, among }: { readonly of: readonly number[]; readonly among: number }) {
  return (
    <td className="cell">
      {of.length} of {among}
      <Named tagNos={of.slice(0, NAMED)} />
      {of.length > NAMED && (
        <details>
          <summary className="min-h-9 cursor-pointer content-center font-bold text-act">{of.length - NAMED} more</summary>
          <Named tagNos={of.slice(NAMED)} />
        </details>
      )}
    </td>
  );
}

const Named = ({ tagNos }: { readonly tagNos: readonly number[] }) =>
  tagNos.map((tagNo) => (
    <Go key={tagNo} className="ml-2 text-act underline" href={`/units/${tagOf({ tagNo })}`}>
      {tagOf({ tagNo })}
    </Go>
  ));

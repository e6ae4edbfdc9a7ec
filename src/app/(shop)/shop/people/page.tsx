import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { sayWhen } from '@/core/quantity/say-time';
import { theDb } from '@/db/engine/connection';
import { members } from '@/db/people/staff';
import { wrongPinsSince } from '@/db/people/wrong-pins';
import { theShop } from '@/db/shop/settings';
import { AddMember } from '@/ui/shop/add-member';
import { MemberList } from '@/ui/shop/member-list';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'People' };

const A_WEEK_MS = 7 * 24 * 3_600_000;

export default async function PeoplePage() {
  const [db, now] = [await theDb(), Date.now()];
  const person = await personOrSignIn();
  const [all, wrong, { settings }] = [await members(db, now), await wrongPinsSince(db, now - A_WEEK_MS), await theShop(db)];
  const benches = [...new Set([...settings.places.map((p) => p.name), ...all.flatMap((m) => m.bench ?? [])])];
  return (
    <>
      <h1 className="mb-3 text-xl font-bold">People</h1>
      {may(person.role, 'shop') && <AddMember benches={benches} />}
      <MemberList members={all} now={now} />
      <h2 className="head mt-5 mb-1">WRONG PINS, SEVEN DAYS</h2>
      {wrong.shown.length === 0 ? (
        <p className="text-ink2">None worth telling: fewer than three for anybody from one place.</p>
      ) : (
        <ul className="border border-line bg-sheet px-3">
          {wrong.shown.map((w) => (
            <li key={`${w.name} ${w.place}`} className="flex flex-wrap justify-between gap-3 border-b border-hair py-1.5 last:border-b-0">
              <span>
                <b>{w.tries}</b> for {w.name}, from {w.place}
              </span>
              <span className="text-ink2">the last {sayWhen(w.lastAt, now)}</span>
            </li>
          ))}
          {wrong.more > 0 && <li className="py-1.5 text-ink2">and {wrong.more} more</li>}
        </ul>
      )}
    </>
  );
}

import type { Member } from '@/core/people/member';
import { PIN_WORDS } from '@/core/people/pin';
import { ROLE_WORDS } from '@/core/people/role';
import { sayWhen } from '@/core/quantity/say-time';
import { Go } from '../shell/go';

/** Everybody who works here or did, and how they stand with the door. */
export function MemberList({ members, now }: { readonly members: readonly Member[]; readonly now: number }) {
  return (
    <table className="w-full border border-line bg-sheet">
      <thead>
        <tr>
          {['Name', 'Does', 'Bench', 'Signs in by', 'Last seen'].map((head) => (
            <th key={head} className="th text-left">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {members.map((m) => (
          <tr key={m.id} className={m.leftAt === null ? '' : 'text-ink2'}>
            <td className="cell">
              <Go href={`/shop/people/${m.id}`} className="inline-flex min-h-9 items-center font-bold text-act">
                {m.name}
              </Go>
            </td>
            <td className="cell">{ROLE_WORDS[m.role]}</td>
            <td className="cell">{m.bench ?? ''}</td>
            <td className="cell">{sayEntry(m, now)}</td>
            <td className="cell">{m.lastSeenAt === null ? '' : sayWhen(m.lastSeenAt, now)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const sayEntry = (m: Member, now: number): string => {
  if (m.leftAt !== null) return `has left, ${sayWhen(m.leftAt, now)}`;
  switch (m.entry.kind) {
    case 'pin':
      return PIN_WORDS[m.role];
    case 'code':
      return `one-time code, until ${sayWhen(m.entry.until, now)}`;
    case 'none':
      return 'nothing: give a new code';
  }
};

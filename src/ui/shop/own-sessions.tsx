'use client';

import { endOwnSessionAction } from '@/app/actions/staff';
import type { OpenSession } from '@/core/people/member';
import { sayWhen } from '@/core/quantity/say-time';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';

/** A person's own sessions, each of which they can end: at a bench that they have walked away from. */
export function OwnSessions({ sessions, now }: { readonly sessions: readonly OpenSession[]; readonly now: number }) {
  const { ask, asking, told } = useAsk();
  return (
    <>
      <ul className="border border-line bg-sheet px-3">
        {sessions.map((s) => (
          <li key={s.id} className="flex min-h-12 flex-wrap items-center gap-3 border-b border-hair last:border-b-0">
            <b>{s.device}</b>
            <span className="text-ink2">
              since {sayWhen(s.since, now)}, last used {sayWhen(s.seenAt, now)}
            </span>
            {s.here === 'here' ? (
              <span className="ml-auto text-ink2">this one</span>
            ) : (
              <button
                type="button"
                className="btn-quiet ml-auto"
                disabled={asking}
                onClick={() => void ask(endOwnSessionAction, { sessionId: s.id })}
              >
                Sign out there
              </button>
            )}
          </li>
        ))}
      </ul>
      <Told lines={told} />
    </>
  );
}

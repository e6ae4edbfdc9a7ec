import type { Bleed } from '@/core/bleed/bleed';
import { bleedTally } from '@/core/bleed/bleed-guide';
import { BLEED_METHODS } from '@/core/bleed/bleed-method';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { sayDate } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';

/** What was bled last: which system, by whom, what it took, and how it ended. */
export function LastBleeds({ shown, all, units }: { readonly shown: readonly Bleed[]; readonly all: number; readonly units: Units }) {
  return (
    <section aria-label="Bled last" className="border-t border-line pt-3">
      <h2 className="mb-1 font-bold">Bled last</h2>
      {shown.length === 0 && <p className="text-ink2">None yet: “Bleed it now” counts at the machine, and what was done stands here.</p>}
      <ul className={shown.length === 0 ? '' : 'border border-line bg-sheet'}>
        {shown.map((b) => {
          const { strokes, minutes } = bleedTally(b.events);
          const last = b.events.at(-1);
          const ended =
            last?.kind === 'firm'
              ? `firm at ${sayLength(last.travelMm, units)} ${units.length}`
              : last?.kind === 'spongy'
                ? 'still spongy'
                : 'not ended';
          return (
            <li key={b.id} className="border-b border-hair px-3 py-1.5 last:border-b-0">
              <b>{b.system.name}</b> {sayDate(b.startedAt)}, {b.by}: by {BLEED_METHODS[b.method].label}
              {strokes > 0 && `, ${strokes} strokes`}, {fixed(minutes, 0)} min, <b>{ended}</b>
            </li>
          );
        })}
      </ul>
      {all > shown.length && (
        <p className="text-ink2">
          The last {shown.length} of {all}.
        </p>
      )}
    </section>
  );
}

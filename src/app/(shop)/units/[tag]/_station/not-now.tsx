import type { Stop } from '@/core/route/route';
import { sayWhyNot } from '@/core/route/why-not';

/** Why there is nothing to do here: done, passed over, or not its turn. */
export function NotNow({ stop }: { readonly stop: Stop | undefined }) {
  if (stop === undefined || stop.state === 'now') return null;
  if (stop.state === 'done')
    return <p className="mb-4 border-l-4 border-line pl-3 text-ink2">Signed off. A lead can reopen it with a reason.</p>;
  const why = stop.state === 'skipped' ? ['This unit does not stop here now.'] : stop.why.map(sayWhyNot);
  return (
    <div className="mb-4 border-l-4 border-amber pl-3">
      {why.map((w) => (
        <p key={w}>{w}</p>
      ))}
    </div>
  );
}

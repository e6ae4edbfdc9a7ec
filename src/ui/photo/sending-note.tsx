import type { Sending } from './use-photos';

/** How photos on their way are doing; silent when none is. */
export function SendingNote({ sending }: { readonly sending: readonly Sending[] }) {
  const refused = sending.filter((s) => s.state === 'refused');
  const going = sending.length - refused.length;
  const offline = sending.some((s) => s.state === 'no-connection');
  return (
    <div role="status" className="text-[13px]">
      {going > 0 && (
        <p className={offline ? 'text-amber' : 'text-ink2'}>
          {offline ? `No connection: ${going} kept here, sent when it is back.` : `Sending ${going} ${going === 1 ? 'photo' : 'photos'}`}
        </p>
      )}
      {refused.map((s) => (
        <p key={s.id} className="text-red">
          {s.name}: {s.why}
        </p>
      ))}
    </div>
  );
}

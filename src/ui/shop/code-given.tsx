import { CODE_LASTS_MS } from '@/core/people/one-time-code';

const DAYS = CODE_LASTS_MS / (24 * 3_600_000);

/** A one-time code, shown this once. */
export const CodeGiven = ({ name, code }: { readonly name: string; readonly code: string }) => (
  <div role="status" className="border-2 border-act bg-sheet p-3">
    <p>
      Give {name} this code. It is shown this once, and good for {DAYS} days:
    </p>
    <p className="my-1 text-2xl font-bold tracking-[0.12em] select-all">{code}</p>
    <p className="text-[13px] text-ink2">
      At the sign-in page: “First time here, or PIN forgotten?”, their name, this code, and a PIN that they choose themselves.
    </p>
  </div>
);

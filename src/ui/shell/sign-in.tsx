'use client';

import { type ComponentProps, useActionState, useRef, useState } from 'react';
import { capital } from '@/core/capital';
import { PIN_WORDS } from '@/core/people/pin';
import { type Person, ROLE_WORDS } from '@/core/people/role';
import { ChoosePin } from './choose-pin';

/** Who is at this bench? A name, then a PIN. */
export function SignIn({
  people,
  pins,
  to,
  signIn,
  choosePin,
}: {
  readonly people: readonly Person[];
  /** The demo shows its own; a shop shows none. */
  readonly pins: Readonly<Record<string, string>>;
  /** Where one wanted to go. */
  readonly to: string;
  readonly signIn: (input: unknown) => Promise<{ readonly error: string }>;
  readonly choosePin: ComponentProps<typeof ChoosePin>['choosePin'];
}) {
  const [who, setWho] = useState<string>();
  const pin = useRef<HTMLInputElement>(null);
  const [state, submit, pending] = useActionState(
    async (_: { error: string }, form: FormData) => signIn({ personId: form.get('personId'), pin: form.get('pin'), to }),
    { error: '' },
  );
  const demo = Object.keys(pins).length > 0;
  const role = people.find((p) => p.id === who)?.role;
  // A tablet shows figures alone where nothing else is asked for.
  const asked = role === undefined ? 'PIN' : capital(PIN_WORDS[role]);
  return (
    <main className="mx-auto max-w-3xl px-4 py-12">
      <h1 className="mb-1 text-2xl font-bold tracking-[0.14em]">EDDRIN</h1>
      <p className="mb-6 text-ink2">Who is at this bench?</p>
      <form action={submit} className="grid gap-6 md:grid-cols-[1fr_16rem]">
        <fieldset>
          <legend className="sr-only">Your name</legend>
          <div className="border border-line bg-sheet">
            {people.map((p) => (
              // biome-ignore lint/a11y/useKeyWithClickEvents: a finger goes on to the PIN at once, arrow keys stay among the names
              <label
                key={p.id}
                onClick={(e) => e.detail > 0 && setTimeout(() => pin.current?.focus())}
                className="flex min-h-12 cursor-pointer items-center gap-3 border-b border-hair px-3 last:border-b-0 has-checked:bg-tint2"
              >
                <input
                  type="radio"
                  name="personId"
                  value={p.id}
                  required
                  checked={who === p.id}
                  onChange={() => setWho(p.id)}
                  className="size-4 accent-act"
                />
                <span className="font-bold">{p.name}</span>
                <span className="text-ink2">{ROLE_WORDS[p.role]}</span>
                {pins[p.id] !== undefined && <span className="ml-auto text-ink2">PIN {pins[p.id]}</span>}
              </label>
            ))}
          </div>
          {demo && (
            <p className="mt-2 text-[13px] text-ink2">This is the demo shop: its people and PINs are shown here and nowhere else.</p>
          )}
        </fieldset>
        <div>
          <label htmlFor="pin" className="label">
            {asked}
          </label>
          <input
            ref={pin}
            id="pin"
            name="pin"
            type="password"
            inputMode={asked === 'PIN' ? 'numeric' : 'text'}
            autoComplete="off"
            required
            className="field text-xl"
          />
          <button type="submit" disabled={pending} className="btn mt-3 w-full">
            {pending ? 'Signing in' : 'Sign in'}
          </button>
          <p role="alert" className="mt-3 text-red">
            {state.error}
          </p>
        </div>
      </form>
      <details className="mt-6">
        <summary className="min-h-11 cursor-pointer content-center text-act">First time here, or PIN forgotten?</summary>
        <ChoosePin people={people} to={to} choosePin={choosePin} />
      </details>
    </main>
  );
}

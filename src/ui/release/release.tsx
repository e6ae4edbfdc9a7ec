'use client';

import { useState } from 'react';
import type { Person } from '@/core/people/role';
import type { Signature } from '@/core/people/signature';
import { sayWhen } from '@/core/quantity/say-time';
import type { JustTarget, Sign } from '@/core/unit/unit-doors';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

/** Signatures by PIN, then the certificate. Brake parts ask for two people. */
export function Release({
  target,
  people,
  me,
  signatures,
  needed,
  unmet,
  open,
  now,
  actions,
}: {
  readonly target: UnitTarget;
  readonly people: readonly Person[];
  readonly me: Person;
  readonly signatures: readonly Signature[];
  readonly needed: number;
  readonly unmet: readonly string[];
  readonly open: boolean;
  readonly now: number;
  readonly actions: { readonly sign: SaveAction<Sign>; readonly release: SaveAction<JustTarget> };
}) {
  const signing = useSave(actions.sign, target);
  const releasing = useSave(actions.release, target);
  const signed = new Set(signatures.map((s) => s.personId));
  const may = people.filter(
    (p) =>
      !signed.has(p.id) &&
      (signatures.length === 0 ? p.role === 'technician' || p.role === 'lead' : p.role === 'lead' || p.role === 'owner'),
  );
  const [signerId, setSignerId] = useState<string>();
  const [pin, setPin] = useState('');
  const signer = may.find((p) => p.id === signerId) ?? may.find((p) => p.id === me.id) ?? may[0];
  return (
    <div className="grid max-w-2xl gap-4">
      <ol className="grid gap-1">
        {signatures.map((s, i) => (
          <li key={s.id} className="flex justify-between border-b border-hair py-2">
            <span>
              {i + 1}. signature: <b>{s.name}</b>, {s.role}
            </span>
            <span className="text-ink2">{sayWhen(s.at, now)}</span>
          </li>
        ))}
      </ol>
      {open && signatures.length < needed && (
        <form
          className="flex flex-wrap items-end gap-3 border border-line bg-sheet p-3"
          onSubmit={(e) => {
            e.preventDefault();
            void signing.save({ signerId: signer?.id, pin }).then((r) => r.ok && setPin(''));
          }}
        >
          <p className="w-full font-bold">
            {signatures.length === 0
              ? 'First signature: who closed it up and proved it'
              : 'Second signature: another person, a lead or the owner'}
          </p>
          <label className="block text-[13px] text-ink2">
            Name
            <select className="field block w-48 text-ink" value={signer?.id ?? ''} onChange={(e) => setSignerId(e.target.value)}>
              {may.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </select>
          </label>
          <label className="block text-[13px] text-ink2">
            PIN of {signer?.name}
            <input
              type="password"
              inputMode="numeric"
              autoComplete="off"
              className="field block w-36 text-ink"
              value={pin}
              onChange={(e) => setPin(e.target.value)}
            />
          </label>
          <button type="submit" className="btn" disabled={pin === '' || signing.saving.kind === 'saving'}>
            Sign
          </button>
        </form>
      )}
      <SaveNote saving={signing.saving} onAcceptTheirs={signing.acceptTheirs} />
      {open && (
        <div>
          <button
            type="button"
            className="btn"
            disabled={unmet.length > 0 || releasing.saving.kind === 'saving'}
            onClick={() => void releasing.save({})}
          >
            Release and write the certificate
          </button>
          {unmet.map((u) => (
            <p key={u} className="mt-2 text-ink2">
              {u}
            </p>
          ))}
        </div>
      )}
      <SaveNote saving={releasing.saving} onAcceptTheirs={releasing.acceptTheirs} />
    </div>
  );
}

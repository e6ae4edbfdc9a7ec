'use client';

import { useWatch } from 'react-hook-form';
import { releaseAction, signAction } from '@/app/actions/release';
import { PIN_WORDS } from '@/core/people/pin';
import { type Person, ROLE_WORDS } from '@/core/people/role';
import type { Signature } from '@/core/people/signature';
import { sayWhen } from '@/core/quantity/say-time';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';

type Signing = { readonly signerId: string; readonly pin: string };
const { Select, Text } = fieldsOf<Signing>();

/** One signature: who, and their PIN. @param able who may give it */
function Sign({ able, me, nth }: { readonly able: readonly Person[]; readonly me: Person; readonly nth: 'first' | 'second' }) {
  const start: Signing = { signerId: (able.find((p) => p.id === me.id) ?? able[0])?.id ?? '', pin: '' };
  const signing = useUnitForm(signAction, start, (v) => v, { done: (form) => form.reset() });
  const signerId = useWatch({ control: signing.form.control, name: 'signerId' });
  const signer = able.find((p) => p.id === signerId);
  return (
    <ActionFormFrame of={signing} submit="Sign" className="flex flex-wrap items-end gap-3 border border-line bg-sheet p-3">
      <p className="w-full font-bold">
        {nth === 'first' ? 'First signature: who closed it up and proved it' : 'Second signature: another person, a lead or the owner'}
      </p>
      <Select name="signerId" label="Name" className="w-48" options={able.map((p) => ({ value: p.id, text: p.name }))} />
      <Text
        name="pin"
        label={`PIN of ${signer?.name}`}
        className="w-36"
        type="password"
        {...(signer !== undefined && PIN_WORDS[signer.role] === 'PIN' ? { inputMode: 'numeric' as const } : {})}
        autoFocus={nth === 'second'}
      />
    </ActionFormFrame>
  );
}

/** Signatures by PIN, then the certificate. Brake parts ask for two people. */
export function Release({
  people,
  me,
  signatures,
  needed,
  unmet,
}: {
  readonly people: readonly Person[];
  readonly me: Person;
  readonly signatures: readonly Signature[];
  readonly needed: number;
  readonly unmet: readonly string[];
}) {
  const { now, open } = useStation();
  const releasing = useSave(releaseAction);
  const signed = new Set(signatures.map((s) => s.personId));
  const able = people.filter(
    (p) =>
      !signed.has(p.id) &&
      (signatures.length === 0 ? p.role === 'technician' || p.role === 'lead' : p.role === 'lead' || p.role === 'owner'),
  );
  return (
    <div className="grid max-w-2xl gap-4">
      <ol className="grid gap-1">
        {signatures.map((s, i) => (
          <li key={s.id} className="flex justify-between border-b border-hair py-2">
            <span>
              {i === 0 ? 'First' : 'Second'} signature: <b>{s.name}</b>, {ROLE_WORDS[s.role]}
            </span>
            <span className="text-ink2">{sayWhen(s.at, now)}</span>
          </li>
        ))}
      </ol>
      {open && signatures.length < needed && (
        // Each signature has a form of its own: whoever signed is not offered again.
        <Sign key={signatures.length} able={able} me={me} nth={signatures.length === 0 ? 'first' : 'second'} />
      )}
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
      <SaveNote saving={releasing.saving} onDecide={releasing.decide} />
    </div>
  );
}

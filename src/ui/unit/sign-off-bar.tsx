'use client';

import { signOffAction } from '@/app/actions/unit';
import { may } from '@/core/people/role';
import type { Station } from '@/core/station';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from './station-context';

/** Signs a station off; says what is missing while it may not be, and lets a lead pass over it with a reason. */
export function SignOffBar({
  station,
  text,
  unmet,
  note = '',
}: {
  readonly station: Station;
  readonly text: string;
  /** What is missing, in words. */
  readonly unmet: readonly string[];
  readonly note?: string;
}) {
  const { role } = useStation();
  const { save, saving, decide } = useSave(signOffAction);
  const busy = saving.kind === 'saving';
  return (
    <div className="grid gap-2">
      <button
        type="button"
        className="btn w-fit"
        disabled={unmet.length > 0 || busy || !may(role, 'bench')}
        onClick={() => void save({ station, note, override: null })}
      >
        {text}
      </button>
      {unmet.length > 0 && (
        <div className="border-l-4 border-line pl-3 text-ink2">
          <p className="font-bold text-ink">Not yet:</p>
          {unmet.map((u) => (
            <p key={u}>{u}</p>
          ))}
          {may(role, 'override') && may(role, 'bench') && <PassOver station={station} note={note} />}
        </div>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}

const { Text } = fieldsOf<{ readonly override: string }>();

/** A lead passes over what is missing, with a reason. */
function PassOver({ station, note }: { readonly station: Station; readonly note: string }) {
  const passing = useUnitForm(signOffAction, { override: '' }, ({ override }) => ({ station, note, override }));
  return (
    <ActionFormFrame of={passing} submit="Override as lead" quiet className="mt-2 flex flex-wrap gap-2">
      <Text
        name="override"
        label="Reason for passing over this"
        hideLabel
        placeholder="Reason; stands on the certificate"
        className="max-w-xs flex-1"
      />
    </ActionFormFrame>
  );
}

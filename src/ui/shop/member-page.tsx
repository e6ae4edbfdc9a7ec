'use client';

import { useState } from 'react';
import { changeMemberAction, endSessionsAction, giveCodeAction, noteLeftAction, takeBackAction } from '@/app/actions/staff';
import type { Member } from '@/core/people/member';
import { ROLE_WORDS, ROLES } from '@/core/people/role';
import type { Work } from '@/core/people/work';
import { STATION_WORDS, STATIONS } from '@/core/station';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { BranchField } from './branch-field';
import { CodeGiven } from './code-given';
import { DaysOffFields, HoursFields, Part } from './settings-fields';

type Draft = Pick<Member, 'name' | 'role'> & {
  readonly bench: string;
  readonly branch: string;
  readonly as: 'shop' | 'own';
  readonly work: Work;
};
const { Text, Select, Several, Choice } = fieldsOf<Draft>();

/** One person, for the owner to change. @param usual the shop's hours, and every station: what somebody without hours of their own works */
export function MemberPage({
  member,
  usual,
  benches,
  open,
}: {
  readonly member: Member;
  readonly usual: Work;
  readonly benches: readonly string[];
  readonly open: boolean;
}) {
  const [code, setCode] = useState<string>();
  const [saved, setSaved] = useState('');
  const start: Draft = {
    name: member.name,
    role: member.role,
    bench: member.bench ?? '',
    branch: member.branch ?? '',
    as: member.work === null ? 'shop' : 'own',
    work: member.work ?? usual,
  };
  const saving = useAskForm(
    changeMemberAction,
    start,
    ({ as, work, ...values }) => ({ id: member.id, ...values, work: as === 'own' ? work : null }),
    (answer) => {
      setSaved('Saved.');
      setCode(answer.code ?? undefined);
    },
  );
  const own = saving.form.watch('as') === 'own';
  return (
    <div className="grid gap-4">
      {code !== undefined && <CodeGiven name={member.name} code={code} />}
      <ActionFormFrame
        of={saving}
        submit={open ? 'Save' : null}
        className="grid gap-4"
        beside={
          <p role="status" className="self-center text-ink2">
            {saved}
          </p>
        }
      >
        <fieldset disabled={!open} className="contents">
          <div className="flex flex-wrap gap-3">
            <Text name="name" label="Name" className="w-64" maxLength={60} />
            <Select name="role" label="What they do" className="w-40" options={ROLES} say={ROLE_WORDS} />
            <Text name="bench" label="Usual bench" className="w-44" maxLength={40} suggested={benches} />
            <BranchField name="branch" />
          </div>
          <Part title="Work" note="When they are there, and at which stations.">
            <Choice
              name="as"
              label="Hours"
              options={[
                { value: 'shop', text: 'In the shop’s hours, at everything' },
                { value: 'own', text: 'Hours and skills of their own' },
              ]}
            />
            {own && (
              <>
                <HoursFields name="work.hours" label="Works on" />
                <Several name="work.skills" label="Can do" options={STATIONS} say={STATION_WORDS} />
                <DaysOffFields name="work.daysOff" what="Off" add="Add days off" />
              </>
            )}
          </Part>
        </fieldset>
      </ActionFormFrame>
      {open && <Entry member={member} onCode={setCode} />}
    </div>
  );
}

/** What an owner does about a person's way in. */
function Entry({ member, onCode }: { readonly member: Member; readonly onCode: (code: string | undefined) => void }) {
  const { id } = member;
  const { ask, asking, told } = useAsk();
  const [ended, setEnded] = useState(false);
  const forCode = async (action: typeof giveCodeAction | typeof takeBackAction): Promise<void> => {
    const given = await ask(action, { id });
    if (given !== undefined) onCode(given.code);
  };
  return (
    <Part title="Signing in" note="A new code takes the PIN away, and ends every session.">
      <div className="flex flex-wrap gap-2">
        {member.leftAt === null ? (
          <>
            <button type="button" className="btn-quiet" disabled={asking} onClick={() => void forCode(giveCodeAction)}>
              New one-time code
            </button>
            <button
              type="button"
              className="btn-quiet"
              disabled={asking}
              onClick={() => void ask(endSessionsAction, { id }).then((done) => setEnded(done === null))}
            >
              Sign out everywhere
            </button>
            <button
              type="button"
              className="btn-stop"
              disabled={asking}
              onClick={() => void ask(noteLeftAction, { id }).then(() => onCode(undefined))}
            >
              Has left for good
            </button>
          </>
        ) : (
          <button type="button" className="btn-quiet" disabled={asking} onClick={() => void forCode(takeBackAction)}>
            Is back: give a code
          </button>
        )}
      </div>
      <p className="text-[13px] text-ink2">
        {member.leftAt === null
          ? 'Whoever has left stays on every record by name, and signs in no more from this moment.'
          : 'Has left. The name stays on every record.'}
      </p>
      {ended && <p role="status">Signed out at every bench.</p>}
      <Told lines={told} />
    </Part>
  );
}

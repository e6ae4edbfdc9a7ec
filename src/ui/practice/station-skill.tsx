'use client';

import { uuidv7 } from 'uuidv7';
import { endSkillAction, signSkillAction } from '@/app/actions/practice';
import { isMet, type KindMet, type SignedSkill, sayKindMet } from '@/core/practice/skill';
import type { StationAsks } from '@/core/practice/skill-schemas';
import { sayDate } from '@/core/quantity/say-time';
import { STATION_WORDS, type Station } from '@/core/station';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';
import { Fold } from '../unit/fold';
import { AsksForm } from './asks-form';

type Signing = { readonly words: string };
const { Text } = fieldsOf<Signing>();

/** One station: what it asks, how far somebody is, and whether they are signed off. @param role what whoever looks may do about it */
export function StationSkill({
  station,
  asks,
  met,
  skill,
  person,
  role,
}: {
  readonly station: Station;
  readonly asks: StationAsks;
  readonly met: readonly KindMet[];
  readonly skill: SignedSkill | undefined;
  readonly person: { readonly id: string; readonly name: string };
  readonly role: 'sees' | 'asks' | 'signs';
}) {
  const { ask, asking, told } = useAsk();
  return (
    <section aria-label={STATION_WORDS[station]} className="mb-3 border border-line bg-sheet px-3 py-2">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="w-24 font-bold">{STATION_WORDS[station]}</h2>
        <p className={skill === undefined ? 'text-ink2' : 'font-bold'}>
          {skill === undefined ? 'Not signed off' : `✓ Signed off by ${skill.by}, ${sayDate(skill.at)}`}
          {skill?.until != null && ` · until ${sayDate(skill.until)}`}
        </p>
        {asks.gate === 'holds' && <p className="text-ink2">asked for at the bench</p>}
      </div>
      {skill !== undefined && (
        <p>
          {skill.words}
          {!skill.practised && <span className="text-ink2"> (not all that it asks was practised then)</span>}
        </p>
      )}
      {met.length > 0 && (
        <ul className="my-1">
          {met.map((k) => (
            <li key={k.kind}>
              {k.have >= k.of ? '✓ ' : '○ '}
              <Go className="text-act underline" href={`/practice?${new URLSearchParams({ kind: k.kind, level: String(k.level) })}`}>
                {sayKindMet(k)}
              </Go>
            </li>
          ))}
        </ul>
      )}
      {role === 'signs' && skill === undefined && <SignOff station={station} person={person} met={met} />}
      {role === 'signs' && skill !== undefined && (
        <button type="button" className="btn-quiet my-1" disabled={asking} onClick={() => void ask(endSkillAction, { id: skill.id })}>
          End it now
        </button>
      )}
      {role !== 'sees' && (
        <Fold title="What it asks">
          <AsksForm station={station} asks={asks} />
        </Fold>
      )}
      <Told lines={told} />
    </section>
  );
}

/** A lead’s word that real work was watched. */
function SignOff({
  station,
  person,
  met,
}: {
  readonly station: Station;
  readonly person: { readonly id: string; readonly name: string };
  readonly met: readonly KindMet[];
}) {
  const signing = useAskForm(signSkillAction, { words: '' }, ({ words }) => ({ id: uuidv7(), personId: person.id, station, words }));
  return (
    <Fold title={`Sign off ${person.name}`}>
      <ActionFormFrame of={signing} submit="Sign it off" className="flex flex-wrap items-end gap-3">
        <Text name="words" label="Which real work was watched" className="min-w-72 flex-1" maxLength={300} />
      </ActionFormFrame>
      {!isMet(met) && (
        <p className="text-ink2">Not all that it asks is practised yet: it can be signed off all the same, and that is said with it.</p>
      )}
    </Fold>
  );
}

import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { kindsMet, skillAt } from '@/core/practice/skill';
import { STATIONS } from '@/core/station';
import { theDb } from '@/db/engine/connection';
import { staff } from '@/db/people/people';
import { asksNow, signedSkills, triesOf } from '@/db/practice/skills';
import { PersonPick } from '@/ui/practice/person-pick';
import { StationSkill } from '@/ui/practice/station-skill';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Skills' };

/** What each station asks, how far somebody is with it, and who signed it off. Leads and the owner see everybody’s, others their own. */
export default async function SkillsPage({ searchParams }: { readonly searchParams: Promise<{ readonly of?: string }> }) {
  const [person, db, { of }] = await Promise.all([personOrSignIn(), theDb(), searchParams]);
  const teaches = may(person.role, 'teach');
  const people = await staff(db);
  const shown = (teaches ? people.find((p) => p.id === of) : undefined) ?? person;
  const now = Date.now();
  const [asks, signed, tries] = await Promise.all([asksNow(db), signedSkills(db), triesOf(db, shown.id)]);
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">{shown.id === person.id ? 'Your skills' : `Skills of ${shown.name}`}</h1>
      <p className="mb-3 text-ink2">
        Practice shows that somebody knows it; a lead signs a skill off after watching real work. Where a station asks for it, whoever lacks
        it works beside somebody who has it.
      </p>
      {teaches && <PersonPick people={people} shown={shown.id} />}
      {STATIONS.map((station) => (
        <StationSkill
          key={`${shown.id} ${station}`}
          station={station}
          asks={asks[station]}
          met={kindsMet(asks[station], tries, now)}
          skill={skillAt(signed, shown.id, station, now)}
          person={{ id: shown.id, name: shown.name }}
          role={teaches ? (shown.id === person.id ? 'asks' : 'signs') : 'sees'}
        />
      ))}
    </>
  );
}

import { may, type Person } from '../people/role';
import type { Work } from '../people/work';
import { STATIONS, type Station } from '../station';

/** What an operation takes: a station's skill, or the right to sign first or second for a brake. */
export type Skill = Station | 'first-signature' | 'second-signature';
type Skilled = { readonly id: string; readonly skills: readonly Skill[] };

/** What somebody does: as the owner said, else what their role is there for; an owner is at the benches only where that was said. */
export const skillsOf = (person: Pick<Person, 'role'>, work: Work | null): readonly Skill[] => {
  const stations = work?.skills ?? usualOf(person.role);
  return stations.includes('release') && may(person.role, 'sign-second') ? [...stations, 'second-signature'] : stations;
};

const usualOf = (role: Person['role']): readonly Station[] => {
  switch (role) {
    case 'technician':
    case 'lead':
      return STATIONS.filter((s) => s !== 'book-in');
    case 'counter':
      return ['book-in', 'kit'];
    case 'owner':
      return [];
  }
};

/**
 * Who signs for brakes, so that two people do: second who may, where nobody at the benches may those named; first the others who release, and
 * where there are none whoever releases.
 * @param otherwise who may sign second though they are not at the benches, by id
 */
export const withSigners = <P extends Skilled>(all: readonly P[], otherwise: readonly string[]): readonly P[] => {
  const isSecond = (p: Skilled): boolean => p.skills.includes('second-signature');
  const releases = all.filter((p) => p.skills.includes('release'));
  const named = all.some(isSecond) ? all.filter(isSecond).map((p) => p.id) : otherwise;
  // Where nobody may, somebody from elsewhere comes: it is planned as if it were whoever releases.
  const second = named.length > 0 ? named : releases.map((p) => p.id);
  const others = releases.filter((p) => !second.includes(p.id));
  const first = (others.length > 0 ? others : releases).map((p) => p.id);
  return all.map((p) => ({
    ...p,
    skills: [
      ...p.skills.filter((s) => s !== 'second-signature'),
      ...(first.includes(p.id) ? (['first-signature'] as const) : []),
      ...(second.includes(p.id) ? (['second-signature'] as const) : []),
    ],
  }));
};

import type { Person } from '@/core/people/role';
import type { RuleSet } from '@/core/rules/rule-set-row';
import { tagOf, type UnitRecord } from '@/core/unit/unit-record';
import type { AtUnit } from '@/ui/unit/station-context';

/** What a page about a unit that is no station gives to what saves on it. @param open whether there is anything to be done on it */
export const atUnit = (
  { unit }: UnitRecord,
  { role }: Person,
  { rules, schools }: Pick<RuleSet, 'rules' | 'schools'>,
  now: number,
  open: boolean,
): AtUnit => ({
  target: { unitId: unit.id, version: unit.version },
  tag: tagOf(unit),
  rules,
  schools,
  role,
  pot: 1,
  now,
  open,
  inShop: unit.exit === null,
});

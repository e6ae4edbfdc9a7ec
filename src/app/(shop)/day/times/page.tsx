import type { Metadata } from 'next';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS, type UnitKind } from '@/core/family/family-name';
import { may } from '@/core/people/role';
import { knownOf } from '@/core/plan/known';
import { standingOfNew } from '@/core/plan/standing';
import { STATIONS } from '@/core/station';
import { BORE_WAYS, type Way } from '@/core/way';
import { theDb } from '@/db/engine/connection';
import { learn, saidTimesOf, taughtBy } from '@/db/plan/taught';
import { rulesInForce } from '@/db/rules/rules';
import { Times } from '@/ui/day/times';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'How long things take' };

const isKind = (name: string | undefined): name is UnitKind => name !== undefined && (UNIT_KINDS as readonly string[]).includes(name);

/** Bench times by family, station and way: what the shop learned of its own units, and what it says itself. */
export default async function TimesPage({ searchParams }: { readonly searchParams: Promise<{ readonly family?: string }> }) {
  const db = await theDb();
  const [person, { family: asked }, { rules }] = await Promise.all([personOrSignIn(), searchParams, rulesInForce(db)]);
  await learn(db, rules.workGapMin);
  const [taught, said] = await Promise.all([taughtBy(db), saidTimesOf(db)]);
  const most = (kind: UnitKind): number => taught.filter((t) => t.family === kind).length;
  const kind = isKind(asked) ? asked : ([...UNIT_KINDS].sort((a, b) => most(b) - most(a))[0] as UnitKind);
  const family = FAMILIES[kind];
  const ways: readonly Way[] = family.bore === 'none' ? ['no-bore'] : BORE_WAYS.filter((w) => w !== 'scrap');
  const known = knownOf(family, taught, said);
  const learned = knownOf(family, taught, []);
  return (
    <Times
      families={UNIT_KINDS.map((k) => ({ value: k, text: `${FAMILIES[k].label} (${most(k)})` }))}
      family={kind}
      ways={ways}
      rows={STATIONS.filter((s) => s !== 'book-in').map((station) => ({
        station,
        // Nothing where a unit that goes this way does not come.
        times: ways.map((way) =>
          standingOfNew(family, way).ahead.includes(station)
            ? { way, time: known.timeOf(station, way), learnedMin: learned.timeOf(station, way).minutes }
            : { way, time: null, learnedMin: 0 },
        ),
      }))}
      units={most(kind)}
      gapMin={rules.workGapMin}
      mayEdit={may(person.role, 'rules')}
    />
  );
}

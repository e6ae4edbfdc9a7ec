import type { Metadata } from 'next';
import { FAMILIES } from '@/core/family/families';
import { FAMILY_NAMES } from '@/core/family/family-name';
import { measuredOf } from '@/core/identify/identify-query';
import { may } from '@/core/people/role';
import { tagNumber, tagOf } from '@/core/unit/unit-record';
import { unitOfTag } from '@/db/engine/cached-units';
import { theDb } from '@/db/engine/connection';
import { identifyInStore } from '@/db/identify/identify';
import { rulesInForce } from '@/db/rules/rules';
import { Identify } from '@/ui/identify/identify';
import { StorePlaces } from '@/ui/store/store-places';
import { StationProvider } from '@/ui/unit/station-context';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'What is this unit?' };

type Search = { readonly searchParams: Promise<Readonly<Record<string, string | undefined>>> };

export default async function IdentifyPage({ searchParams }: Search) {
  const query = await searchParams;
  const [db, person] = [await theDb(), await personOrSignIn()];
  const { rules, schools } = await rulesInForce(db);
  const number = query.unit === undefined ? undefined : tagNumber(query.unit);
  const record = number === undefined ? undefined : await unitOfTag(db, number);
  const family = query.family ?? record?.unit.family ?? null;
  const known = measuredOf(query);
  // A unit brings what is known of it already, until something is typed.
  const nominalMm = record?.unit.geometry?.nominalMm;
  const measured =
    Object.keys(known).length > 0
      ? known
      : (record?.identity?.measured ?? (nominalMm === undefined ? {} : { boreMm: { value: nominalMm } }));
  const open = record?.unit.exit === null && may(person.role, 'book-in');
  const worksheet = (
    <Identify
      key={record?.unit.version}
      measured={measured}
      family={family}
      families={FAMILY_NAMES.map((name) => ({ name, label: FAMILIES[name].label }))}
      first={await identifyInStore(db, measured, family, rules)}
      unit={record && { tag: tagOf(record.unit), machine: record.job.machine, is: record.identity?.label ?? null, open }}
    />
  );
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">What is this unit?</h1>
      <StorePlaces here="identify" />
      {record === undefined ? (
        worksheet
      ) : (
        <StationProvider
          at={{
            target: { unitId: record.unit.id, version: record.unit.version },
            tag: tagOf(record.unit),
            pot: 1,
            rules,
            schools,
            role: person.role,
            now: Date.now(),
            open,
            inShop: record.unit.exit === null,
          }}
        >
          {worksheet}
        </StationProvider>
      )}
    </div>
  );
}

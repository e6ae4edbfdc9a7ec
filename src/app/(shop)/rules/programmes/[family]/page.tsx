import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS } from '@/core/family/family-name';
import { may } from '@/core/people/role';
import { workingChambers } from '@/core/prove/programme/usual';
import { sayFullDate } from '@/core/quantity/say-time';
import { theDb } from '@/db/engine/connection';
import { programmeInForce } from '@/db/prove/programmes';
import { programmeVersions } from '@/db/prove/save-programme';
import { ProgrammeEditor } from '@/ui/prove/programme-editor';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../../../_server/who';

type Params = { readonly params: Promise<{ readonly family: string }> };

const kindOf = async ({ params }: Params) => {
  const { family } = await params;
  return UNIT_KINDS.find((k) => k === family && FAMILIES[k].proof === 'rig');
};

export async function generateMetadata(params: Params): Promise<Metadata> {
  const kind = await kindOf(params);
  return { title: kind === undefined ? 'Programme' : `Programme · ${FAMILIES[kind].label}` };
}

export default async function ProgrammePage(params: Params) {
  const kind = await kindOf(params);
  if (kind === undefined) notFound();
  const db = await theDb();
  const [programme, versions, person] = await Promise.all([programmeInForce(db, kind), programmeVersions(db, kind), personOrSignIn()]);
  const family = FAMILIES[kind];
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Programme, {family.label.toLowerCase()}</h1>
      <p className="mb-3 text-ink2">
        {programme.version === 0 ? 'As delivered.' : `Version ${programme.version}.`} Units whose proving has begun end by the version they
        began with.{' '}
        <Go className="font-bold text-act" href="/rules/programmes">
          All programmes
        </Go>
      </p>
      <ProgrammeEditor
        key={programme.version}
        family={kind}
        programme={programme}
        chambers={workingChambers(family)}
        open={may(person.role, 'rules')}
      />
      {versions.length > 0 && (
        <ol className="mt-4 text-[13px]" aria-label="Versions">
          {versions.map((v) => (
            <li key={v.version} className="border-b border-hair py-1">
              Version {v.version}, {sayFullDate(v.at)}, {v.by}: {v.note}
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

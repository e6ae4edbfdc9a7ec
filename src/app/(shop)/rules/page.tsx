import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { sayFullDate } from '@/core/quantity/say-time';
import { theDb } from '@/db/engine/connection';
import { rulesInForce, ruleVersions } from '@/db/rules/rules';
import { RuleTable } from '@/ui/rules/rule-table';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../_server/who';

export const metadata: Metadata = { title: 'Rules' };

export default async function RulesPage() {
  const db = await theDb();
  const [set, versions, person] = [await rulesInForce(db), await ruleVersions(db), await personOrSignIn()];
  return (
    <div className="max-w-5xl px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Rules, version {set.version}</h1>
      <p className="mb-3 text-ink2">
        A maker’s manual prevails over all of these. Also:{' '}
        <Go className="font-bold text-act" href="/rules/families">
          families and the shop’s variants
        </Go>
        ,{' '}
        <Go className="font-bold text-act" href="/rules/programmes">
          how they are proved
        </Go>
        ,{' '}
        <Go className="font-bold text-act" href="/rules/causes">
          causes and how often they are met
        </Go>
        ,{' '}
        <Go className="font-bold text-act" href="/rules/gauges">
          gauges and their ring checks
        </Go>
        ,{' '}
        <Go className="font-bold text-act" href="/verify">
          keys of certificates
        </Go>
        ,{' '}
        <Go className="font-bold text-act" href="/outbox">
          messages to customers
        </Go>
        .
      </p>
      <RuleTable key={set.version} version={set.version} rules={set.rules} schools={set.schools} open={may(person.role, 'rules')} />
      <h2 className="head mt-5 mb-1">VERSIONS</h2>
      <ol className="border border-line bg-sheet px-3">
        {versions.map((v) => (
          <li key={v.version} className="flex flex-wrap justify-between gap-3 border-b border-hair py-1.5 last:border-b-0">
            <span>
              <b>{v.version}</b> {v.note}
            </span>
            <span className="text-ink2">
              {v.by ?? 'the program'} · {sayFullDate(v.at)}
            </span>
          </li>
        ))}
      </ol>
    </div>
  );
}

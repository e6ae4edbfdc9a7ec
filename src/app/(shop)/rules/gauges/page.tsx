import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { theDb } from '@/db/engine/connection';
import { checksOf, instruments } from '@/db/gauge/instruments';
import { rulesInForce } from '@/db/rules/rules';
import { GaugeList } from '@/ui/rules/gauge-list';
import { Go } from '@/ui/shell/go';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Gauges' };

export default async function GaugesPage() {
  const db = await theDb();
  const [{ rules }, person, all] = [await rulesInForce(db), await personOrSignIn(), await instruments(db)];
  const gauges = await Promise.all(all.map(async (i) => ({ ...i, checks: await checksOf(db, i.id) })));
  return (
    <div className="max-w-4xl px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Gauges</h1>
      <p className="mb-3 text-ink2">
        A bore is only as true as the gauge. Each is held against its setting ring at least every {rules.ringCheckDays} days, at Gauge; one
        that is overdue, or more than {rules.ringCheckOffUm} µm off, is not used, unless a lead gives a reason.{' '}
        <Go className="font-bold text-act" href="/rules">
          Rules
        </Go>
      </p>
      <GaugeList gauges={gauges} rules={rules} now={Date.now()} open={may(person.role, 'rules')} />
    </div>
  );
}

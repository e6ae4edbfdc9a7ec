import type { Metadata } from 'next';
import { sayFullDate } from '@/core/quantity/say-time';
import { RULE_NAMES, RULES } from '@/core/rules/rule-set';
import { theDb } from '@/db/connection';
import { rulesInForce } from '@/db/stations/bore';
import { Go } from '@/ui/shell/go';

export const metadata: Metadata = { title: 'Rules' };

export default async function RulesPage() {
  const set = await rulesInForce(await theDb());
  return (
    <div className="max-w-5xl px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Rules, version {set.version}</h1>
      <p className="mb-3 text-ink2">
        {sayFullDate(set.at)}. {set.note} A maker’s manual prevails over all of these. Also:{' '}
        <Go className="font-bold text-act" href="/rules/families">
          families and the shop’s variants
        </Go>
        ,{' '}
        <Go className="font-bold text-act" href="/rules/causes">
          causes and how often they are met
        </Go>
        .
      </p>
      <table className="w-full border-collapse bg-sheet">
        <thead>
          <tr>
            {['Rule', 'In force', 'Why'].map((h) => (
              <th key={h} scope="col" className="th">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {RULE_NAMES.map((name) => (
            <tr key={name}>
              <th scope="row" className="cell font-normal" title={name}>
                {RULES[name].label}
              </th>
              <td className="cell font-bold whitespace-nowrap">
                {set.rules[name] === null ? 'not set' : `${set.rules[name]} ${RULES[name].unit}`}
              </td>
              <td className="cell text-ink2">{RULES[name].why}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

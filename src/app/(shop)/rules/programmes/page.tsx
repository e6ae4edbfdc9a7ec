import type { Metadata } from 'next';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS } from '@/core/family/family-name';
import { sayStep } from '@/core/prove/programme/say-step';
import { theDb } from '@/db/engine/connection';
import { programmeInForce } from '@/db/prove/programmes';
import { Go } from '@/ui/shell/go';
import { Scroll } from '@/ui/unit/scroll';
import { TableHead } from '@/ui/unit/table-head';
import { unitsOf } from '../../../_server/preferences';

export const metadata: Metadata = { title: 'Programmes' };

export default async function ProgrammesPage() {
  const [units, db] = await Promise.all([unitsOf(), theDb()]);
  const held = UNIT_KINDS.filter((k) => FAMILIES[k].proof === 'rig');
  const programmes = await Promise.all(held.map(async (k) => ({ kind: k, programme: await programmeInForce(db, k) })));
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Programmes</h1>
      <p className="mb-3 text-ink2">
        How each family is proved: the most telling step first, the most dangerous last. A maker’s manual prevails.{' '}
        <Go className="font-bold text-act" href="/rules">
          Back to the rules
        </Go>
      </p>
      <Scroll label="Programmes">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['Family', 'Version', 'Must', 'May']} />
          <tbody>
            {programmes.map(({ kind, programme }) => {
              const names = (need: 'must' | 'may') =>
                programme.steps
                  .filter((s) => s.need === need)
                  .map((s) => sayStep(s, units))
                  .join(' · ');
              return (
                <tr key={kind}>
                  <th scope="row" className="cell whitespace-nowrap">
                    <Go className="inline-flex min-h-9 items-center font-bold text-act" href={`/rules/programmes/${kind}`}>
                      {FAMILIES[kind].label}
                    </Go>
                  </th>
                  <td className="cell whitespace-nowrap">{programme.version === 0 ? 'as delivered' : programme.version}</td>
                  <td className="cell">{names('must')}</td>
                  <td className="cell text-ink2">{names('may')}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroll>
    </div>
  );
}

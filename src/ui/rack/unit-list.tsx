import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { STATION_WORDS } from '@/core/station';
import type { TrayTag } from '@/core/unit/tray-tag';
import { tagOf } from '@/core/unit/unit-record';
import { Silhouette } from '../drawing/silhouette';
import { Tag } from '../drawing/tag';
import { VerdictSign } from '../drawing/verdict-sign';
import { Go } from '../shell/go';
import { TableHead } from '../unit/table-head';

/** Units as a table: in the shop or gone. */
export function UnitList({ units, now, empty }: { readonly units: readonly TrayTag[]; readonly now: number; readonly empty: string }) {
  if (units.length === 0) return <p className="text-ink2">{empty}</p>;
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse bg-sheet">
        <TableHead names={['Tag', '', 'Machine', 'Customer', 'Complaint', 'Bore', 'Where', 'When']} />
        <tbody>
          {units.map((u) => {
            const at = u.exitAt ?? u.dueAt;
            return (
              <tr key={u.id}>
                <td className="cell">
                  <Go data-tray href={`/units/${tagOf(u)}`} className="inline-flex min-h-9 items-center">
                    <Tag text={tagOf(u)} />
                  </Go>
                </td>
                <td className="cell">
                  <Silhouette family={u.family} label={u.familyLabel} />
                </td>
                <td className="cell">{u.machine}</td>
                <td className="cell">{u.customer}</td>
                <td className="cell text-ink2">{u.complaint}</td>
                <td className="cell">{u.outcome !== null && <VerdictSign outcome={u.outcome} />}</td>
                <td className="cell">{u.exit ?? STATION_WORDS[u.station]}</td>
                <td className="cell whitespace-nowrap" title={sayFullDate(at)}>
                  {u.exit === null ? 'due ' : ''}
                  {sayWhen(at, now)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

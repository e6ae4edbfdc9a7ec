import type { GroupHolds } from '@/core/book/comebacks';
import { FUNNEL_WORDS, sayHolds, sayShare } from '@/core/book/say-comebacks';
import { Go } from '../shell/go';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

/**
 * Each group: how many, how many came back, what holds, and where it stands in the funnel. Its units stand behind its name.
 * @param groups each with the address of its rows, and how many of it were seen for so long
 */
export function GroupTable({
  groups,
}: {
  readonly groups: readonly (GroupHolds & { readonly name: string; readonly href: string; readonly seen: readonly number[] })[];
}) {
  return (
    <Scroll label="Groups">
      <table className="w-full border-collapse bg-sheet">
        <TableHead
          names={[
            'Group',
            'Units',
            'Came back',
            'Holds 180 days',
            'Holds a year',
            'Seen 90, 180, 365 days',
            'Back in 180 days',
            'Chance gives',
            'So',
          ]}
        />
        <tbody>
          {groups.map((g) => (
            <tr key={g.group}>
              <th scope="row" className="cell text-left font-normal">
                <Go className="font-bold text-act underline" href={g.href}>
                  {g.name}
                </Go>
              </th>
              <td className="cell">{g.n}</td>
              <td className="cell">{g.events}</td>
              <td className="cell">{sayHolds(g.at[0])}</td>
              <td className="cell">{sayHolds(g.at[1])}</td>
              <td className="cell">{g.seen.join(', ')}</td>
              <td className="cell">{g.rate === null ? '–' : `${sayShare(g.rate)}: ${g.cameBackInTime} of ${g.followed}`}</td>
              <td className="cell">{g.lower === null ? '–' : `${sayShare(g.lower)} to ${sayShare(g.upper)}`}</td>
              <td className={`cell ${g.says === 'high' ? 'font-bold text-red' : ''}`}>{FUNNEL_WORDS[g.says]}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}

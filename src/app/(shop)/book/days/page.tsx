import type { Metadata } from 'next';
import { type DaysGo, staysAt, whereDaysGo } from '@/core/book/where-days-go';
import { hoursBetween } from '@/core/plan/shifts';
import { fixed } from '@/core/quantity/figure';
import { weekHours } from '@/core/shop/settings';
import { STATION_WORDS, STATIONS, type Station } from '@/core/station';
import { tagOf } from '@/core/unit/unit-record';
import { MOST_PASSAGES, passagesOf } from '@/db/book/passages';
import { theDb } from '@/db/engine/connection';
import { promisesKept } from '@/db/plan/promises-kept';
import { BookHead } from '@/ui/book/book-head';
import { Go } from '@/ui/shell/go';
import { Scroll } from '@/ui/unit/scroll';
import { TableHead } from '@/ui/unit/table-head';
import { shopNow } from '../../../_server/shop-now';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Where the days go' };

/** Time at each station as work, wait and queue; flow, on time, promises, and the bottleneck by its numbers. */
export default async function DaysPage({ searchParams }: { readonly searchParams: Promise<{ readonly station?: string }> }) {
  await personOrSignIn();
  const [db, { station: asked }] = await Promise.all([theDb(), searchParams]);
  const station = STATIONS.find((s) => s === asked);
  const [{ passages, inAll }, { settings }, promises] = await Promise.all([passagesOf(db), shopNow(), promisesKept(db)]);
  const hours = weekHours(settings.hours);
  const open = (from: number, until: number): number => hoursBetween(from, until, hours, settings.closed);
  const go = whereDaysGo(passages, open);
  return (
    <div className="grid max-w-5xl grid-cols-[minmax(0,1fr)] gap-3 px-4 py-4">
      <BookHead here="Where the days go" title="Where the days go" />
      {go === null ? (
        <p className="border border-line bg-sheet p-3">Nothing has been released yet: where its days went cannot be known.</p>
      ) : (
        <>
          <p>
            {go.units} released {go.units === 1 ? 'unit' : 'units'}
            {inAll > MOST_PASSAGES && `, the last of ${inAll}`}: half of them were here for less than {fixed(go.medianDays, 1)} days.{' '}
            {go.onTime} left by the day that was promised.
            {go.perWeek !== null && ` ${fixed(go.perWeek, 1)} leave in a week.`}
            {promises.asked > 0 && ` Of ${promises.asked} promised by the plan ${promises.kept} were kept; 9 in 10 were to be.`}
          </p>
          {go.bottleneck !== null && (
            <p className="border-l-4 border-amber pl-3 font-bold">
              The bottleneck is {STATION_WORDS[go.bottleneck.station]}: {go.bottleneck.units} units lay there for{' '}
              {fixed(go.bottleneck.queueH, 1)} open hours each, where the work takes {fixed(go.bottleneck.workH, 1)}.
            </p>
          )}
          <Stays go={go} />
          {station !== undefined && <StaysAt station={station} stays={staysAt(passages, station, open)} />}
          <p className="text-[13px] text-ink2">
            Hours that the shop is open, in the mean of those that passed the station, from the sign-off before to its own.
          </p>
        </>
      )}
    </div>
  );
}

/** Each station’s stay, drawn to one scale: work full, wait striped, queue empty. */
function Stays({ go }: { readonly go: DaysGo }) {
  const longest = Math.max(...go.stations.map((s) => s.workH + s.waitH + s.queueH), 0.1);
  const width = (h: number): string => `${(100 * h) / longest}%`;
  return (
    <Scroll label="Stations">
      <table className="w-full border-collapse bg-sheet">
        <TableHead names={['Station', 'Units', 'Work, h', 'Wait, h', 'Queue, h', 'Work ■, wait ▨, queue □']} />
        <tbody>
          {go.stations.map((s) => (
            <tr key={s.station}>
              <th scope="row" className="cell text-left font-normal">
                <Go className="inline-flex min-h-9 items-center font-bold text-act underline" href={`/book/days?station=${s.station}`}>
                  {STATION_WORDS[s.station]}
                </Go>
              </th>
              <td className="cell">{s.units}</td>
              <td className="cell">{fixed(s.workH, 1)}</td>
              <td className="cell">{fixed(s.waitH, 1)}</td>
              <td className="cell">{fixed(s.queueH, 1)}</td>
              <td className="cell w-1/2 min-w-48">
                <span aria-hidden="true" className="flex h-4">
                  <span className="bg-ink" style={{ width: width(s.workH) }} />
                  <span
                    className="border-y border-ink"
                    style={{
                      width: width(s.waitH),
                      backgroundImage: 'repeating-linear-gradient(45deg, var(--ink2) 0 2px, transparent 2px 5px)',
                    }}
                  />
                  <span className="border border-ink" style={{ width: width(s.queueH) }} />
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}

/** The units behind a station's figures. */
const StaysAt = ({ station, stays }: { readonly station: Station; readonly stays: ReturnType<typeof staysAt> }) => (
  <section aria-label={`Units at ${STATION_WORDS[station]}`} className="border border-line bg-sheet p-3">
    <h2 className="mb-1 font-bold">
      {STATION_WORDS[station]}: {stays.length} {stays.length === 1 ? 'stay' : 'stays'}, the longest first
    </h2>
    <ul className="columns-1 gap-6 sm:columns-2">
      {stays.map((s, i) => (
        <li key={i} className="break-inside-avoid">
          <Go className="font-bold text-act underline" href={`/units/${tagOf(s)}`}>
            {tagOf(s)}
          </Go>{' '}
          work {fixed(s.workH, 1)} h, wait {fixed(s.waitH, 1)} h, queue {fixed(s.queueH, 1)} h
        </li>
      ))}
    </ul>
  </section>
);

'use client';

import { useRouter } from 'next/navigation';
import { sayTimeAction } from '@/app/actions/day';
import type { UnitKind } from '@/core/family/family-name';
import type { StationTime } from '@/core/plan/times';
import { STATION_WORDS, type Station } from '@/core/station';
import { WAY_WORDS, type Way } from '@/core/way';
import { SelectField } from '../field/select-field';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';

type Cell = { readonly way: Way /** Null where it never comes there. */; readonly time: StationTime | null; readonly learnedMin: number };
type Row = { readonly station: Station; readonly times: readonly Cell[] };

/** Bench times of a family: median, how far they spread, how many units taught them; what the shop says itself goes before. Nobody's name stands here. */
export function Times({
  families,
  family,
  ways,
  rows,
  units,
  gapMin,
  mayEdit,
}: {
  readonly families: readonly { readonly value: UnitKind; readonly text: string }[];
  readonly family: UnitKind;
  readonly ways: readonly Way[];
  readonly rows: readonly Row[];
  readonly units: number;
  readonly gapMin: number;
  readonly mayEdit: boolean;
}) {
  const router = useRouter();
  const { ask, asking, told } = useAsk();
  const say = (station: Station, way: Way, minutes: number | null): void => void ask(sayTimeAction, { family, way, station, minutes });
  return (
    <div className="grid max-w-5xl gap-3 p-4">
      <p className="text-[13px]">
        <Go className="font-bold text-act" href="/day">
          Day
        </Go>{' '}
        / How long things take
      </p>
      <h1 className="text-xl font-bold">How long things take</h1>
      <p className="max-w-3xl text-ink2">
        Learned from the steps of {units} {units === 1 ? 'unit' : 'units'} of this kind that {units === 1 ? 'has' : 'have'} left: the time
        between a person’s own steps on a unit, pauses over {gapMin} min left out, with the usual figures as five units more. In brackets
        where eight of ten lie, then how many units taught it.
      </p>
      <SelectField
        label="Kind of unit"
        className="w-72"
        value={family}
        options={families}
        onSay={(f) => router.push(`/day/times?family=${f}`)}
      />
      <Told lines={told} />
      <div className="overflow-x-auto">
        <table className="border border-line bg-sheet">
          <thead>
            <tr>
              <th scope="col" className="th min-w-28">
                Station
              </th>
              {ways.map((w) => (
                <th key={w} scope="col" className="th min-w-44">
                  {WAY_WORDS[w]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows
              .filter((r) => r.times.some((t) => t.time !== null))
              .map((r) => (
                <tr key={r.station}>
                  <th scope="row" className="cell font-normal">
                    {STATION_WORDS[r.station]}
                  </th>
                  {r.times.map(({ way, time, learnedMin }) =>
                    time === null ? (
                      <td key={way} className="cell text-ink2">
                        –
                      </td>
                    ) : (
                      <td key={way} className="cell">
                        <b>{Math.round(time.minutes)} min</b>{' '}
                        <span className="text-[13px] text-ink2">
                          ({Math.round(learnedMin * Math.exp(-EIGHT_IN_TEN * time.spread))} to{' '}
                          {Math.round(learnedMin * Math.exp(EIGHT_IN_TEN * time.spread))}), {time.units}{' '}
                          {time.units === 1 ? 'unit' : 'units'}
                          {time.said === 'said' && `; learned ${Math.round(learnedMin)}`}
                        </span>
                        {mayEdit && (
                          <Own
                            key={`${family} ${time.said} ${time.minutes}`}
                            label={`${STATION_WORDS[r.station]}, ${WAY_WORDS[way]}, min`}
                            said={time.said === 'said' ? time.minutes : null}
                            busy={asking}
                            onSay={(minutes) => say(r.station, way, minutes)}
                          />
                        )}
                      </td>
                    ),
                  )}
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

/** Quantile 0.9 of a standard normal. */
const EIGHT_IN_TEN = 1.2816;

/** The shop's own figure; empty for what is learned. */
function Own({
  label,
  said,
  busy,
  onSay,
}: {
  readonly label: string;
  readonly said: number | null;
  readonly busy: boolean;
  readonly onSay: (minutes: number | null) => void;
}) {
  return (
    <details className="text-[13px]" open={said !== null}>
      <summary className="cursor-pointer text-act">{said === null ? 'say otherwise' : 'said by the shop'}</summary>
      <form
        className="flex items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          const typed = new FormData(e.currentTarget).get('minutes');
          onSay(typed === null || String(typed).trim() === '' ? null : Number(String(typed).replace(',', '.')));
        }}
      >
        <input name="minutes" inputMode="decimal" aria-label={label} defaultValue={said ?? ''} placeholder="min" className="field w-20" />
        <button type="submit" className="btn-quiet" disabled={busy}>
          Say
        </button>
      </form>
    </details>
  );
}

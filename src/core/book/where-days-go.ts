import { STATIONS, type Station } from '../station';
import { median } from '../statistics/summary';

/** A unit's way through the shop, as its record has it. Times in ms since 1970. */
export type Passage = {
  readonly tagNo: number;
  readonly bookedInAt: number;
  readonly exitAt: number;
  readonly dueAt: number;
  /** Stations signed off, in the order of their times. */
  readonly steps: readonly { readonly station: Station; readonly at: number }[];
  /** What was worked at each, min. */
  readonly minutes: { readonly [S in Station]?: number };
  readonly waits: readonly { readonly from: number; readonly until: number }[];
};

/** A stay at a station in hours that the shop is open: what was worked, what waited for a soak, a bath or somebody else, and what only lay there. */
export type Stay = { readonly station: Station; readonly workH: number; readonly waitH: number; readonly queueH: number };

/** Hours that the shop is open between two moments. */
export type OpenHours = (from: number, until: number) => number;

/** A unit's stays: each from the sign-off before it to its own. */
export const staysOf = (p: Passage, open: OpenHours): readonly Stay[] => {
  let since = p.bookedInAt;
  return p.steps.map(({ station, at }) => {
    const from = since;
    since = Math.max(since, at);
    const all = open(from, at);
    const workH = Math.min(all, (p.minutes[station] ?? 0) / 60);
    const waited = together(
      p.waits.flatMap((w) => (w.from < at && w.until > from ? [{ from: Math.max(w.from, from), until: Math.min(w.until, at) }] : [])),
    );
    const waitH = Math.min(
      all - workH,
      waited.reduce((sum, w) => sum + open(w.from, w.until), 0),
    );
    return { station, workH, waitH, queueH: Math.max(0, all - workH - waitH) };
  });
};

/** Spans that overlap made one, so that nothing is counted twice. */
const together = (
  spans: readonly { readonly from: number; readonly until: number }[],
): readonly { readonly from: number; readonly until: number }[] => {
  const joined: { from: number; until: number }[] = [];
  for (const span of [...spans].sort((a, b) => a.from - b.from)) {
    const last = joined.at(-1);
    if (last !== undefined && span.from <= last.until) last.until = Math.max(last.until, span.until);
    else joined.push({ ...span });
  }
  return joined;
};

/** The stays that a station's figures are made of, the longest first; a unit that passed it twice has two. */
export const staysAt = (passages: readonly Passage[], station: Station, open: OpenHours): readonly (Stay & { readonly tagNo: number })[] =>
  passages
    .flatMap((p) => staysOf(p, open).flatMap((s) => (s.station === station ? [{ ...s, tagNo: p.tagNo }] : [])))
    .toSorted((a, b) => b.workH + b.waitH + b.queueH - (a.workH + a.waitH + a.queueH));

/** A station over many units: how many passed it, how often, and what a stay was made of in the mean. */
export type StationShare = Stay & { readonly units: number; readonly stays: number };
export type DaysGo = {
  readonly units: number;
  readonly stations: readonly StationShare[];
  /** Where most lies and waits its turn, over all units; null where nothing does. */
  readonly bottleneck: StationShare | null;
  /** From booking in to leaving, in clock days: half of the units took less. */
  readonly medianDays: number;
  readonly onTime: number;
  /** Units that left in a week, over the time that they are of; null for less than a week. */
  readonly perWeek: number | null;
};

const [DAY_MS, WEEK_MS] = [86_400_000, 7 * 86_400_000];

/** Where the days go. Null without a unit. */
export const whereDaysGo = (passages: readonly Passage[], open: OpenHours): DaysGo | null => {
  if (passages.length === 0) return null;
  const stays = passages.flatMap((p) => staysOf(p, open).map((s) => ({ ...s, tagNo: p.tagNo })));
  const stations = STATIONS.flatMap((station): readonly StationShare[] => {
    const own = stays.filter((s) => s.station === station);
    const mean = (of: (s: Stay) => number): number => own.reduce((sum, s) => sum + of(s), 0) / own.length;
    return own.length === 0
      ? []
      : [
          {
            station,
            units: new Set(own.map((s) => s.tagNo)).size,
            stays: own.length,
            workH: mean((s) => s.workH),
            waitH: mean((s) => s.waitH),
            queueH: mean((s) => s.queueH),
          },
        ];
  });
  const lain = (s: StationShare): number => s.stays * s.queueH;
  const most = stations.reduce<StationShare | null>((best, s) => (lain(s) > (best === null ? 0 : lain(best)) ? s : best), null);
  const spanMs = Math.max(...passages.map((p) => p.exitAt)) - Math.min(...passages.map((p) => p.exitAt));
  return {
    units: passages.length,
    stations,
    bottleneck: most,
    medianDays: median(passages.map((p) => (p.exitAt - p.bookedInAt) / DAY_MS)),
    onTime: passages.filter((p) => p.exitAt <= p.dueAt).length,
    perWeek: spanMs < WEEK_MS ? null : passages.length / (spanMs / WEEK_MS),
  };
};

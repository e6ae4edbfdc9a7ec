import { newestOf } from '../bench/bench-record';
import { CAUSES, type CauseName } from '../book-in/cause';
import { sayComplaint } from '../book-in/complaint';
import { sayStep } from '../prove/programme/say-step';
import { sayDia } from '../quantity/say';
import type { Units } from '../quantity/units';
import { sayGapRecord } from '../set/gap-record';
import { boresOf } from './bores';
import { currentGauging } from './facts-of';
import { provingOf, STAND_WORDS } from './proving';
import type { UnitRecord } from './unit-record';

/** One life of a unit, from its booking in to its leaving, in the words of its own records; null where there is nothing to say. */
export type Life = {
  readonly complaint: string;
  readonly cause: string | null;
  readonly bore: string | null;
  readonly verdict: string | null;
  readonly kits: string | null;
  readonly gap: string | null;
  readonly hold: string | null;
};
export const LIFE_WORDS: { readonly [L in keyof Life]: string } = {
  complaint: 'What was wrong',
  cause: 'What it turned out to be',
  bore: 'Bore as last gauged',
  verdict: 'Judged',
  kits: 'Kits and lots',
  gap: 'Pushrod gap',
  hold: 'Proved',
};

/** Confirmed cause of a unit's trouble; undefined where nobody has said. */
export const causeOf = (r: Pick<UnitRecord, 'findings'>): CauseName | undefined => {
  const said = r.findings.findLast((f) => f.about === 'cause' && f.answer === 'yes')?.name;
  return said !== undefined && said in CAUSES ? (said as CauseName) : undefined;
};

export const lifeOf = (r: UnitRecord, units: Units): Life => {
  const bores = boresOf(r).flatMap(({ name, record }) => {
    const gauging = currentGauging(record);
    const form = record.verdicts.findLast((v) => v.gaugingId === gauging?.id)?.answer.gauge;
    const of = r.unit.morePots.length === 0 ? '' : `${name}: `;
    return form == null ? [] : [`${of}${sayDia(form.minMm, units)} to ${sayDia(form.maxMm, units)} ${units.length}`];
  });
  const cause = causeOf(r);
  const gap = newestOf(r.bench, 'gap');
  const proved = provingOf(r).filter((s) => s.stands !== 'open' && s.step.kind !== 'dry-stroke');
  return {
    complaint: sayComplaint(r.unit.complaints, r.unit.complaintText) || 'no complaint',
    cause: cause === undefined ? null : CAUSES[cause].label,
    bore: bores.length === 0 ? null : bores.join('; '),
    verdict:
      boresOf(r)
        .flatMap(({ record }) => record.verdicts.at(-1)?.answer.outcome ?? [])
        .join(', ') || null,
    kits: r.setAside.length === 0 ? null : r.setAside.map((s) => `${s.number}, lot ${s.lotCode}`).join('; '),
    gap: gap === undefined ? null : sayGapRecord(gap, units),
    hold: proved.length === 0 ? null : proved.map((s) => `${sayStep(s.step, units)}: ${STAND_WORDS[s.stands]}`).join('; '),
  };
};

/** What the first lives of units that came back had in common, counted, the most first. */
export type ComebackTally = { readonly name: string; readonly counts: readonly (readonly [what: string, n: number])[] };

/**
 * Comebacks counted by the lot of the kit in the first life, by how its bore was saved, by the rules it was judged under, and by what the second life found.
 * @param counted numbers of units; null where nobody judged, or nobody has found the cause yet
 */
export const tallyComebacks = (counted: {
  readonly kits: readonly { readonly what: string; readonly n: number }[];
  readonly judged: readonly { readonly outcome: string | null; readonly version: number | null; readonly n: number }[];
  readonly found: readonly { readonly cause: string | null; readonly n: number }[];
}): readonly ComebackTally[] => {
  const tally = (name: string, rows: readonly { readonly what: string; readonly n: number }[]): ComebackTally => {
    const counts = new Map<string, number>();
    for (const { what, n } of rows) counts.set(what, (counts.get(what) ?? 0) + n);
    return { name, counts: [...counts].sort(([a, m], [b, n]) => n - m || (a < b ? -1 : 1)) };
  };
  const causeWords = (cause: string | null): string =>
    cause === null ? 'not known yet' : cause in CAUSES ? CAUSES[cause as CauseName].label : cause;
  return [
    tally('By kit and lot', counted.kits),
    tally(
      'By how the bore was saved',
      counted.judged.map(({ outcome, n }) => ({ what: outcome ?? 'no bore judged', n })),
    ),
    tally(
      'By rules in force',
      counted.judged.map(({ version, n }) => ({ what: version === null ? 'not judged' : `version ${version}`, n })),
    ),
    tally(
      'By what was found',
      counted.found.map(({ cause, n }) => ({ what: causeWords(cause), n })),
    ),
  ];
};

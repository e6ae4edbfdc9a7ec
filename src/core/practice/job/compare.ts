import { FAMILIES } from '../../family/families';
import { PART_KINDS } from '../../family/part-kind';
import { gaugeUncertainty } from '../../gauge/gauge';
import { MARK_WORDS } from '../../judge/mark';
import { fixed } from '../../quantity/figure';
import type { Rules } from '../../rules/rule-set';
import { CONDITION_WORDS } from '../../strip/condition';
import type { UnitRecord } from '../../unit/unit-record';
import { type JobTruth, judgedTruly } from './truth';

/** One thing of a practice unit: what it was, and what was found of it. */
export type Compared = {
  readonly what: string;
  readonly truth: string;
  readonly found: string;
  readonly verdict: 'found' | 'otherwise' | 'not looked at';
};

const NOT_LOOKED = 'not looked at';
/** A mark that was drawn within so much of one lies on it, mm and degrees. */
const [NEAR_MM, NEAR_DEG] = [2.5, 25];

/** The truth of a practice unit beside what its record says was found. */
export const compared = (t: JobTruth, r: UnitRecord, rules: Rules): readonly Compared[] => [
  boreLine(t, r, rules),
  ...markLines(t, r),
  outcomeLine(t, r, rules),
  ...partLines(t, r),
  bagLine(t, r),
  leakLine(t, r),
];

const line = (what: string, truth: string, found: string | undefined, same: boolean): Compared => ({
  what,
  truth,
  found: found ?? NOT_LOOKED,
  verdict: found === undefined ? NOT_LOOKED : same ? 'found' : 'otherwise',
});

const boreLine = (t: JobTruth, r: UnitRecord, rules: Rules): Compared => {
  const widest = widestMm(t, rules);
  const [first] = r.gaugings.filter((g) => g.readings.length > 0);
  const found = first === undefined ? undefined : Math.max(...first.readings.map((x) => x.diaMm));
  // Three times the gauge’s own spread at either end, and what lies between depths.
  const within = 3 * gaugeUncertainty(rules) + 0.002;
  return line(
    'How wide it was at its widest',
    `${fixed(widest, 3)} mm`,
    found === undefined ? undefined : `${fixed(found, 3)} mm`,
    found !== undefined && Math.abs(found - widest) <= within,
  );
};

const widestMm = (t: JobTruth, rules: Rules): number => judgedTruly(t, rules).gauge?.maxMm ?? 0;

const markLines = (t: JobTruth, r: UnitRecord): readonly Compared[] => [
  ...t.marks.map((m) => {
    const near = r.marks.find(
      (f) =>
        f.x0Mm <= m.x1Mm + NEAR_MM &&
        f.x1Mm >= m.x0Mm - NEAR_MM &&
        f.clock0Deg <= m.clock1Deg + NEAR_DEG &&
        f.clock1Deg >= m.clock0Deg - NEAR_DEG,
    );
    const truth = `${MARK_WORDS[m.kind]}${m.depthUm == null ? '' : `, ${m.depthUm} µm`}`;
    const found = near && `${MARK_WORDS[near.kind]}${near.depthUm == null ? '' : `, ${near.depthUm} µm`}`;
    const asDeep = Math.abs((near?.depthUm ?? 0) - (m.depthUm ?? 0)) <= (m.depthUncertaintyUm ?? 0) + 2;
    return line(`The mark at ${fixed((m.x0Mm + m.x1Mm) / 2, 1)} mm`, truth, found, near?.kind === m.kind && asDeep);
  }),
];

const outcomeLine = (t: JobTruth, r: UnitRecord, rules: Rules): Compared => {
  const [first] = r.verdicts;
  const truly = judgedTruly(t, rules).outcome;
  return line('What the bore was good for', truly, first?.answer.outcome, first?.answer.outcome === truly);
};

const partLines = (t: JobTruth, r: UnitRecord): readonly Compared[] =>
  FAMILIES[t.family].slots.flatMap((s) => {
    const part = r.tray.find((p) => p.slotId === s.id);
    const truth = t.bad[s.id] ?? 'good';
    const found = part?.condition ?? undefined;
    // What is good and was not said otherwise needs no line of its own.
    if (truth === 'good' && (found === undefined || found === 'good')) return [];
    return [line(s.name, CONDITION_WORDS[truth], found && CONDITION_WORDS[found], found === truth)];
  });

const bagLine = (t: JobTruth, r: UnitRecord): Compared => {
  const opened = r.setAside.filter((b) => b.openedAt !== null);
  const told = opened.flatMap((b) => b.findings.flatMap((f) => (f.what === 'extra' ? [f.kind] : [b.items[f.item]?.kind])));
  const truth = t.wrongPiece === null ? 'all of it right' : `${PART_KINDS[t.wrongPiece.kind].label} of the wrong size`;
  const found =
    opened.length === 0
      ? undefined
      : told.length === 0
        ? 'all of it right'
        : `wrong: ${told.map((k) => (k === undefined ? '?' : (PART_KINDS[k as keyof typeof PART_KINDS]?.label ?? k))).join(', ')}`;
  const same = t.wrongPiece === null ? told.length === 0 : told.includes(t.wrongPiece.kind);
  return line('What lay in the bag', truth, found, same);
};

const leakLine = (t: JobTruth, r: UnitRecord): Compared => {
  const judged = r.runs.filter((run) => run.outcome !== null);
  const failed = judged.some((run) => run.outcome === 'fail');
  const truth = t.leak === null ? 'tight' : `a nicked lip: ${fixed(t.leak.mlPerMin, 2)} ml/min at 80 bar`;
  return line(
    'How it held',
    truth,
    judged.length === 0 ? undefined : failed ? 'a run failed' : 'every run passed',
    failed === (t.leak !== null),
  );
};

/** Whether its nicked lip has been seen to: it was closed up again after a run had failed. */
export const isMended = (r: UnitRecord): boolean => {
  const failed = r.runs.find((run) => run.outcome === 'fail');
  return failed !== undefined && r.steps.some((s) => s.station === 'close-up' && s.at > (failed.endedAt ?? Infinity));
};

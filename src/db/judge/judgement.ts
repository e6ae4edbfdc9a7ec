import { eq } from 'drizzle-orm';
import { type JudgeInput, judgeBore } from '@/core/judge/judge';
import type { MarkRecord } from '@/core/judge/mark-record';
import type { BoreOutcome } from '@/core/judge/outcome';
import type { Overrule } from '@/core/judge/overrule';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import type { School } from '@/core/rules/school';
import { withSchool } from '@/core/rules/schools';
import type { Station } from '@/core/station';
import { beforeCutOf } from '@/core/unit/before-cut';
import { boresOf, hasPot, inPot, noPot } from '@/core/unit/bores';
import { currentGauging, currentVerdict, routeOfUnit } from '@/core/unit/facts-of';
import { judgeInputOf } from '@/core/unit/judge-input';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { drop, put } from '../engine/edit';
import { toVerdict } from '../records/judge';
import { rulesInForce } from '../rules/rules';
import { verdicts } from '../tables';
import { signOffEdits } from '../unit/sign-off';
import { makersLimitOf } from './makers-limit';

export type JudgementEntry = {
  readonly verdictId: string;
  /** Which bore of the unit, from 1; the first where nothing is said. */
  readonly pot?: number;
  readonly marks: readonly MarkRecord[];
  readonly school: School | null;
  readonly wallMm: number | null;
};

/** Saves the marks of one bore and the verdict on them, computed here from the record; signs Judge off when nothing is open in any bore. */
export const saveJudgement = (db: Db, change: Change, j: JudgementEntry): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const notNow = whyNotNow('judge', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const pot = j.pot ?? 1;
    if (!hasPot(record.unit, pot)) return refused(noPot(pot));
    const bore = inPot(record, pot);
    if (j.marks.some((m) => record.marks.some((x) => x.id === m.id && x.pot !== pot)))
      return refused('A mark of another pot is among them: load the page anew.');
    const gauging = currentGauging(bore);
    if (gauging === undefined) return refused('The bore has not been gauged as it is now.');
    const rules = await rulesInForce(tx);
    const seen = new Map(bore.marks.map((m) => [m.id, m.seenAt]));
    const marks = j.marks.map((m) =>
      m.seenAt === null || !seen.has(m.id) ? { ...m, seenAt: null } : { ...m, seenAt: seen.get(m.id) ?? null },
    );
    const makersLimit = await makersLimitOf(tx, record, pot);
    const input: JudgeInput | undefined = judgeInputOf(bore, { ...j, marks, makersLimit, beforeCut: beforeCutOf(bore, rules.rules) });
    if (input === undefined) return refused('Not every piston has been measured: record its diameter at Strip.');
    const answer = judgeBore(withSchool(input, rules.schools), rules.rules);
    const verdict = {
      id: j.verdictId,
      unitId: record.unit.id,
      pot,
      gaugingId: gauging.id,
      ruleSetId: rules.id,
      at,
      personId: change.person.id,
      outcome: answer.outcome,
      input,
      answer,
      overrule: null,
    };
    // The verdict is signed off anew; cutting that it asks for is still to be done, cutting that was done stays done.
    const others = otherOutcomes(record, pot);
    const fallen: readonly Station[] = ['judge', ...new Set([answer.outcome, ...others].flatMap(cuttingFor))];
    const kept = new Set(j.marks.map((m) => m.id));
    const edits = [
      put('verdicts', verdict),
      ...marks.map((m) =>
        put('marks', {
          ...m,
          seenAt: m.seenAt ?? at,
          unitId: record.unit.id,
          pot,
          depthUm: m.depthUm ?? null,
          depthUncertaintyUm: m.depthUncertaintyUm ?? null,
          widthUm: m.widthUm ?? null,
        }),
      ),
      ...bore.marks.filter((m) => !kept.has(m.id)).map((m) => drop('marks', m.id)),
      ...fallen.map((s) => drop('steps', `${record.unit.id}-${s}`)),
    ];
    if ([answer.outcome, ...others].some(isOpen)) return ok(edits);
    const judged = {
      ...record,
      verdicts: [...record.verdicts, verdict],
      steps: record.steps.filter((s) => !fallen.includes(s.station)),
    };
    const done = signOffEdits(judged, { ...change, at }, { station: 'judge', note: '', override: null });
    return done.ok ? ok([...edits.filter((e) => !('drop' in e && e.drop === `${record.unit.id}-judge`)), done.value]) : done;
  });

export type OverruleEntry = Pick<Overrule, 'outcome' | 'targetDiaMm' | 'reason'> & { readonly pot?: number };

/** Stations at which a bore's way can still be changed. */
const BEFORE_CLOSING: readonly string[] = ['judge', 'hone', 'sleeve', 'kit'];

/** A lead decides against the current judgement, with a reason. What was computed stays in it; the unit's way follows the lead. */
export const overruleVerdict = (db: Db, change: Change, { pot = 1, ...over }: OverruleEntry): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    if (!hasPot(record.unit, pot)) return refused(noPot(pot));
    const current = currentVerdict(inPot(record, pot));
    if (current === undefined) return refused('There is no judgement of the bore as it is now.');
    if (!BEFORE_CLOSING.includes(record.unit.station)) return refused('It is past that: reopen Judge first.');
    const [row] = await tx.select().from(verdicts).where(eq(verdicts.id, current.id));
    if (row === undefined) return refused('There is no judgement of the bore as it is now.');
    const decided = { ...row, overrule: { ...over, personId: change.person.id, at } };
    const fallen: readonly Station[] = ['judge', 'hone', 'sleeve'];
    const edits = [put('verdicts', decided), ...fallen.map((s) => drop('steps', `${record.unit.id}-${s}`))];
    if ([over.outcome, ...otherOutcomes(record, pot)].some(isOpen)) return ok(edits);
    const judged = {
      ...record,
      verdicts: record.verdicts.map((v) => (v.id === current.id ? toVerdict(decided) : v)),
      steps: record.steps.filter((s) => !fallen.includes(s.station)),
    };
    const done = signOffEdits(judged, { ...change, at }, { station: 'judge', note: '', override: over.reason });
    return done.ok ? ok([...edits.filter((e) => !('drop' in e && e.drop === `${record.unit.id}-judge`)), done.value]) : done;
  });

/** What the other bores of the unit are judged to; null for one that is not judged as it is now. */
const otherOutcomes = (record: UnitRecord, pot: number): readonly (BoreOutcome | null)[] =>
  boresOf(record).flatMap((b) => (b.pot === pot ? [] : [currentVerdict(b.record)?.answer.outcome ?? null]));

/** Does a bore that is judged so hold Judge open? */
const isOpen = (outcome: BoreOutcome | null): boolean => outcome === null || outcome === 'undecided' || outcome === 'scrap';

const cuttingFor = (outcome: BoreOutcome | null): readonly Station[] =>
  outcome === 'hone' || outcome === 'polish' ? ['hone'] : outcome === 'sleeve' ? ['sleeve'] : [];

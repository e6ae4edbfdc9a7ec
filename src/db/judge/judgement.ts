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
import { currentGauging, currentVerdict, routeOfUnit } from '@/core/unit/facts-of';
import { judgeInputOf } from '@/core/unit/judge-input';
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
  readonly marks: readonly MarkRecord[];
  readonly school: School | null;
  readonly wallMm: number | null;
};

/** Saves the marks and the verdict on them, computed here from the record; signs Judge off when nothing is open. */
export const saveJudgement = (db: Db, change: Change, j: JudgementEntry): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const notNow = whyNotNow('judge', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const gauging = currentGauging(record);
    if (gauging === undefined) return refused('The bore has not been gauged as it is now.');
    const rules = await rulesInForce(tx);
    const input: JudgeInput | undefined = judgeInputOf(record, { ...j, makersLimit: await makersLimitOf(tx, record) });
    if (input === undefined) return refused('The piston has not been measured: record its diameter at Strip.');
    const answer = judgeBore(withSchool(input, rules.schools), rules.rules);
    const verdict = {
      id: j.verdictId,
      unitId: record.unit.id,
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
    const fallen: readonly Station[] = ['judge', ...cuttingFor(answer.outcome)];
    const kept = new Set(j.marks.map((m) => m.id));
    const edits = [
      put('verdicts', verdict),
      ...j.marks.map((m) =>
        put('marks', {
          ...m,
          unitId: record.unit.id,
          depthUm: m.depthUm ?? null,
          depthUncertaintyUm: m.depthUncertaintyUm ?? null,
          widthUm: m.widthUm ?? null,
        }),
      ),
      ...record.marks.filter((m) => !kept.has(m.id)).map((m) => drop('marks', m.id)),
      ...fallen.map((s) => drop('steps', `${record.unit.id}-${s}`)),
    ];
    if (answer.outcome === 'undecided' || answer.outcome === 'scrap') return ok(edits);
    const judged = {
      ...record,
      marks: j.marks,
      verdicts: [...record.verdicts, verdict],
      steps: record.steps.filter((s) => !fallen.includes(s.station)),
    };
    const done = signOffEdits(judged, { ...change, at }, { station: 'judge', note: '', override: null });
    return done.ok ? ok([...edits.filter((e) => !('drop' in e && e.drop === `${record.unit.id}-judge`)), done.value]) : done;
  });

export type OverruleEntry = Pick<Overrule, 'outcome' | 'targetDiaMm' | 'reason'>;

/** Stations at which a bore's way can still be changed. */
const BEFORE_CLOSING: readonly string[] = ['judge', 'hone', 'sleeve', 'kit'];

/** A lead decides against the current judgement, with a reason. What was computed stays in it; the unit's way follows the lead. */
export const overruleVerdict = (db: Db, change: Change, over: OverruleEntry): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const current = currentVerdict(record);
    if (current === undefined) return refused('There is no judgement of the bore as it is now.');
    if (!BEFORE_CLOSING.includes(record.unit.station)) return refused('It is past that: reopen Judge first.');
    const [row] = await tx.select().from(verdicts).where(eq(verdicts.id, current.id));
    if (row === undefined) return refused('There is no judgement of the bore as it is now.');
    const decided = { ...row, overrule: { ...over, personId: change.person.id, at } };
    const fallen: readonly Station[] = ['judge', 'hone', 'sleeve'];
    const edits = [put('verdicts', decided), ...fallen.map((s) => drop('steps', `${record.unit.id}-${s}`))];
    if (over.outcome === 'scrap') return ok(edits);
    const judged = {
      ...record,
      verdicts: record.verdicts.map((v) => (v.id === current.id ? toVerdict(decided) : v)),
      steps: record.steps.filter((s) => !fallen.includes(s.station)),
    };
    const done = signOffEdits(judged, { ...change, at }, { station: 'judge', note: '', override: over.reason });
    return done.ok ? ok([...edits.filter((e) => !('drop' in e && e.drop === `${record.unit.id}-judge`)), done.value]) : done;
  });

const cuttingFor = (outcome: BoreOutcome): readonly Station[] =>
  outcome === 'hone' || outcome === 'polish' ? ['hone'] : outcome === 'sleeve' ? ['sleeve'] : [];

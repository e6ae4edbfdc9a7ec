'use client';

import { useCallback, useMemo, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { gaugedOf } from '@/core/bore-map/gauged';
import type { Patch } from '@/core/bore-map/patch';
import type { Geometry } from '@/core/family/geometry';
import { laneOf } from '@/core/family/lane';
import { formOf, type JudgeInput, judgeBore } from '@/core/judge/judge';
import { lookedAt } from '@/core/judge/looked';
import { askedMark, type MarkRecord } from '@/core/judge/mark-record';
import { sayCovers } from '@/core/judge/say-covers';
import type { School } from '@/core/rules/school';
import { withSchool } from '@/core/rules/schools';
import type { beforeCutOf } from '@/core/unit/before-cut';
import { useHistory } from '../field/use-history';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** What is asked besides the record: a school and a wall are saved with the judgement, a clearance of one's own is only for asking. */
export type Asked = { readonly school: School | null; readonly wallMm: number | null; readonly clearanceMm: number | null };

/** The marks as they stand on the page, with the way back, and the verdict that moves with every keystroke. */
export function useJudgement(
  input: JudgeInput,
  savedMarks: readonly MarkRecord[],
  beforeCut: ReturnType<typeof beforeCutOf>,
  geometry: Geometry,
) {
  const units = useUnits();
  const { rules, schools } = useStation();
  const { now: marks, change: setMarks, undo, redo } = useHistory<readonly MarkRecord[]>(savedMarks);
  const [asked, setAsked] = useState<Asked>({ school: null, wallMm: null, clearanceMm: null });
  const [chosen, setChosen] = useState<string>();
  const gauge = useMemo(() => formOf(input, rules), [input, rules]);
  const judged = useMemo(() => {
    const question: JudgeInput = {
      ...input,
      school: asked.school,
      bore: { ...input.bore, wallMm: asked.wallMm },
      marks: marks.map((m) => askedMark(m, beforeCut[m.id])),
    };
    const under = asked.clearanceMm === null ? rules : { ...rules, clearanceMaxMm: asked.clearanceMm };
    return { asked: question, rules: under, answer: judgeBore(withSchool(question, schools), under, gauge, units) };
  }, [input, marks, beforeCut, asked, schools, rules, gauge, units]);
  const { answer } = judged;
  const lanes = useMemo(() => geometry.seals.map((s) => laneOf(s, rules.laneMarginMm)), [geometry, rules]);
  const judgedMarks = useMemo(() => new Map(answer.marks.map((m) => [m.id, m])), [answer]);
  const mapMarks = useMemo(
    () =>
      marks.map((m) => ({
        ...m,
        outcome: judgedMarks.get(m.name)?.outcome ?? null,
        unseen: m.seenAt !== null && beforeCut[m.id] !== undefined,
      })),
    [marks, judgedMarks, beforeCut],
  );
  const gauged = useMemo(
    () => gaugedOf({ stations: gauge?.stations ?? [], lanes, lengthMm: geometry.lengthMm, rules }),
    [gauge, lanes, geometry, rules],
  );
  const covers = useMemo(() => {
    const { material, readings, bodyTempC, gaugeTempC } = input;
    const at = { gauge, lanes, lengthMm: geometry.lengthMm, material, readings: readings ?? [], bodyTempC, gaugeTempC };
    return sayCovers(lookedAt({ ...at, formDoubtMm: answer.formDoubtMm }, rules), units);
  }, [input, gauge, lanes, geometry, answer.formDoubtMm, rules, units]);
  const savedIds = useMemo(() => new Set(savedMarks.map((m) => m.id)), [savedMarks]);
  const change = useCallback(
    (id: string, news: Partial<MarkRecord>): void =>
      // Whoever measures it anew has looked at it.
      setMarks((all) => all.map((m) => (m.id === id ? { ...m, ...('depthUm' in news ? { seenAt: null } : {}), ...news } : m))),
    [setMarks],
  );
  const remove = useCallback((id: string): void => setMarks((all) => all.filter((m) => m.id !== id)), [setMarks]);
  const add = (patch: Patch): void => {
    const numbers = marks.map((m) => Number(m.name.slice(1))).filter(Number.isFinite);
    const mark: MarkRecord = {
      id: uuidv7(),
      name: `m${Math.max(0, ...numbers) + 1}`,
      kind: 'pit',
      cleaned: true,
      note: '',
      seenAt: null,
      ...patch,
    };
    setMarks((all) => [...all, mark]);
    setChosen(mark.id);
  };
  return {
    marks,
    setMarks,
    undo,
    redo,
    asked,
    setAsked,
    chosen,
    setChosen,
    judged,
    lanes,
    judgedMarks,
    mapMarks,
    gauged,
    covers,
    savedIds,
    change,
    remove,
    add,
  };
}
export type Judgement = ReturnType<typeof useJudgement>;

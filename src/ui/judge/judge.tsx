'use client';

import { useRouter } from 'next/navigation';
import { type ReactNode, useCallback, useMemo, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Geometry } from '@/core/family/geometry';
import { laneOf } from '@/core/family/lane';
import { formOf, type JudgeInput, judgeBore } from '@/core/judge/judge';
import type { LayPhoto, SaveJudgement } from '@/core/judge/judge-doors';
import { lookedAt } from '@/core/judge/looked';
import type { MarkRecord } from '@/core/judge/mark-record';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import { sayCovers } from '@/core/judge/say-covers';
import type { Underlay } from '@/core/judge/underlay';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import { SCHOOL_WORDS, SCHOOLS, type School } from '@/core/rules/school';
import { type Schools, withSchool } from '@/core/rules/schools';
import type { GaugedSet } from '@/core/unit/gauged-before';
import type { Photo } from '@/core/unit/photo';
import { gaugedOf } from '../bore-map/gauged';
import type { Patch } from '../bore-map/map-marks';
import { MapWithPhoto } from '../bore-map/map-with-photo';
import { Profile } from '../drawing/profile';
import { LengthField } from '../field/quantity-field';
import { useHistory } from '../field/use-history';
import { ImportMarks } from '../gauge/csv-import';
import { asksForGauging, goOnAddress } from '../gauge/go-on';
import { SendingNote } from '../photo/sending-note';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { StationFrame } from '../unit/station-frame';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { MarksTable } from './marks-table';
import { Rejudged } from './rejudged';
import { VerdictPanel } from './verdict-panel';
import { WouldChange } from './would-change';

/** Marks on the unrolled bore and in a table, and the verdict that moves with every keystroke. Nothing is recorded before it is saved. */
export function Judge({
  target,
  tag,
  input,
  marks: savedMarks,
  photos,
  geometry,
  units,
  rules,
  schools,
  saved,
  underlay,
  earlier,
  now,
  layPhoto,
  save: saveAction,
  open,
  ledger,
}: {
  readonly target: UnitTarget;
  readonly tag: string;
  /** The unit's own part of the question: geometry, readings, piston. Its marks are taken from the table. */
  readonly input: JudgeInput;
  readonly marks: readonly MarkRecord[];
  readonly photos: readonly Photo[];
  readonly geometry: Geometry;
  readonly units: Units;
  readonly rules: Rules;
  readonly schools: Schools;
  /** The judgement on record. */
  readonly saved: Pick<SavedVerdict, 'at' | 'answer'> | undefined;
  readonly underlay: Underlay | null;
  readonly earlier: readonly GaugedSet[];
  readonly now: number;
  readonly layPhoto: SaveAction<LayPhoto>;
  readonly save: SaveAction<SaveJudgement>;
  readonly open: boolean;
  readonly ledger: ReactNode;
}) {
  const router = useRouter();
  const history = useHistory<readonly MarkRecord[]>(savedMarks);
  const { now: marks, change: setMarks } = history;
  const [school, setSchool] = useState<School | null>(null);
  const [whatIfLimit, setWhatIfLimit] = useState<number | null>(null);
  const [trying, setTrying] = useState(false);
  const [wallMm, setWallMm] = useState<number | null>(null);
  const [chosen, setChosen] = useState<string>();
  const { save, saving, acceptTheirs } = useSave(saveAction, target);
  const { send, sending } = usePhotos(target.unitId, 'out');
  const gauge = useMemo(() => formOf(input, rules), [input, rules]);
  const judged = useMemo(() => {
    const asked: JudgeInput = {
      ...input,
      school,
      bore: { ...input.bore, wallMm },
      marks: marks.map(({ name, note: _, id: __, ...m }) => ({ ...m, id: name })),
    };
    const under = whatIfLimit === null ? rules : { ...rules, clearanceMaxMm: whatIfLimit };
    return { asked, rules: under, answer: judgeBore(withSchool(asked, schools), under, gauge) };
  }, [input, marks, school, schools, wallMm, whatIfLimit, rules, gauge]);
  const { answer } = judged;
  const lanes = useMemo(() => geometry.seals.map((s) => laneOf(s, rules.laneMarginMm)), [geometry, rules]);
  const judgedMarks = useMemo(() => new Map(answer.marks.map((m) => [m.id, m])), [answer]);
  const mapMarks = useMemo(() => marks.map((m) => ({ ...m, outcome: judgedMarks.get(m.name)?.outcome ?? null })), [marks, judgedMarks]);
  const gauged = useMemo(
    () => gaugedOf({ stations: gauge?.stations ?? [], lanes, lengthMm: geometry.lengthMm, rules }),
    [gauge, lanes, geometry, rules],
  );
  const covers = useMemo(() => {
    const { material, readings, bodyTempC, gaugeTempC } = input;
    const at = { gauge, lanes, lengthMm: geometry.lengthMm, material, readings: readings ?? [], bodyTempC, gaugeTempC };
    return sayCovers(lookedAt({ ...at, formDoubtMm: answer.formDoubtMm }, rules));
  }, [input, gauge, lanes, geometry, answer.formDoubtMm, rules]);
  const savedIds = useMemo(() => new Set(savedMarks.map((m) => m.id)), [savedMarks]);
  const change = useCallback(
    (id: string, news: Partial<MarkRecord>): void => setMarks((all) => all.map((m) => (m.id === id ? { ...m, ...news } : m))),
    [setMarks],
  );
  const remove = useCallback((id: string): void => setMarks((all) => all.filter((m) => m.id !== id)), [setMarks]);
  const hang = useCallback(
    (files: readonly File[], id: string, name: string): void => void send(files, { kind: 'mark', id }, name),
    [send],
  );
  const add = (patch: Patch): void => {
    const numbers = marks.map((m) => Number(m.name.slice(1))).filter(Number.isFinite);
    const mark: MarkRecord = { id: uuidv7(), name: `m${Math.max(0, ...numbers) + 1}`, kind: 'pit', cleaned: true, note: '', ...patch };
    setMarks((all) => [...all, mark]);
    setChosen(mark.id);
  };
  const askedWhatIf = whatIfLimit !== null;
  const keep = () => save({ verdictId: uuidv7(), marks, school, wallMm });
  const gaugeOn = async (): Promise<void> => {
    if ((await keep()).ok) router.push(goOnAddress(tag, answer.toDo));
  };

  return (
    <StationFrame
      title={`BORE, UNROLLED · ${marks.length} ${marks.length === 1 ? 'mark' : 'marks'} · ${input.readings?.length ?? 0} readings`}
      note={open ? 'drag on the map to mark a place' : undefined}
      ledger={ledger}
      aside={
        <section className="mb-4" aria-live="polite">
          <h2 className="head mb-2">{askedWhatIf ? 'WHAT IF · NOT FOR THE RECORD' : 'JUDGEMENT'}</h2>
          <VerdictPanel answer={answer} pistonDiaMm={input.pistonDiaMm} makersLimit={input.makersLimit} covers={covers} units={units} />
          {saved !== undefined && !askedWhatIf && <Rejudged saved={saved} answer={answer} units={units} now={now} />}
          <WouldChange judged={judged} chosen={marks.find((m) => m.id === chosen)?.name} units={units} />
          {open && (
            <div className="mt-4 grid gap-2">
              <div className="flex flex-wrap gap-2">
                <button type="button" className="btn" disabled={askedWhatIf || saving.kind === 'saving'} onClick={() => void keep()}>
                  {saving.kind === 'saving' ? 'Saving' : 'Save judgement'}
                </button>
                {answer.outcome === 'undecided' && asksForGauging(answer.toDo) && !askedWhatIf && (
                  <button type="button" className="btn" disabled={saving.kind === 'saving'} onClick={() => void gaugeOn()}>
                    Save, and gauge there
                  </button>
                )}
                <button
                  type="button"
                  className="btn-quiet"
                  aria-expanded={trying}
                  onClick={() => {
                    setTrying(!trying);
                    setWhatIfLimit(null);
                  }}
                >
                  What if …
                </button>
              </div>
              {trying && (
                <div className="grid grid-cols-2 gap-2 border border-hair p-2">
                  <label className="block text-[13px] text-ink2">
                    School
                    <select
                      className="field text-ink"
                      value={school ?? ''}
                      onChange={(e) => setSchool(e.target.value === '' ? null : (e.target.value as School))}
                    >
                      <option value="">as the shop does it</option>
                      {SCHOOLS.map((s) => (
                        <option key={s} value={s}>
                          {SCHOOL_WORDS[s]}
                        </option>
                      ))}
                    </select>
                  </label>
                  <LengthField label="Thinnest wall" value={wallMm} units={units} onSay={setWallMm} />
                  <LengthField label="Most clearance" fine value={whatIfLimit} units={units} onSay={setWhatIfLimit} />
                  <p className="self-end text-[13px] text-ink2">
                    {askedWhatIf
                      ? 'A limit of your own is only for asking: clear it to save.'
                      : 'School and wall are saved with the judgement; a limit of your own is only for asking.'}
                  </p>
                </div>
              )}
              <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
            </div>
          )}
        </section>
      }
    >
      <MapWithPhoto
        target={target}
        tag={tag}
        geometry={geometry}
        lanes={lanes}
        marks={mapMarks}
        gauged={gauged}
        units={units}
        chosen={chosen}
        onChoose={setChosen}
        onDraw={open ? add : undefined}
        onMove={open ? change : undefined}
        onRemove={open ? remove : undefined}
        photos={photos}
        underlay={underlay}
        layPhoto={layPhoto}
        sheet={saved && `/api/v1/units/${tag}/verdict.pdf`}
        open={open}
      />
      <MarksTable
        marks={marks}
        judged={judgedMarks}
        savedIds={savedIds}
        photos={photos}
        chosen={chosen}
        units={units}
        rules={rules}
        open={open}
        onChoose={setChosen}
        onChange={change}
        onRemove={remove}
        onPhoto={hang}
      />
      <SendingNote sending={sending} />
      {open && (
        <div className="mt-2 flex flex-wrap gap-2">
          <button
            type="button"
            className="btn-quiet"
            onClick={() =>
              add({ x0Mm: Math.round(geometry.lengthMm / 2), x1Mm: Math.round(geometry.lengthMm / 2) + 1, clock0Deg: 178, clock1Deg: 182 })
            }
          >
            Add a mark
          </button>
          <button type="button" className="btn-quiet" disabled={history.undo === undefined} onClick={history.undo}>
            Undo
          </button>
          <button type="button" className="btn-quiet" disabled={history.redo === undefined} onClick={history.redo}>
            Redo
          </button>
        </div>
      )}
      {open && (
        <ImportMarks
          tag={tag}
          onTake={(rows) =>
            setMarks((all) => [
              ...all.filter((m) => !rows.some((r) => r.id === m.name)),
              ...rows.map((r) => ({ ...r, id: uuidv7(), name: r.id })),
            ])
          }
        />
      )}
      {answer.gauge !== null && (
        <Profile
          form={answer.gauge}
          lengthMm={geometry.lengthMm}
          nominalMm={geometry.nominalMm}
          limitMm={answer.limitDiaMm}
          targetMm={answer.targetDiaMm}
          earlier={earlier}
          units={units}
        />
      )}
    </StationFrame>
  );
}

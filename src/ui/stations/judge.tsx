'use client';

import { type ReactNode, useMemo, useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { formOf, type JudgeInput, judgeBore } from '@/core/bore/judge';
import { MARK_KINDS, MARK_WORDS, type MarkKind } from '@/core/bore/mark';
import { SCHOOLS, type School } from '@/core/bore/mark-verdict';
import type { Geometry } from '@/core/family/geometry';
import { sayDia, sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { Rules } from '@/core/rules/rule-set';
import type { MarkRecord, Photo } from '@/core/unit/unit-record';
import { BoreMap, type Patch } from '../drawing/bore-map';
import { Profile } from '../drawing/profile';
import { OUTCOME_WORDS, VerdictSign } from '../drawing/verdict-sign';
import { AngleField, DepthField, LengthField } from '../field/quantity-field';
import { useHistory } from '../field/use-history';
import { CameraButton } from '../photo/camera-button';
import { SendingNote } from '../photo/sending-note';
import { Thumbs } from '../photo/thumbs';
import { usePhotos } from '../photo/use-photos';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { Scroll } from '../unit/scroll';
import { StationFrame } from '../unit/station-frame';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { ImportMarks } from './csv-import';
import { VerdictPanel } from './verdict-panel';
import { WouldChange } from './would-change';

const SCHOOL_WORDS: { readonly [S in School]: string } = {
  'hone-to-limit': 'hone to the limit',
  'keep-the-skin': 'keep the skin',
  'sleeve-first': 'sleeve first',
};

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
  readonly save: SaveAction;
  readonly open: boolean;
  readonly ledger: ReactNode;
}) {
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
    return { asked, rules: under, answer: judgeBore(asked, under, gauge) };
  }, [input, marks, school, wallMm, whatIfLimit, rules, gauge]);
  const { answer } = judged;
  const outcomeOf = (name: string) => answer.marks.find((m) => m.id === name);
  const change = (id: string, news: Partial<MarkRecord>): void => setMarks(marks.map((m) => (m.id === id ? { ...m, ...news } : m)));
  const add = (patch: Patch): void => {
    const numbers = marks.map((m) => Number(m.name.slice(1))).filter(Number.isFinite);
    const mark: MarkRecord = { id: uuidv7(), name: `m${Math.max(0, ...numbers) + 1}`, kind: 'pit', cleaned: true, note: '', ...patch };
    setMarks([...marks, mark]);
    setChosen(mark.id);
  };
  const askedWhatIf = whatIfLimit !== null;

  return (
    <StationFrame
      title={`BORE, UNROLLED · ${marks.length} ${marks.length === 1 ? 'mark' : 'marks'} · ${input.readings?.length ?? 0} readings`}
      note={open ? 'drag on the map to mark a place' : undefined}
      ledger={ledger}
      aside={
        <section className="mb-4" aria-live="polite">
          <h2 className="head mb-2">{askedWhatIf ? 'WHAT IF · NOT FOR THE RECORD' : 'JUDGEMENT'}</h2>
          <VerdictPanel answer={answer} pistonDiaMm={input.pistonDiaMm} units={units} />
          <WouldChange judged={judged} chosen={marks.find((m) => m.id === chosen)?.name} units={units} />
          {open && (
            <div className="mt-4 grid gap-2">
              <div className="flex flex-wrap gap-2">
                <button
                  type="button"
                  className="btn"
                  disabled={askedWhatIf || saving.kind === 'saving'}
                  onClick={() => void save({ verdictId: uuidv7(), marks, school, wallMm })}
                >
                  {saving.kind === 'saving' ? 'Saving' : 'Save judgement'}
                </button>
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
      <BoreMap
        geometry={geometry}
        lanes={answer.lanes}
        marks={marks.map((m) => ({ ...m, outcome: outcomeOf(m.name)?.outcome ?? null }))}
        stationsMm={answer.gauge?.stations.map((s) => s.xMm) ?? []}
        units={units}
        chosen={chosen}
        onChoose={setChosen}
        onDraw={open ? add : undefined}
      />
      <Scroll label="Marks" className="mt-2">
        <table className="w-full border-collapse">
          <thead>
            <tr>
              {[
                'Mark',
                'Kind',
                `From, ${units.length}`,
                'To',
                'Clock',
                'to',
                'Deep, µm',
                '±',
                'Clean',
                'Needs ⌀',
                'Judged',
                'Photo',
                '',
              ].map((h) => (
                <th key={h} scope="col" className="th">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {marks.map((m) => {
              const judged = outcomeOf(m.name);
              return (
                <tr key={m.id} className={m.id === chosen ? 'bg-tint2' : ''} onFocus={() => setChosen(m.id)}>
                  <th scope="row" className="cell font-bold">
                    {m.name}
                  </th>
                  <td className="cell">
                    <select
                      className="field w-28"
                      aria-label={`Kind of ${m.name}`}
                      disabled={!open}
                      value={m.kind}
                      onChange={(e) => change(m.id, { kind: e.target.value as MarkKind })}
                    >
                      {MARK_KINDS.map((k) => (
                        <option key={k} value={k}>
                          {MARK_WORDS[k]}
                        </option>
                      ))}
                    </select>
                  </td>
                  {(['x0Mm', 'x1Mm'] as const).map((end) => (
                    <td key={end} className="cell">
                      <LengthField
                        label={`${m.name} ${end === 'x0Mm' ? 'from' : 'to'}`}
                        hideLabel
                        className="w-16"
                        value={m[end]}
                        disabled={!open}
                        units={units}
                        onSay={(mm) =>
                          mm !== null &&
                          change(m.id, end === 'x0Mm' ? { x0Mm: mm, x1Mm: Math.max(mm, m.x1Mm) } : { x1Mm: mm, x0Mm: Math.min(mm, m.x0Mm) })
                        }
                      />
                    </td>
                  ))}
                  {(['clock0Deg', 'clock1Deg'] as const).map((end) => (
                    <td key={end} className="cell">
                      <AngleField
                        label={`${m.name} clock ${end === 'clock0Deg' ? 'from' : 'to'}`}
                        hideLabel
                        className="w-14"
                        value={m[end]}
                        disabled={!open}
                        say="typing"
                        onSay={(deg) => change(m.id, { [end]: deg ?? 0 })}
                      />
                    </td>
                  ))}
                  <td className="cell">
                    <DepthField
                      label={`${m.name} depth`}
                      hideLabel
                      className="w-14"
                      value={m.depthUm ?? null}
                      disabled={!open}
                      say="typing"
                      onSay={(depthUm) => change(m.id, { depthUm })}
                    />
                  </td>
                  <td className="cell">
                    <DepthField
                      label={`${m.name} depth uncertainty`}
                      hideLabel
                      className="w-14"
                      value={m.depthUncertaintyUm ?? null}
                      disabled={!open}
                      say="typing"
                      onSay={(depthUncertaintyUm) => change(m.id, { depthUncertaintyUm })}
                    />
                  </td>
                  <td className="cell text-center">
                    <input
                      type="checkbox"
                      className="size-5 accent-act"
                      aria-label={`${m.name} cleaned`}
                      disabled={!open}
                      checked={m.cleaned}
                      onChange={(e) => change(m.id, { cleaned: e.target.checked })}
                    />
                  </td>
                  <td className="cell">{judged?.needsDiaMm == null ? '–' : sayDia(judged.needsDiaMm, units)}</td>
                  <td className="cell min-w-36">
                    <span className="flex items-center gap-1.5 whitespace-nowrap">
                      <VerdictSign outcome={judged?.outcome ?? null} />
                      {judged === undefined ? '' : OUTCOME_WORDS[judged.outcome].toLowerCase()}
                    </span>
                    {judged !== undefined && (
                      <span className="block text-[12px] text-ink2">
                        {judged.zone === 'clear' ? `${sayLength(judged.distanceMm, units)} ${units.length} off ` : `${judged.zone}, `}
                        {judged.nearestSealId.replaceAll('-', ' ')}
                      </span>
                    )}
                  </td>
                  <td className="cell">
                    <span className="flex w-11 flex-wrap gap-1">
                      <Thumbs photos={photos.filter((p) => p.onKind === 'mark' && p.onId === m.id)} among={photos} />
                      {savedMarks.some((s) => s.id === m.id) && (
                        <CameraButton
                          label={`Photo of ${m.name}`}
                          onPick={(files) => void send(files, { kind: 'mark', id: m.id }, m.name)}
                        />
                      )}
                    </span>
                  </td>
                  <td className="cell">
                    {open && (
                      <button
                        type="button"
                        className="min-h-[44px] px-1 text-act"
                        aria-label={`Remove ${m.name}`}
                        onClick={() => setMarks(marks.filter((x) => x.id !== m.id))}
                      >
                        remove
                      </button>
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroll>
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
            setMarks([...marks.filter((m) => !rows.some((r) => r.id === m.name)), ...rows.map((r) => ({ ...r, id: uuidv7(), name: r.id }))])
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
          units={units}
        />
      )}
    </StationFrame>
  );
}

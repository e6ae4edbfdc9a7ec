'use client';
import { type ComponentProps, type ReactNode, useCallback } from 'react';
import { uuidv7 } from 'uuidv7';
import type { Underlay } from '@/core/bore-map/underlay';
import type { Geometry } from '@/core/family/geometry';
import { potAsked } from '@/core/family/pots';
import type { JudgeInput } from '@/core/judge/judge';
import type { MarkRecord } from '@/core/judge/mark-record';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import type { beforeCutOf } from '@/core/unit/before-cut';
import type { GaugedSet } from '@/core/unit/gauged-before';
import type { Photo } from '@/core/unit/photo';
import { MapWithPhoto } from '../bore-map/map-with-photo';
import { ImportMarks } from '../gauge/csv-import';
import { SendingNote } from '../photo/sending-note';
import { usePhotos } from '../photo/use-photos';
import { late } from '../shell/late';
import { useStation } from '../unit/station-context';
import { StationFrame } from '../unit/station-frame';
import { JudgementPanel } from './judgement-panel';
import type { MarksTable as Table } from './marks-table';
import { useJudgement } from './use-judgement';

const MarksTable = late<ComponentProps<typeof Table>>(async () => (await import('./marks-table')).MarksTable);
const ProfileChart = late(async () => (await import('../chart/profile-chart')).ProfileChart);

/** Marks on the unrolled bore and in a table, and the verdict that moves with every keystroke. Nothing is recorded before it is saved. */
export function Judge({
  input,
  marks: savedMarks,
  beforeCut,
  photos,
  geometry,
  saved,
  underlay,
  earlier,
  ledger,
}: {
  /** The unit's own part of the question: geometry, readings, piston. Its marks are taken from the table. */
  readonly input: JudgeInput;
  readonly marks: readonly MarkRecord[];
  /** Those that nobody has looked at since a cut. */
  readonly beforeCut: ReturnType<typeof beforeCutOf>;
  readonly photos: readonly Photo[];
  readonly geometry: Geometry;
  /** The judgement on record. */
  readonly saved: Pick<SavedVerdict, 'at' | 'answer'> | undefined;
  readonly underlay: Underlay | null;
  readonly earlier: readonly GaugedSet[];
  readonly ledger: ReactNode;
}) {
  const { target, tag, open, pot } = useStation();
  const judgement = useJudgement(input, savedMarks, beforeCut, geometry);
  const { marks, setMarks, undo, redo, add, change, remove, chosen, setChosen } = judgement;
  const { answer } = judgement.judged;
  const { send, sending } = usePhotos(target.unitId, 'out');
  const hang = useCallback(
    (files: readonly File[], id: string, name: string): void => void send(files, { kind: 'mark', id }, name),
    [send],
  );
  return (
    <StationFrame
      title={`BORE, UNROLLED · ${marks.length} ${marks.length === 1 ? 'mark' : 'marks'} · ${input.readings?.length ?? 0} readings`}
      note={open ? 'drag on the map to mark a place' : undefined}
      ledger={ledger}
      aside={<JudgementPanel judgement={judgement} input={input} saved={saved} />}
    >
      <MapWithPhoto
        geometry={geometry}
        lanes={judgement.lanes}
        marks={judgement.mapMarks}
        gauged={judgement.gauged}
        chosen={chosen}
        onChoose={setChosen}
        onDraw={open ? add : undefined}
        onMove={open ? change : undefined}
        onRemove={open ? remove : undefined}
        photos={photos}
        underlay={underlay}
        sheet={saved && `/api/v1/units/${tag}/verdict.pdf${potAsked(pot)}`}
      />
      {marks.length > 0 && (
        <MarksTable
          beforeCut={beforeCut}
          marks={marks}
          judged={judgement.judgedMarks}
          savedIds={judgement.savedIds}
          photos={photos}
          chosen={chosen}
          onChoose={setChosen}
          onChange={change}
          onRemove={remove}
          onPhoto={hang}
        />
      )}
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
          <button type="button" className="btn-quiet" disabled={undo === undefined} onClick={undo}>
            Undo
          </button>
          <button type="button" className="btn-quiet" disabled={redo === undefined} onClick={redo}>
            Redo
          </button>
        </div>
      )}
      {open && (
        <ImportMarks
          onTake={(rows) =>
            setMarks((all) => [
              ...all.filter((m) => !rows.some((r) => r.id === m.name)),
              ...rows.map((r) => ({ ...r, id: uuidv7(), name: r.id, seenAt: null })),
            ])
          }
        />
      )}
      {answer.gauge !== null && (
        <ProfileChart
          form={answer.gauge}
          lengthMm={geometry.lengthMm}
          nominalMm={geometry.nominalMm}
          limitMm={answer.limitDiaMm}
          targetMm={answer.targetDiaMm}
          earlier={earlier}
        />
      )}
    </StationFrame>
  );
}

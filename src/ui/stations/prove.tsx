'use client';

import { type ReactNode, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { uuidv7 } from 'uuidv7';
import type { LiveRun } from '@/core/prove/live-run';
import type { RigSample, RunAnalysis } from '@/core/prove/run-analysis';
import { pressureIn } from '@/core/quantity/say';
import { saySpan, sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { Run } from '@/core/unit/unit-record';
import { Residuals, Trace } from '../drawing/trace';
import { PressureField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { StationFrame } from '../unit/station-frame';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';
import { useLiveRun } from './use-live-run';

export type StoredRun = {
  readonly id: string;
  readonly startedAt: number;
  readonly state: string;
  readonly because: string;
  readonly holdS: number;
  readonly samples: readonly RigSample[];
  readonly analysis: RunAnalysis | null;
};

const STATE_WORDS: { readonly [S in LiveRun['state']]: string } = {
  filling: 'filling',
  holding: 'holding',
  asking: 'held, and undecided',
  'letting-down': 'letting the pressure down',
  finished: 'finished',
  aborted: 'let down early',
  broken: 'broken off',
};
const over = (state: string): boolean => state === 'finished' || state === 'aborted' || state === 'broken';

/** One hold on the rig: shield, pressure, live trace, and what it says. */
export function Prove({
  target,
  units,
  runs,
  last,
  earlier,
  actions,
  open,
  ledger,
  children,
}: {
  readonly target: UnitTarget;
  readonly units: Units;
  readonly runs: readonly Run[];
  /** The newest stored run, with its trace. */
  readonly last: StoredRun | undefined;
  /** Traces of whole holds before the newest. */
  readonly earlier: readonly (readonly RigSample[])[];
  readonly actions: {
    readonly start: SaveAction;
    readonly abort: (input: unknown) => Promise<unknown>;
    readonly holdLonger: (input: unknown) => Promise<unknown>;
  };
  readonly open: boolean;
  readonly ledger: ReactNode;
  readonly children: ReactNode;
}) {
  const live = useLiveRun();
  const { save, saving, acceptTheirs } = useSave(actions.start, target);
  const [shield, setShield] = useState(false);
  const [targetBar, setTargetBar] = useState(80);
  const [holdS, setHoldS] = useState(120);
  const mine = live?.unitId === target.unitId ? live : undefined;
  const running = mine !== undefined && !over(mine.state);
  const letDown = (): void => void actions.abort({});
  useHotkeys('escape', letDown, { enabled: running, enableOnFormTags: true });
  const stored = last === undefined || last.samples.length === 0 ? undefined : last;
  const shown = mine !== undefined && (running || stored?.id !== mine.runId) ? mine : stored;
  const analysis = shown?.analysis ?? null;
  const pressure = running ? mine.samples.at(-1)?.p : undefined;
  const held = mine?.samples.filter((s) => s.phase === 'hold') ?? [];
  const heldS = held.length === 0 ? 0 : (held.at(-1)?.t ?? 0) - (held[0]?.t ?? 0);

  return (
    <StationFrame
      title="HOLD ON THE RIG"
      note={mine !== undefined && mine.rig !== '' ? `${mine.rig}${mine.speed === 1 ? '' : `, ${mine.speed}× time`}` : undefined}
      ledger={ledger}
      aside={
        <section className="mb-4" aria-live="polite">
          <h2 className="head mb-2">{running ? 'WHAT THE TRACE SAYS SO FAR' : 'WHAT THE TRACE SAYS'}</h2>
          {analysis === null ? (
            <p className="text-ink2">
              {running
                ? 'Ten seconds of hold say the first word.'
                : shown === undefined
                  ? 'The unit has not been held yet.'
                  : 'Too short to say anything.'}
            </p>
          ) : (
            <Says analysis={analysis} />
          )}
          {shown !== undefined && shown.because !== '' && (
            <p className="mt-2 border-l-4 border-red pl-3 text-red">This run does not count: {shown.because}.</p>
          )}
          <div className="mt-3">{children}</div>
        </section>
      }
    >
      {running ? (
        <div className="mb-3 flex flex-wrap items-center gap-6">
          <p className="text-[56px] leading-none font-bold" role="timer" aria-label="Pressure">
            {pressure === undefined ? '–' : pressureIn(pressure, units).toFixed(units.pressure === 'bar' ? 2 : 0)}{' '}
            <span className="text-2xl">{units.pressure}</span>
          </p>
          <p className="text-ink2">
            {STATE_WORDS[mine.state]}
            {mine.state === 'holding' && (
              <>
                , <b className="text-ink">{Math.floor(heldS)} s</b> of {mine.holdS}
              </>
            )}
          </p>
          {mine.state === 'asking' && (
            <button type="button" className="btn min-h-14" onClick={() => void actions.holdLonger({})}>
              Hold {Math.ceil(analysis?.needMoreS ?? mine.holdS)} s longer
            </button>
          )}
          <button type="button" className="btn-stop ml-auto min-h-14" onClick={letDown}>
            Let the pressure down <span className="font-normal">Esc</span>
          </button>
        </div>
      ) : (
        open && (
          <form
            className="mb-3 flex flex-wrap items-end gap-3 border border-line bg-sheet p-3"
            onSubmit={(e) => {
              e.preventDefault();
              void save({ targetBar, holdS, shield }, uuidv7());
            }}
          >
            <PressureField
              label={`Pressure, ${units.pressure}`}
              className="w-28"
              units={units}
              value={targetBar}
              onSay={(bar) => bar !== null && setTargetBar(bar)}
            />
            <label className="label mb-0">
              Hold, s
              <input
                type="number"
                className="field mt-1 block w-24 text-ink"
                min={15}
                max={1800}
                value={holdS}
                onChange={(e) => setHoldS(Number(e.target.value))}
              />
            </label>
            <label className="flex min-h-[44px] items-center gap-2">
              <input type="checkbox" className="size-5 accent-act" checked={shield} onChange={(e) => setShield(e.target.checked)} />
              The shield is shut
            </label>
            <button
              type="submit"
              className="btn"
              disabled={!shield || saving.kind === 'saving' || (live !== undefined && !over(live.state))}
            >
              Pressurise and hold
            </button>
            {live !== undefined && !over(live.state) && <p className="text-amber">The rig is busy with {live.tag}.</p>}
          </form>
        )
      )}
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
      {shown === undefined ? (
        <p className="border border-dashed border-line p-8 text-center text-ink2">
          The trace of the hold is drawn here. Two minutes are usual for brake parts: slow creep of rubber looks like a leak in one.
        </p>
      ) : (
        <>
          <Trace samples={shown.samples} analysis={analysis} holdS={shown.holdS} earlier={shown === stored ? earlier : []} units={units} />
          {analysis !== null && <Residuals samples={shown.samples} analysis={analysis} holdS={shown.holdS} />}
        </>
      )}
      {runs.length > 0 && (
        <ol className="mt-3 text-[13px]">
          {runs.map((r) => (
            <li key={r.id} className="border-b border-hair py-1">
              {sayWhen(r.startedAt, Date.now())}: {pressureIn(r.targetBar, units).toFixed(0)} {units.pressure}, {r.state}
              {r.outcome === null ? '' : `, ${r.outcome === 'hold-longer' ? 'hold longer' : r.outcome}`}
              {r.endedAt === null ? '' : ` after ${saySpan(r.endedAt - r.startedAt)}`}
              <span className="text-ink2">{r.because === '' ? '' : ` (${r.because})`}</span>
            </li>
          ))}
        </ol>
      )}
    </StationFrame>
  );
}

const HEADLINES: { readonly [O in RunAnalysis['outcome']]: string } = {
  pass: 'It holds',
  fail: 'It leaks',
  'hold-longer': 'Hold it longer',
};

function Says({ analysis: a }: { readonly analysis: RunAnalysis }) {
  const most = Math.max(a.limitMlPerMin * 1.6, a.leakCi[1] * 1.15);
  const x = (v: number): number => Math.min(340, Math.max(0, (v / most) * 340));
  return (
    <div>
      <p className="text-[24px] leading-tight font-bold" data-testid="hold-verdict">
        {HEADLINES[a.outcome]}, {a.leakMlPerMin.toFixed(3)} ml/min
      </p>
      <p className="text-ink2">
        between {a.leakCi[0].toFixed(3)} and {a.leakCi[1].toFixed(3)}; limit {a.limitMlPerMin.toFixed(3)}
      </p>
      <svg viewBox="0 0 340 44" className="my-1 h-auto w-full" role="img" aria-label="The leak with its interval, and the limit">
        <path d="M0 16H340" stroke="var(--ink2)" />
        <rect x={x(a.leakCi[0])} y="8" width={Math.max(2, x(a.leakCi[1]) - x(a.leakCi[0]))} height="16" fill="var(--tint)" />
        <path d={`M${x(a.leakMlPerMin)} 4V28`} stroke="var(--act)" strokeWidth="3" />
        <path d={`M${x(a.limitMlPerMin)} 2V30`} stroke="var(--red)" strokeWidth="2" />
        <text x={x(a.limitMlPerMin)} y="42" textAnchor="middle" fontSize="12" fill="var(--red)">
          limit
        </text>
      </svg>
      <p>{a.sentence}</p>
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-0.5">
        <dt>compliance of unit and hose</dt>
        <dd className="text-right">{a.complianceMlPerBar.toFixed(4)} ml/bar</dd>
        <dt>trapped air</dt>
        <dd className={`text-right ${a.airOutcome === 'ok' ? '' : 'text-amber'}`}>
          {a.airMl.toFixed(2)} ml
          {a.airOutcome === 'bleed-again' ? ', bleed again' : a.airOutcome === 'repeat' ? ', fill again to be sure' : ''}
        </dd>
        <dt>noise</dt>
        <dd className="text-right">{a.rmsBar.toFixed(3)} bar</dd>
        <dt>settled</dt>
        <dd className="text-right">{a.fit.tauS === null ? 'nothing' : `${a.fit.aBar.toFixed(2)} bar in ${a.fit.tauS.toFixed(0)} s`}</dd>
      </dl>
    </div>
  );
}

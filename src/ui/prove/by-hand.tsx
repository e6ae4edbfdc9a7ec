'use client';

import { useEffect, useState } from 'react';
import { storeRunAction } from '@/app/actions/prove';
import { goneReadings, goneTimes, type HeldReading, holdReadings, readingTimes, readOn } from '@/core/prove/by-hand';
import type { RunStep } from '@/core/prove/programme/step';
import { sayPressure } from '@/core/quantity/say';
import { NumberField, PressureField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { chime, MuteButton, useMuted } from '../shell/sound';
import { useUnits } from '../shell/units-context';
import { useNow } from '../shell/use-now';
import { emptyFill, FillTable, wholeFill } from './fill-table';
import { ShieldBox } from './rig-start';

/** A step without the rig: a hand pump and a dial gauge. The screen keeps time and asks for a reading when one is due; the same analysis, and as wide as the gauge was read. */
export function ByHand({
  step,
  moreS,
}: {
  readonly step: RunStep;
  /** How much longer the hold that was judged last has to go on, s. */
  readonly moreS: number | null;
}) {
  const units = useUnits();
  const { save, saving, decide } = useSave(storeRunAction, 'adds');
  const [shield, setShield] = useState(false);
  const [divisionBar, setDivision] = useState<number | null>(1);
  const [mlStep, setMlStep] = useState<number | null>(0.1);
  const [fill, setFill] = useState(() => emptyFill(step.targetBar));
  const [fromBar, setFrom] = useState<number | null>(null);
  const [startedAt, setStarted] = useState<number>();
  const [held, setHeld] = useState<readonly HeldReading[]>([]);
  const [extraS, setExtra] = useState(0);
  /** How many readings were judged. */
  const [judged, setJudged] = useState(0);
  const holds = step.kind === 'hold' || step.kind === 'cycles';
  const times = holds ? readOn(readingTimes(step.holdS), extraS) : goneTimes(step);
  const whole = wholeFill(fill);
  const ready = shield && divisionBar !== null && (holds ? whole !== undefined && mlStep !== null : fromBar !== null);
  const done = held.length === times.length;
  const isJudged = done && judged === held.length;
  const judge = (): void => {
    const samples = holds ? holdReadings(step, whole ?? [], held) : goneReadings(fromBar ?? 0, held);
    // A dial is read to half of its division.
    const readTo = { bar: (divisionBar ?? 1) / 2, ml: holds ? (mlStep ?? 0) : 0 };
    void save({ stepId: step.id, shield, way: 'by-hand', samples, readTo }).then((r) => r.ok && setJudged(held.length));
  };
  const read = (bar: number, atS: number): void => {
    // How soon the pressure is gone is not lengthened by the time that typing takes.
    const tS = holds ? Math.max(atS, (held.at(-1)?.tS ?? -1) + 0.1, 0) : (times[held.length] ?? atS);
    setHeld([...held, { tS, bar }]);
  };
  const again = (): void => {
    setStarted(undefined);
    setHeld([]);
    setExtra(0);
    setJudged(0);
  };
  return (
    <div className="grid gap-3">
      {startedAt === undefined ? (
        <>
          <div className="flex flex-wrap items-end gap-3">
            <NumberField label="Gauge, bar a division" className="w-40" value={divisionBar} onSay={setDivision} />
            {holds && <NumberField label="Fluid read to, ml" className="w-36" value={mlStep} onSay={setMlStep} />}
          </div>
          {holds ? (
            <FillTable targetBar={step.targetBar} fill={fill} onSay={setFill} />
          ) : (
            <PressureField
              label={`Pumped to, ${units.pressure}`}
              className="w-36"
              decimals={1}
              say="typing"
              value={fromBar}
              onSay={setFrom}
            />
          )}
          <div className="flex flex-wrap items-center gap-3">
            <ShieldBox shut={shield} onSay={setShield} />
            <button type="button" className="btn" disabled={!ready} onClick={() => setStarted(Date.now())}>
              {holds ? 'Valve shut: start the hold' : 'The rod is let go: start the clock'}
            </button>
            {holds && !ready && <p className="text-[13px] text-ink2">Shut the shield, pump up in four strides and read each.</p>}
          </div>
        </>
      ) : (
        <>
          <Due times={times} held={held} startedAt={startedAt} onRead={read} />
          <div className="flex flex-wrap gap-3">
            {isJudged && moreS !== null ? (
              <button type="button" className="btn" onClick={() => setExtra(extraS + moreS)}>
                Read on for {Math.ceil(moreS)} s more
              </button>
            ) : (
              <button type="button" className="btn" disabled={!done || isJudged || saving.kind === 'saving'} onClick={judge}>
                Judge these readings
              </button>
            )}
            <button type="button" className="btn-quiet" onClick={again}>
              Let it down and start over
            </button>
          </div>
          {done && (
            <p>
              {holds && (!isJudged || moreS !== null)
                ? 'Leave the valve shut: it may have to be held longer.'
                : 'Let the pressure down before anything is opened.'}
            </p>
          )}
        </>
      )}
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}

/** The reading that is due, or how long until it is. */
function Due({
  times,
  held,
  startedAt,
  onRead,
}: {
  readonly times: readonly number[];
  readonly held: readonly HeldReading[];
  readonly startedAt: number;
  /** A pressure, and the s at which its first figure was typed. */
  readonly onRead: (bar: number, atS: number) => void;
}) {
  const units = useUnits();
  const now = useNow();
  const [bar, setBar] = useState<number | null>(null);
  const [typedAt, setTyped] = useState<number>();
  const [muted, toggle] = useMuted();
  const dueS = times[held.length];
  const runS = now === undefined ? 0 : (now - startedAt) / 1000;
  const isDue = dueS !== undefined && runS >= dueS;
  // Eyes are on the dial: a note says when to look.
  useEffect(() => {
    if (isDue && !muted) chime([880]);
  }, [isDue, muted]);
  if (dueS === undefined)
    return (
      <p>
        {times.length} readings over {Math.round((held.at(-1)?.tS ?? 0) - (held[0]?.tS ?? 0))} s.
      </p>
    );
  const inS = Math.ceil(dueS - runS);
  const read = (): void => {
    if (bar === null) return;
    onRead(bar, ((typedAt ?? Date.now()) - startedAt) / 1000);
    setBar(null);
    setTyped(undefined);
  };
  return (
    <form
      className="flex flex-wrap items-end gap-4 border border-line bg-sheet p-3"
      onSubmit={(e) => {
        e.preventDefault();
        read();
      }}
    >
      <p className="text-[30px] leading-none font-bold" role="timer">
        {inS > 0 ? `${inS} s` : 'Read now'}
      </p>
      <PressureField
        key={held.length}
        label={`Reading ${held.length + 1} of ${times.length}, ${units.pressure}`}
        className="w-48"
        decimals={2}
        say="typing"
        autoFocus
        value={bar}
        onSay={(value) => {
          setBar(value);
          setTyped((before) => (value === null ? undefined : (before ?? Date.now())));
        }}
      />
      <button type="submit" className="btn" disabled={bar === null || inS > 0}>
        Read
      </button>
      <MuteButton muted={muted} toggle={toggle} />
      {held.length > 0 && <p className="text-ink2">last: {sayPressure(held.at(-1)?.bar ?? 0, units)}</p>}
    </form>
  );
}

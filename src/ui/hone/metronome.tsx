'use client';

import { useEffect, useRef, useState } from 'react';
import { upTo } from '@/core/quantity/figure';
import { MuteButton, useMuted } from '../shell/sound';

/** Beats the stroke: in on one beat, out on the next. A click and a light; the click can be muted, and the bench keeps that. */
export function Metronome({ strokesPerMin }: { readonly strokesPerMin: number }) {
  const [running, setRunning] = useState(false);
  const [muted, toggle] = useMuted();
  const [beat, setBeat] = useState(0);
  const sound = useRef<AudioContext>(undefined);
  useEffect(() => {
    if (!running) return;
    const timer = setInterval(() => setBeat((b) => b + 1), 30_000 / strokesPerMin);
    return () => clearInterval(timer);
  }, [running, strokesPerMin]);
  useEffect(() => {
    if (running && !muted && beat > 0) click(sound.current, beat % 2 === 1 ? 1320 : 880);
  }, [beat, running, muted]);
  return (
    <div className="flex items-center gap-3">
      <span
        aria-hidden="true"
        className={`size-6 border border-line ${running && beat % 2 === 1 ? 'bg-act' : 'bg-sheet'}`}
        title="Lit: in; dark: out"
      />
      <button
        type="button"
        className="btn-quiet"
        aria-pressed={running}
        onClick={() => {
          sound.current ??= new AudioContext();
          setBeat(0);
          setRunning(!running);
        }}
      >
        {running ? 'Stop the beat' : `Beat ${upTo(strokesPerMin, 0)} a minute`}
      </button>
      <MuteButton muted={muted} toggle={toggle} />
    </div>
  );
}

const click = (context: AudioContext | undefined, hz: number): void => {
  if (context === undefined) return;
  const [tone, volume] = [context.createOscillator(), context.createGain()];
  tone.frequency.value = hz;
  volume.gain.setValueAtTime(0.2, context.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.06);
  tone.connect(volume).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + 0.07);
};

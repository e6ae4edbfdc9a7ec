'use client';

import { useEffect, useState } from 'react';

const MUTED = 'eddrin-beat-muted';

/** Whether this bench is muted, and the other way round; the bench keeps it. */
export const useMuted = (): readonly [boolean, () => void] => {
  const [muted, setMuted] = useState(false);
  useEffect(() => setMuted(localStorage.getItem(MUTED) === 'yes'), []);
  const toggle = (): void => {
    localStorage.setItem(MUTED, muted ? 'no' : 'yes');
    setMuted(!muted);
  };
  return [muted, toggle];
};

export const MuteButton = ({ muted, toggle }: { readonly muted: boolean; readonly toggle: () => void }) => (
  <button type="button" className="min-h-[44px] font-bold text-act" aria-pressed={muted} onClick={toggle}>
    {muted ? 'Sound on' : 'Mute'}
  </button>
);

const [GAP_S, NOTE_S] = [0.35, 0.3];

/** Short notes, one after the other. A page that nobody has touched yet may not sound; what they stand for is seen all the same. */
export const chime = (notesHz: readonly number[]): void => {
  try {
    const audio = new AudioContext();
    const gain = audio.createGain();
    gain.connect(audio.destination);
    gain.gain.setValueAtTime(0.2, audio.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + notesHz.length * 2 * NOTE_S);
    notesHz.forEach((hz, i) => {
      const tone = audio.createOscillator();
      tone.frequency.value = hz;
      tone.connect(gain);
      tone.start(audio.currentTime + i * GAP_S);
      tone.stop(audio.currentTime + i * GAP_S + NOTE_S);
    });
    setTimeout(() => void audio.close(), 1500);
  } catch {
    // No sound device on this bench.
  }
};

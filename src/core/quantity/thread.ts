import { atMost } from '../statistics/compare';

/** A thread of a line, bleed screw or banjo bolt: metric fine, or inch fine with its turns to the inch. */
export type Thread = {
  /** As it is written: `M10x1`, `3/8-24`. */
  readonly name: string;
  readonly system: 'metric' | 'inch';
  readonly diaMm: number;
  readonly pitchMm: number;
};

const metric = (diaMm: number, pitchMm: number): Thread => ({ name: `M${diaMm}x${pitchMm}`, system: 'metric', diaMm, pitchMm });
const inch = (name: string, diaIn: number, perInch: number): Thread => ({
  name: `${name}-${perInch}`,
  system: 'inch',
  diaMm: diaIn * 25.4,
  pitchMm: 25.4 / perInch,
});

/** Threads met on brake and clutch cylinders. @source ISO 261 fine series, ASME B1.1 UNF and UNS */
export const THREADS: readonly Thread[] = [
  metric(6, 1),
  metric(7, 1),
  metric(8, 1),
  metric(8, 1.25),
  metric(9, 1),
  metric(10, 1),
  metric(10, 1.25),
  metric(10, 1.5),
  metric(11, 1),
  metric(12, 1),
  metric(12, 1.25),
  metric(12, 1.5),
  metric(13, 1.5),
  metric(14, 1),
  metric(14, 1.5),
  metric(16, 1.5),
  metric(18, 1.5),
  inch('1/4', 1 / 4, 28),
  inch('5/16', 5 / 16, 24),
  inch('3/8', 3 / 8, 24),
  inch('7/16', 7 / 16, 20),
  inch('7/16', 7 / 16, 24),
  inch('1/2', 1 / 2, 20),
  inch('9/16', 9 / 16, 18),
  inch('5/8', 5 / 8, 18),
];

export type ThreadRead = {
  /** What was measured across: the crests of a screw, or of the thread in a port. */
  readonly of: 'screw' | 'port';
  readonly diaMm: number;
  /** Crest to crest, where it was measured. */
  readonly pitchMm?: number | null | undefined;
};
export type ThreadGuess = { readonly thread: Thread; readonly offDiaMm: number; readonly offPitchMm: number | null };

/** A screw is a little under its nominal size, and rust and wear take more: this much below, mm. */
const UNDER_MM = 0.1;
/** Farthest that a caliper on worn crests is from it, mm; and a pitch taken over ten turns. */
const DIA_WITHIN_MM = 0.25;
const PITCH_WITHIN_MM = 0.04;
/** Height of a thread in a nut, in pitches. @source ISO 68-1: H1 = 5/8 · √3/2 · P on each side */
const NUT_HEIGHT = 1.0825;

/**
 * Threads that a measured screw or port may be, the likeliest first.
 * @returns empty when none comes near
 */
export const threadsLike = ({ of, diaMm, pitchMm }: ThreadRead): readonly ThreadGuess[] =>
  THREADS.map((thread): ThreadGuess => {
    const expected = of === 'screw' ? thread.diaMm - UNDER_MM : thread.diaMm - NUT_HEIGHT * thread.pitchMm + UNDER_MM;
    return { thread, offDiaMm: diaMm - expected, offPitchMm: pitchMm == null ? null : pitchMm - thread.pitchMm };
  })
    .filter((g) => atMost(Math.abs(g.offDiaMm), DIA_WITHIN_MM) && atMost(Math.abs(g.offPitchMm ?? 0), PITCH_WITHIN_MM))
    .sort((a, b) => distance(a) - distance(b));

const distance = (g: ThreadGuess): number => Math.hypot(g.offDiaMm / DIA_WITHIN_MM, (g.offPitchMm ?? 0) / PITCH_WITHIN_MM);

/** What is seen at the bottom of a port, and which end of a line it takes. */
export const SEATS = {
  'cone-out': { see: 'a cone that stands up in the port', takes: 'double (inverted) flare: funnel-shaped, folded back on itself' },
  'cone-in': { see: 'a funnel that goes down into the port', takes: 'bubble flare: rounded like a mushroom, with a flat back' },
  flat: { see: 'a flat face around the port', takes: 'banjo bolt with a sealing washer on each side' },
} as const;
export type Seat = keyof typeof SEATS;
export const SEAT_NAMES = Object.keys(SEATS) as readonly Seat[];

/** `M10 × 1.00`, `m10x1` and `M10x1.0` are one thread. */
export const normalThread = (thread: string): string =>
  thread
    .toLowerCase()
    .replace(/\s+/g, '')
    .replaceAll('×', 'x')
    .replace(/(\d+)\.(\d*?)0*(?!\d)/g, (_, whole: string, digits: string) => (digits === '' ? whole : `${whole}.${digits}`));

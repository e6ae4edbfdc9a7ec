import type { Random } from '../../statistics/random';
import { between } from '../draw';
import type { Exercise, Level, Scale } from '../exercise';

/** Calipers and depth gauges: main scale and vernier. */
const SCALES: { readonly [L in Level]: Scale } = {
  1: { unit: 'mm', division: 1, parts: 10 },
  2: { unit: 'mm', division: 1, parts: 20 },
  3: { unit: 'in', division: 0.025, parts: 25 },
};

/** A vernier that is read: the main mark before its nought, and the line that meets; from level 2 with what it reads at nought. */
export const readVernier = (random: Random, level: Level): Exercise => {
  const scale = SCALES[level];
  const step = scale.division / scale.parts;
  const [from, to] = scale.unit === 'mm' ? [8, 42] : [0.3, 1.7];
  const reads = between(random, from, to, step);
  const zeroError = level === 1 ? 0 : (1 + random.below(3)) * step * (random.below(2) === 0 ? 1 : -1);
  const decimals = scale.unit === 'in' ? 3 : 2;
  const value = Number((reads - zeroError).toFixed(6));
  const main = Math.floor(reads / scale.division + 1e-9) * scale.division;
  const f = (x: number): string => x.toFixed(decimals);
  return {
    asks: 'What does the part measure?',
    facts: zeroError === 0 ? [] : [`Shut, this gauge reads ${f(zeroError)} ${scale.unit}.`],
    picture: { kind: 'vernier', scale, reads, zeroError },
    form: { kind: 'number', unit: scale.unit, within: step / 2, decimals },
    right: value,
    hints: [
      'First the main scale, up to the nought of the vernier; then the one line of the vernier that meets a line above it.',
      `The main scale says ${f(main)}.`,
    ],
    because: [
      `Main scale ${f(main)}, and the vernier ${f(reads - main)}: ${f(reads)} ${scale.unit}.`,
      ...(zeroError === 0 ? [] : [`It reads ${f(zeroError)} at nought, so that is taken off: ${f(value)} ${scale.unit}.`]),
    ],
  };
};

/** A bore gauge’s dial, which turns back as the bore grows. */
export const readDial = (random: Random, level: Level): Exercise => {
  const divisionMm = level === 3 ? 0.001 : 0.01;
  const setMm = between(random, 18, 30, 0.5) + (level === 1 ? 0 : 0.003);
  const offMm = between(random, -14, 14, 1) * divisionMm * (level === 1 ? 1 : 2.5);
  const onLine = Math.round(offMm / divisionMm) * divisionMm || divisionMm;
  const value = Number((setMm + onLine).toFixed(6));
  return {
    asks: 'What is the diameter here?',
    facts: [`Set to 0 in a ring of ${setMm.toFixed(3)} mm. One division is ${divisionMm} mm. Clockwise, its pin is pushed in.`],
    picture: { kind: 'dial', setMm, offMm: onLine, divisionMm },
    form: { kind: 'number', unit: 'mm', within: divisionMm / 2, decimals: 3 },
    right: value,
    hints: ['A pin pushed in means a smaller bore.', `The hand stands ${Math.abs(Math.round(onLine / divisionMm))} divisions from nought.`],
    because: [
      `${Math.abs(Math.round(onLine / divisionMm))} divisions ${onLine < 0 ? 'clockwise: the pin is in, the bore smaller' : 'against the clock: the pin is out, the bore larger'} than the ring by ${Math.abs(onLine).toFixed(3)} mm.`,
      `${setMm.toFixed(3)} ${onLine < 0 ? '−' : '+'} ${Math.abs(onLine).toFixed(3)} = ${value.toFixed(3)} mm.`,
    ],
  };
};

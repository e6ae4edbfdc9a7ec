import { fixed } from '../../quantity/figure';
import { STANDARD_RULES } from '../../rules/rule-set';
import { type GapSheet, gapQuestion } from '../../set/gap-sheet';
import { type Setup, setup } from '../../set/setup';
import type { Random } from '../../statistics/random';
import { between, oneOf } from '../draw';
import type { Exercise, Level } from '../exercise';

const answered = (sheet: GapSheet): Setup => {
  const question = gapQuestion(sheet);
  if (question === undefined) throw new Error('a sheet of four depths is a question');
  return setup(question, STANDARD_RULES);
};

/** Four depths to a gap; from level 2 the turns of the rod’s end that bring it to the middle of the window. */
export const gapFromDepths = (random: Random, level: Level): Exercise => {
  const gapMm = between(random, level === 1 ? 0.1 : -0.3, 1.7, 0.05);
  const [standOff, edge] = [between(random, 3, 6, 0.05), between(random, 18, 22, 0.5)];
  const socket = between(random, 12, 19, 0.05);
  const spacer = level === 3 ? between(random, 0.5, 2, 0.5) : 0;
  const pitch = oneOf(random, [1, 1.25, 1.5] as const);
  const sheet: GapSheet = {
    standOff,
    socket,
    edge,
    spacer,
    reading: Number((edge + gapMm - spacer - socket + standOff).toFixed(2)),
    pitch,
  };
  const s = answered(sheet);
  const f = (mm: number): string => fixed(mm, 2);
  const sum = `(socket ${f(socket)} − rim ${f(standOff)}) + spacer ${f(spacer)} + (reading ${f(sheet.reading ?? 0)} − edge ${f(edge)}) = ${f(s.gapMm)} mm.`;
  const turns = Number((s.rodChangeMm / pitch).toFixed(6));
  return level === 1
    ? {
        asks: 'What is the gap?',
        facts: [],
        picture: { kind: 'gap', sheet },
        form: { kind: 'number', unit: 'mm', within: 0.02, decimals: 2 },
        right: Number(s.gapMm.toFixed(6)),
        hints: [
          'How deep the socket lies behind the flange, less how far the rod stands out of the other.',
          `The socket’s bottom lies ${f(socket - standOff)} mm behind the flange.`,
        ],
        because: [sum],
      }
    : {
        asks: `How many turns longer for a gap of ${f(s.rulesUsed.gapTargetMm)} mm? Shorter is below nought.`,
        facts: [`The rod’s end has a thread of ${fixed(pitch, 2)} mm.`],
        picture: { kind: 'gap', sheet },
        form: { kind: 'number', unit: 'turns', within: 0.1, decimals: 2 },
        right: turns,
        hints: [sum, `The rod has to change by ${f(s.rodChangeMm)} mm.`],
        because: [
          sum,
          `${f(s.gapMm)} − ${f(s.rulesUsed.gapTargetMm)} = ${f(s.rodChangeMm)} mm, over ${fixed(pitch, 2)} mm a turn: ${f(turns)} turns.`,
        ],
      };
};

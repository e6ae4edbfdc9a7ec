import { holdTest } from '@/core/prove/hold-test';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { seeded } from '../../devices/hand/random';
import { anyWorld, held, type World } from './hold-world';
import type { Line } from './line';

const WORLDS = 3000;
const PLAIN_SETTLES: readonly World['settle'][] = ['none', 'exponential', 'logarithmic'];
const PLAIN_LEAKS: readonly World['leak'][] = ['steady', 'root', 'linear'];
const LIMIT = STANDARD_RULES.limitMlPerMin;

/** Does the calculation keep its word over holds that it was not made from? The bars are those of the design, chapter 9. */
export function proveLines(): readonly Line[] {
  const random = seeded(77);
  const tried = Array.from({ length: WORLDS }, () => {
    const { world, input, truthMlPerMin } = held(anyWorld(random), random);
    return { world, truthMlPerMin, said: holdTest(input, STANDARD_RULES) };
  });
  const plain = tried.filter(
    ({ world }) => PLAIN_SETTLES.includes(world.settle) && PLAIN_LEAKS.includes(world.leak) && world.driftKPerMin === 0,
  );
  const covered = (of: typeof tried): number =>
    (100 * of.filter((t) => t.said.leakCi[0] <= t.truthMlPerMin && t.truthMlPerMin <= t.said.leakCi[1]).length) / of.length;
  const wrongPass = tried.filter((t) => t.truthMlPerMin >= 2 * LIMIT && t.said.outcome === 'pass').length;
  const wrongFail = tried.filter((t) => t.truthMlPerMin <= 0.3 * LIMIT && t.said.outcome === 'fail').length;
  const atWork = tried.filter(({ world }) => world.spanS === 120 && world.startBar > 20 && !world.byEye);
  const waits = (100 * atWork.filter((t) => t.said.outcome === 'hold-longer').length) / atWork.length;
  const line = (what: string, ours: string, of: number, bar: string, holds: boolean): Line => ({
    what,
    ours,
    peer: `${of} holds`,
    bar,
    holds,
  });
  return [
    line('prove: passed at 2× the limit or more', String(wrongPass), tried.length, '0', wrongPass === 0),
    line('prove: failed at 0.3× the limit or less', String(wrongFail), tried.length, '0', wrongFail === 0),
    line('prove: the 95 % interval covers the truth', `${covered(tried).toFixed(1)} %`, tried.length, '≥ 90 %', covered(tried) >= 90),
    line(
      'prove: the same, plain settling and leak, no drift',
      `${covered(plain).toFixed(1)} %`,
      plain.length,
      '≥ 95 %',
      covered(plain) >= 95,
    ),
    line('prove: hold longer, of 120 s at working pressure', `${waits.toFixed(1)} %`, atWork.length, '≤ 12 %', waits <= 12),
  ];
}

import { masterTandem } from '@/core/family/anatomy/master-tandem';
import { geometryAt } from '@/core/family/family';
import { judgeBore } from '@/core/judge/judge';
import { MARK_KINDS } from '@/core/judge/mark';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { seeded } from '../../devices/hand/random';
import { type Line, median, timed } from './line';

/** Judging 60 readings and 40 marks, in Node. */
export async function judgeLine(): Promise<Line> {
  const random = seeded(3);
  const geometry = geometryAt(masterTandem.drawing as NonNullable<typeof masterTandem.drawing>, 22.225);
  const readings = Array.from({ length: 60 }, (_, i) => ({
    xMm: 3 + Math.floor(i / 4) * 6,
    clockDeg: (i % 4) * 45,
    diaMm: 22.236 + random.normal(0.002),
  }));
  const marks = Array.from({ length: 40 }, (_, i) => {
    const x0Mm = random.next() * 90;
    const place = { x0Mm, x1Mm: x0Mm + 1, clock0Deg: 10, clock1Deg: 20 };
    return { id: `m${i}`, kind: random.pick(MARK_KINDS), ...place, depthUm: random.next() * 20, widthUm: 50, cleaned: true };
  });
  const input = {
    family: 'master-tandem',
    material: 'cast-iron',
    bore: { lengthMm: geometry.lengthMm, nominalMm: 22.225 },
    pistonDiaMm: 22.18,
    seals: geometry.seals,
    marks,
    readings,
  } as const;
  const times: number[] = [];
  for (let i = 0; i < 800; i++) times.push(await timed(() => judgeBore(input, STANDARD_RULES)));
  const ms = median(times.slice(300));
  return { what: 'judge: 60 readings, 40 marks', ours: `${ms.toFixed(2)} ms`, peer: '–', bar: '≤ 2 ms', holds: ms <= 2 };
}

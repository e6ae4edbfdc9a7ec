import { improve } from '@/core/day/improve';
import { jobListOf } from '@/core/day/job-list';
import { ScheduleRequest } from '@/core/day/schedule-schema';
import { type Random, randomFrom } from '@/core/statistics/random';
import { type Line, timed } from './line';

const IMPROVING_MS = 10_000;
const LOAD = 0.75;
const [UNITS, OPS, PEOPLE, WEEKS] = [300, 10, 8, 6];
const SKILLS = ['strip', 'clean', 'gauge', 'hone', 'close', 'prove'];

/** A unit comes within four weeks, and is promised for four days to two weeks later. */
const promised = (random: Random): { readonly readyMin: number; readonly dueMin: number } => {
  const readyMin = random.next() * 4 * 10_080;
  return { readyMin, dueMin: readyMin + (4 + 10 * random.next()) * 1440 };
};

/** Six weeks of a large shop: three hundred units of ten operations, eight people, six benches; three quarters of what its people could do. */
const largeShop = (): ScheduleRequest => {
  const random = randomFrom(20);
  const days = Array.from({ length: WEEKS * 7 }, (_, d) => d).filter((d) => d % 7 < 5);
  const shifts = days.flatMap((d) => [
    { fromMin: d * 1440, toMin: d * 1440 + 240 },
    { fromMin: d * 1440 + 300, toMin: d * 1440 + 540 },
  ]);
  const meanMin = (LOAD * PEOPLE * days.length * 480) / (UNITS * OPS * 0.8);
  const benches = ['hone', 'lathe', 'bath', 'rig', 'press', 'oven'];
  return ScheduleRequest.parse({
    people: Array.from({ length: PEOPLE }, (_, i) => ({ id: `p${i}`, skills: SKILLS.filter((__, j) => i < 2 || (i + j) % 3 > 0), shifts })),
    benches: benches.map((id) => ({ id, places: id === 'bath' ? 8 : 2 })),
    units: Array.from({ length: UNITS }, (_, u) => ({
      id: `u${u}`,
      ...promised(random),
      weight: 1 + random.below(3),
      ops: Array.from({ length: OPS }, (__, o) =>
        o > 0 && random.next() < 0.2
          ? { id: `o${o}`, kind: 'wait', minutes: 60 + random.below(900), bench: random.next() < 0.4 ? 'bath' : null }
          : {
              id: `o${o}`,
              kind: 'work',
              minutes: Math.max(5, Math.round(meanMin * (0.4 + 1.2 * random.next()))),
              skill: SKILLS[Math.floor((o / OPS) * SKILLS.length)],
              bench: random.next() < 0.3 ? benches[random.below(2) === 0 ? 0 : 3] : null,
            },
      ),
    })),
  });
};

/** The plain list of a large shop, and how much less late it is after ten seconds of improving. */
export async function dayLines(): Promise<readonly Line[]> {
  const jobs = jobListOf(largeShop());
  const first = improve(jobs, 1);
  const plainMs = await timed(() => first.next());
  const plans = improve(jobs, 1);
  const plain = plans.next().value as { readonly aim: { readonly lateness: number; readonly unplaced: number } };
  let [best, tries] = [plain, 0];
  for (const until = performance.now() + IMPROVING_MS; performance.now() < until; tries++) best = plans.next().value as typeof plain;
  const share = best.aim.lateness / plain.aim.lateness;
  return [
    {
      what: `day: plain list, ${UNITS} units of ${OPS} operations`,
      ours: `${plainMs.toFixed(0)} ms`,
      peer: '–',
      bar: '≤ 300 ms',
      holds: plainMs <= 300,
    },
    {
      what: 'day: lateness after 10 s of improving',
      ours: `${share.toFixed(2)}× of the plain list’s`,
      peer: `${tries} tries; ${plain.aim.unplaced} and then ${best.aim.unplaced} units without room`,
      bar: '≤ 0.75×',
      holds: share <= 0.75 && best.aim.unplaced <= plain.aim.unplaced,
    },
  ];
}

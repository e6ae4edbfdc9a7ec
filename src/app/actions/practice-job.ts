'use server';

import { randomInt } from 'node:crypto';
import { GRID_CLOCKS, suggestDepths } from '@/core/gauge/suggest-grid';
import { BeginJob, EndJob, MeasureThere, TryStrokes } from '@/core/practice/job/job-schemas';
import { cutSoFarMm } from '@/core/practice/job/seen';
import { cutByMm, narrowestMm, readDiaMm } from '@/core/practice/job/truth';
import { fail, ok } from '@/core/result';
import { randomFrom } from '@/core/statistics/random';
import { practiceNow, shopDb } from '@/db/engine/connection';
import { beginJob, endJob, jobNow, practiceGauge } from '@/db/practice/jobs';
import { tellReadings } from '@/ports/gauge-line';
import { act } from '../_server/act';

const NO_JOB = fail({ code: 'refused' as const, reasons: ['This is no practice unit, or its truth was laid beside it already.'] });
/** The job that an action of a practice unit's page is of. */
const jobHere = async () => {
  const job = practiceNow();
  const now = job === undefined ? undefined : await jobNow(await shopDb(), job);
  return job === undefined || now === undefined ? undefined : { job, ...now };
};
const chance = () => randomFrom(randomInt(2 ** 31 - 1));

/** Begins a whole job on a practice unit. */
export const beginJobAction = act('see', BeginJob, async (b, { person, now }) =>
  beginJob(await shopDb(), person, now, { ...b, seed: randomInt(2 ** 31 - 1) }),
);

/** Lays the truth beside what was found: the job is over. */
export const endJobAction = act('see', EndJob, async ({ job }, { person, now }) => endJob(await shopDb(), person, now, job));

/** The stand-in gauge measures, and posts what it reads into the grid that is open with it. */
export const measureAction = act('bench', MeasureThere, async ({ xMm }) => {
  const here = await jobHere();
  if (here === undefined) return NO_JOB;
  const { truth, record, rules } = here;
  const random = chance();
  const cut = cutSoFarMm(truth, record);
  const depths = xMm === null ? suggestDepths(truth.geometry, rules) : [xMm];
  const readings = depths.flatMap((x) =>
    GRID_CLOCKS.map((clockDeg) => ({ xMm: x, clockDeg, diaMm: readDiaMm(truth, x, clockDeg, cut, random) })),
  );
  return tellReadings(practiceGauge(here.job), readings) === 0
    ? fail({ code: 'refused', reasons: ['Choose the stand-in gauge above the grid, and measure again.'] })
    : ok(null);
});

/** What the narrowest place reads after some more strokes. */
export const tryStrokesAction = act('bench', TryStrokes, async (strokes) => {
  const here = await jobHere();
  if (here === undefined) return NO_JOB;
  const { truth, record } = here;
  const cut = cutSoFarMm(truth, record) + cutByMm(truth, [strokes]);
  return ok({ narrowestMm: narrowestMm(truth, cut, chance()) });
});

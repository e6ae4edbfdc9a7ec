import { buildPool } from '../scripts/steps.mjs';

/** The threads that tests have work done in run what is in the sources now. */
export default async () => {
  process.env.EDDRIN_POOL = await buildPool('.next-pool');
};

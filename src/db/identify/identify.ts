import type { Measured } from '@/core/identify/feature';
import { type InStore, identify } from '@/core/identify/identify';
import type { Rules } from '@/core/rules/rule-set';
import type { Reader } from '../engine/connection';
import { fitmentIndex } from './fitments';

/** Candidates that are shown, and those that the next measurement is to tell apart. */
const [SHOWN, AMONG] = [8, 200];

/** Which fitment a unit is, of all that the shop knows; `seen`: units of it that taught what they measured. */
export async function identifyInStore(db: Reader, measured: Measured, family: string | null, rules: Rules): Promise<InStore> {
  const { entries, byId } = await fitmentIndex(db);
  const fitments = entries.flatMap(({ what }) => (family === null || what.family === family ? [what] : []));
  const { candidates, noneFits, measureNext } = identify({ measured, fitments }, rules, AMONG);
  return {
    noneFits,
    measureNext,
    inAll: fitments.length,
    candidates: candidates.slice(0, SHOWN).flatMap((c) => {
      const known = byId.get(c.id);
      return known === undefined ? [] : [{ ...c, fitment: known.what, seen: known.seen }];
    }),
  };
}

import { ok, type Result } from '@/core/result';
import { branchOf } from '@/core/shop/branch';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { put } from '../engine/edit';
import { leaveRigQueue } from '../prove/rig-queue';
import { theShop } from '../shop/settings';

/** Sends a unit to another branch of the shop. Nothing is done to it on its way; it is received there. @param to the branch */
export const sendToBranch = (db: Db, change: Change, to: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async ({ unit, runs }, _, tx) => {
    const { branches } = (await theShop(tx)).settings;
    if (!branches.some((b) => b.id === to)) return refused('The shop has no such branch, or not any more. Load the page anew.');
    const here = branchOf(branches, unit.branch);
    if (here?.id === to) return refused(`It is at ${here.name} already.`);
    if (runs.some((r) => r.state === 'running')) return refused('It is on the rig: let the run end first.');
    await leaveRigQueue(tx, unit.id);
    return ok([put('units', { ...unit, goesTo: to })]);
  });

/** Notes that a unit has arrived where it was sent. */
export const receiveAtBranch = (db: Db, change: Change): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, ({ unit }) =>
    unit.goesTo === null
      ? refused('It is not on its way to a branch.')
      : ok([put('units', { ...unit, branch: unit.goesTo, goesTo: null })]),
  );

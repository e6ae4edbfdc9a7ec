import { practiceJobOf } from '@/core/shop/practice-tag';
import type { EventKind } from '@/core/unit/event-kind';

/** What was done to a unit, for pages that show it. */
export type UnitChanged = {
  readonly unitId: string;
  readonly tagNo: number;
  readonly kind: EventKind;
  readonly personId: string;
  readonly by: string;
};
type Listener = (change: UnitChanged) => void;

declare global {
  // One a process, also when a bundler makes two copies of this module.
  var eddrinChanges: Set<Listener> | undefined;
}
const listeners = (): Set<Listener> => {
  globalThis.eddrinChanges ??= new Set();
  return globalThis.eddrinChanges;
};

/** Hears of every change to a unit once it is stored, until the returned function is called. */
export const followChanges = (listener: Listener): (() => void) => {
  listeners().add(listener);
  return () => void listeners().delete(listener);
};
export const tellChange = (change: UnitChanged): void => {
  // A practice unit is no news of the shop's.
  if (practiceJobOf(change.tagNo) !== undefined) return;
  for (const listener of listeners()) listener(change);
};

import { fixed } from '../quantity/figure';
import type { Rules } from '../rules/rule-set';
import { above } from '../statistics/compare';

/** A gauge as the shop keeps it, with the last time that it was held against its setting ring. Lengths in mm, times in ms since 1970. */
export type Instrument = {
  readonly id: string;
  readonly name: string;
  readonly lastCheck: { readonly at: number; readonly ringMm: number; readonly readMm: number } | null;
  /** What it can measure; null where nobody has said. */
  readonly range: { readonly fromMm: number; readonly toMm: number } | null;
  /** Which of the shop's branches it is at; null: the first. */
  readonly branch: string | null;
  /** It posts its readings by itself. */
  readonly posts: boolean;
};

/** Why a gauge may not measure now. */
export type Unfit =
  | { readonly code: 'never-checked' }
  | { readonly code: 'overdue'; readonly days: number; readonly allowedDays: number }
  | { readonly code: 'off-its-ring'; readonly offUm: number; readonly allowedUm: number };

const DAY_MS = 86_400_000;

/** Whether a gauge's ring check still holds, by the shop's rules; undefined when it does. */
export const whyUnfit = (
  i: Pick<Instrument, 'lastCheck'>,
  rules: Pick<Rules, 'ringCheckDays' | 'ringCheckOffUm'>,
  now: number,
): Unfit | undefined => {
  if (i.lastCheck === null) return { code: 'never-checked' };
  const days = (now - i.lastCheck.at) / DAY_MS;
  if (days > rules.ringCheckDays) return { code: 'overdue', days, allowedDays: rules.ringCheckDays };
  const offUm = Math.abs(i.lastCheck.readMm - i.lastCheck.ringMm) * 1000;
  return above(offUm, rules.ringCheckOffUm) ? { code: 'off-its-ring', offUm, allowedUm: rules.ringCheckOffUm } : undefined;
};

export const sayUnfit = (name: string, u: Unfit): string => {
  switch (u.code) {
    case 'never-checked':
      return `${name} has never been held against its setting ring: check it first.`;
    case 'overdue':
      return `${name} was last held against its ring ${Math.floor(u.days)} days ago; ${u.allowedDays} are allowed. Check it first.`;
    case 'off-its-ring':
      return `${name} was ${fixed(u.offUm, 1)} µm off its ring; ${u.allowedUm} are allowed. Set it anew and check it.`;
  }
};

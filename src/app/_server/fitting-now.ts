import { type FittingSheet, fittingSheetOf } from '@/core/fitting-sheet/fitting-sheet';
import { IMPERIAL, METRIC } from '@/core/quantity/units';
import { tagNumber } from '@/core/unit/unit-record';
import { systemOfFitment } from '@/db/bleed/systems';
import { theDb } from '@/db/engine/connection';
import { unitOfFittingKey } from '@/db/fitting-sheet/keys';
import { rulesInForce } from '@/db/rules/rules';
import { countWrong, mayAsk } from './slow-down';

/** What a key of a fitting sheet leads to. */
export type FittingAtKey =
  | { readonly kind: 'shown'; readonly sheet: FittingSheet; readonly units: FitterUnits }
  | { readonly kind: 'none' }
  | { readonly kind: 'too-many' };

/** Millimetres or inches, as the fitter reads. */
export type FitterUnits = 'mm' | 'in';

/** @param sent headers of the request, by whose place wrong keys are counted */
export async function fittingAtKey(
  { tag, key }: { readonly tag: string; readonly key: string },
  units: string | null | undefined,
  sent: Pick<Headers, 'get'>,
): Promise<FittingAtKey> {
  if (!(await mayAsk(sent))) return { kind: 'too-many' };
  const db = await theDb();
  const record = /^[0-9a-f]{32}$/.test(key) ? await unitOfFittingKey(db, key) : undefined;
  if (record === undefined || tagNumber(tag) !== record.unit.tagNo) {
    await countWrong(sent);
    return { kind: 'none' };
  }
  const reads: FitterUnits = units === 'in' ? 'in' : 'mm';
  const [{ rules }, kept] = await Promise.all([
    rulesInForce(db),
    record.identity === null ? undefined : systemOfFitment(db, record.identity.fitmentId),
  ]);
  return { kind: 'shown', sheet: fittingSheetOf(record, kept?.system ?? null, rules, reads === 'in' ? IMPERIAL : METRIC), units: reads };
}

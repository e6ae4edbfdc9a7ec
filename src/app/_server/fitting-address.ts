import type { UnitRecord } from '@/core/unit/unit-record';
import type { Reader } from '@/db/engine/connection';
import { fittingKeyOf } from '@/db/fitting-sheet/keys';
import { fittingAddress } from '@/papers/label';
import { shopOrigin } from './request';

/** The address of a unit's fitting sheet, for papers. @param sent headers of the request, by which the shop is known outside */
export const fittingAddressOf = async (db: Reader, record: Pick<UnitRecord, 'unit'>, sent: Pick<Headers, 'get'>): Promise<string> =>
  fittingAddress(record, await fittingKeyOf(db, record.unit.id), shopOrigin(sent));

import { sayUnfit, whyUnfit } from '@/core/gauge/instrument';
import type { Reading } from '@/core/gauge/reading';
import { whyUnlikely } from '@/core/gauge/unlikely';
import { may } from '@/core/people/role';
import { METRIC } from '@/core/quantity/units';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { boresOf, hasPot, inPot, noPot } from '@/core/unit/bores';
import { currentGauging, routeOfUnit } from '@/core/unit/facts-of';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { drop, put } from '../engine/edit';
import { rulesInForce } from '../rules/rules';
import { instruments } from './instruments';

export type GaugingEntry = {
  readonly gaugingId: string;
  /** Which bore of the unit, from 1; the first where nothing is said. */
  readonly pot?: number;
  readonly readings: readonly Reading[];
  readonly bodyTempC: number | null;
  readonly gaugeTempC: number | null;
  /** Which gauge it was; null where the shop keeps none. */
  readonly instrumentId?: string | null;
  /** A lead's reason for a gauge that is not fit to measure. */
  readonly override?: string | null;
};

/** Saves a gauging of one bore, and signs the station off once every bore of the unit is gauged. A verdict on earlier readings stands no more. */
export const saveGauging = (db: Db, change: Change, g: GaugingEntry): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const notNow = whyNotNow('gauge', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const { gaugingId, pot = 1, readings, instrumentId = null, override = null, bodyTempC, gaugeTempC } = g;
    if (!hasPot(record.unit, pot)) return refused(noPot(pot));
    const gauge = (await instruments(tx)).find((i) => i.id === instrumentId);
    const nominalMm = inPot(record, pot).unit.geometry?.nominalMm;
    const slips = nominalMm === undefined ? [] : readings.flatMap((r) => whyUnlikely(r.diaMm, nominalMm, gauge, METRIC) ?? []);
    if (slips.length > 0) return refused(...new Set(slips));
    const unfit = await unfitGauge(tx, instrumentId, change.at);
    if (unfit !== undefined && override === null) return refused(unfit);
    if (unfit !== undefined && !may(change.person.role, 'override')) return refused(unfit, 'Only a lead may gauge with it as it is.');
    const others = boresOf(record).filter((b) => b.pot !== pot);
    const step = put('steps', {
      id: `${record.unit.id}-gauge`,
      unitId: record.unit.id,
      station: 'gauge',
      at,
      personId: change.person.id,
      note: '',
      override: unfit === undefined ? null : override,
      unmet: unfit === undefined ? [] : [unfit],
    });
    return ok([
      put('gaugings', {
        id: gaugingId,
        unitId: record.unit.id,
        at,
        personId: change.person.id,
        pot,
        bodyTempC,
        gaugeTempC,
        instrumentId,
        override: unfit === undefined ? null : override,
      }),
      ...readings.map((r, seq) => put('readings', { id: `${gaugingId}-${seq}`, gaugingId, seq, ...r })),
      ...(others.every((b) => currentGauging(b.record) !== undefined) ? [step] : []),
      drop('steps', `${record.unit.id}-judge`),
    ]);
  });

/** Why a gauge may not be used, in words; undefined when it may. A shop that keeps its gauges on record says which it was. */
const unfitGauge = async (tx: Tx, instrumentId: string | null, now: number): Promise<string | undefined> => {
  const all = await instruments(tx);
  if (instrumentId === null) return all.length === 0 ? undefined : 'Say which gauge it was.';
  const used = all.find((i) => i.id === instrumentId);
  if (used === undefined) return 'That gauge is not in use in this shop.';
  const why = whyUnfit(used, (await rulesInForce(tx)).rules, now);
  return why === undefined ? undefined : sayUnfit(used.name, why);
};

import type { Material } from '@/core/family/material';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db } from '../engine/connection';
import { put } from '../engine/edit';
import { rulesInForce } from '../rules/rules';
import { boreChangedEdits, signOffEdits } from '../unit/sign-off';
import { endOfWait, waitEdit } from '../unit/waits';

export type SentOut = {
  readonly shop: string;
  readonly material: Material;
  /** Thinnest wall, measured now. */
  readonly wallMm: number;
  readonly promisedAt: number;
  readonly note: string;
};

/** The sleeving that is out now. */
export const outNow = (r: Pick<UnitRecord, 'sleevings'>) => r.sleevings.find((s) => s.backAt === null);

/** The body goes out to be sleeved: not with too thin a wall, not without the customer's yes. A wait rings when it is promised back. */
export const sendOut = (db: Db, change: Change, s: SentOut): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const notNow = whyNotNow('sleeve', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    if (outNow(record) !== undefined) return refused('It is out already.');
    const { rules } = await rulesInForce(tx);
    const thin =
      s.wallMm < rules.sleeveMinWallMm
        ? [`The wall of ${s.wallMm} mm is thinner than the ${rules.sleeveMinWallMm} mm that a sleeve needs.`]
        : [];
    const unmet = [...thin, ...whyNotDone('sleeve', factsOf(record)).flatMap((w) => (w.code === 'not-sent' ? [] : [sayWhyNot(w)]))];
    if (unmet.length > 0) return refused(...unmet);
    const own = { unitId: record.unit.id, personId: change.person.id };
    return ok([
      put('sleevings', { id: change.eventId, ...own, ...s, sentAt: at, backAt: null }),
      waitEdit(change, at, { id: `${change.eventId}-back`, label: `sleeve from ${s.shop}`, endsAt: s.promisedAt }),
    ]);
  });

/** It is back with its sleeve: gauged against nominal and judged as it is now. */
export const backFromSleeving = (db: Db, change: Change, note: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const out = outNow(record);
    if (out === undefined) return refused('It was not sent out.');
    const back = { ...out, unitId: record.unit.id, backAt: at, note: note === '' ? out.note : note };
    const done = signOffEdits(
      { ...record, sleevings: record.sleevings.map((s) => (s.id === out.id ? back : s)) },
      { ...change, at },
      {
        station: 'sleeve',
        note: `${out.shop}: ${note}`,
        override: null,
      },
    );
    if (!done.ok) return done;
    return ok([
      done.value,
      put('sleevings', back),
      ...(await endOfWait(tx, record.unit.id, `${out.id}-back`, at)),
      ...boreChangedEdits(record, 'sleeve', at, out.material),
    ]);
  });

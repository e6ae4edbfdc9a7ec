import type { Material } from '@/core/family/material';
import { sayFullDate } from '@/core/quantity/say-time';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import { boresToSleeve, factsOf, routeOfUnit } from '@/core/unit/facts-of';
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

/** What is out now: a sleeving for each bore that gets one. */
const outNow = (r: Pick<UnitRecord, 'sleevings'>) => r.sleevings.filter((s) => s.backAt === null);

/** The body goes out to be sleeved, with every bore of it that is judged so: not with too thin a wall, not without the customer's yes. A wait rings when it is promised back. */
export const sendOut = (db: Db, change: Change, s: SentOut): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const notNow = whyNotNow('sleeve', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    if (outNow(record).length > 0) return refused('It is out already.');
    if (s.promisedAt < at) return refused('It cannot have been promised back in the past.');
    const { rules } = await rulesInForce(tx);
    const thin =
      s.wallMm < rules.sleeveMinWallMm
        ? [`The wall of ${s.wallMm} mm is thinner than the ${rules.sleeveMinWallMm} mm that a sleeve needs.`]
        : [];
    const unmet = [...thin, ...whyNotDone('sleeve', factsOf(record)).flatMap((w) => (w.code === 'not-sent' ? [] : [sayWhyNot(w)]))];
    if (unmet.length > 0) return refused(...unmet);
    if (s.promisedAt > record.unit.dueAt)
      return refused(
        `It would be back after it is promised to the customer, ${sayFullDate(record.unit.dueAt)}: ask the customer for a later day first, at Judge.`,
      );
    const own = { unitId: record.unit.id, personId: change.person.id };
    return ok([
      ...boresToSleeve(record).map((b, i) =>
        put('sleevings', {
          id: i === 0 ? change.eventId : `${change.eventId}-${b.pot}`,
          ...own,
          pot: b.pot,
          ...s,
          sentAt: at,
          backAt: null,
        }),
      ),
      waitEdit(change, at, { id: `${change.eventId}-back`, label: `sleeve from ${s.shop}`, endsAt: s.promisedAt }),
    ]);
  });

/** It is back with its sleeve: gauged against nominal and judged as it is now. */
export const backFromSleeving = (db: Db, change: Change, note: string): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const all = outNow(record);
    const [out] = all;
    if (out === undefined) return refused('It was not sent out.');
    const back = all.map((s) => ({ ...s, unitId: record.unit.id, backAt: at, note: note === '' ? s.note : note }));
    const done = signOffEdits(
      { ...record, sleevings: record.sleevings.map((s) => back.find((b) => b.id === s.id) ?? s) },
      { ...change, at },
      {
        station: 'sleeve',
        note: note === '' ? out.shop : `${out.shop}: ${note}`,
        override: null,
      },
    );
    if (!done.ok) return done;
    return ok([
      done.value,
      ...back.map((b) => put('sleevings', b)),
      ...(await endOfWait(tx, record.unit.id, `${out.id}-back`, at)),
      ...boreChangedEdits(record, 'sleeve', new Map(all.map((s) => [s.pot, { boreChangedAt: at, material: s.material }]))),
    ]);
  });

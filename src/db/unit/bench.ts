import type { BenchData } from '@/core/bench/bench-schema';
import { isHalf } from '@/core/close-up/joining';
import { holeProblems } from '@/core/pedal-end/hole';
import { type VacuumSample, vacuumHold } from '@/core/pedal-end/vacuum';
import { ok, type Result } from '@/core/result';
import { whyNotNow } from '@/core/route/route';
import { sayWhyNot, whyNotDone } from '@/core/route/why-not';
import { type GapWay, gapRecordOf } from '@/core/set/gap-record';
import { type GapSheet, impossibleReadings } from '@/core/set/gap-sheet';
import { setupProblems } from '@/core/set/setup';
import type { Station } from '@/core/station';
import { factsOf, routeOfUnit } from '@/core/unit/facts-of';
import type { UnitRecord } from '@/core/unit/unit-record';
import { otherHalves } from '../close-up/halves';
import { type Change, type Changed, type ChangeError, changeUnit, refused } from '../engine/change-unit';
import type { Db, Tx } from '../engine/connection';
import { type Edit, put } from '../engine/edit';
import { rulesInForce } from '../rules/rules';

/** What is noted as it was seen; what is computed from it is not sent but worked out here. */
export type Noted = Extract<BenchData, { readonly kind: 'touch' | 'stroked' | 'joined' | 'check-valve' | 'rod-tip' | 'pedal' | 'hole' }>;

/** A note as an edit; its row has the change's id: sent twice it is there once. */
export const benchEdit = (record: UnitRecord, change: Change, at: number, data: BenchData): Edit =>
  put('benchRecords', { id: change.eventId, unitId: record.unit.id, kind: data.kind, at, personId: change.person.id, data });

/** Notes something of a unit at its bench. */
export const noteAtBench = (db: Db, change: Change, data: Noted): Promise<Result<Changed, ChangeError>> =>
  changeUnit(db, change, async (record, at, tx) => {
    const objections = [...objectionsTo(record, data), ...(data.kind === 'joined' ? await whyNotWith(tx, record, data.otherTag) : [])];
    return objections.length > 0 ? refused(...objections) : ok([benchEdit(record, change, at, data)]);
  });

const NO_HALF = 'It is not joined to another half: no seal goes between them.';

/** The other half is named on the certificate: it is one of the same job that is here, or nobody says which. */
const whyNotWith = async (tx: Tx, { unit }: UnitRecord, otherTag: string): Promise<readonly string[]> =>
  otherTag === '' || (await otherHalves(tx, unit)).includes(otherTag)
    ? []
    : [`${otherTag} is not another half of this job that is in the shop: leave it empty if it is not here.`];

const objectionsTo = (record: UnitRecord, data: Noted): readonly string[] => {
  const route = routeOfUnit(record);
  const signedOff = (station: Station): readonly string[] =>
    record.steps.some((s) => s.station === station) ? whyNotNow(station, route) : [];
  switch (data.kind) {
    case 'touch':
      return signedOff('close-up');
    case 'joined':
    case 'stroked': {
      const before = whyNotNow('close-up', route);
      const notIn = whyNotDone('close-up', factsOf(record)).filter((w) => w.code === 'not-in' || w.code === 'not-tightened');
      return [...before, ...notIn.map(sayWhyNot), ...(data.kind === 'joined' && !isHalf(record.family, record.tray) ? [NO_HALF] : [])];
    }
    case 'check-valve':
    case 'pedal':
      return whyNotNow('prove', route);
    case 'rod-tip':
      return signedOff('release');
    case 'hole':
      return [
        ...signedOff('close-up'),
        ...(record.tray.some((p) => p.id === data.partId) ? [] : ['There is no such part on this tray.']),
        ...holeProblems(data.before),
        ...(data.after === null ? [] : holeProblems(data.after)),
      ];
  }
};

/** Saves the pushrod gap while it is Set's turn, judged by the rules in force. */
export const saveGap = async (
  db: Db,
  change: Change,
  g: { readonly way: GapWay; readonly sheet: GapSheet },
): Promise<Result<Changed, ChangeError>> => {
  const { rules } = await rulesInForce(db);
  return changeUnit(db, change, (record, at) => {
    const wrong = [
      ...whyNotNow('set', routeOfUnit(record)),
      ...(g.way === 'depths' ? impossibleReadings(g.sheet) : []),
      ...setupProblems({ targetMm: g.sheet.target }, rules).map((p) => `The gap aimed at ${p.message}.`),
    ];
    if (wrong.length > 0) return refused(...wrong);
    const gap = gapRecordOf(g.way, g.sheet, rules);
    return gap === undefined
      ? refused(g.way === 'depths' ? 'The gap needs all four depths.' : 'Read the rod’s play first.')
      : ok([benchEdit(record, change, at, { kind: 'gap', ...gap, sheet: { ...gap.sheet } })]);
  });
};

/** Saves a vacuum hold, judged by the rules in force; readings that do not suffice are kept, and say so. */
export const saveVacuum = async (
  db: Db,
  change: Change,
  v: { readonly rod: 'at-rest' | 'pressed'; readonly samples: readonly VacuumSample[] },
): Promise<Result<Changed, ChangeError>> => {
  const { rules } = await rulesInForce(db);
  return changeUnit(db, change, (record, at) => {
    const notNow = whyNotNow('prove', routeOfUnit(record));
    if (notNow.length > 0) return refused(...notNow);
    const samples = v.samples.map((s) => ({ ...s }));
    return ok([
      benchEdit(record, change, at, { kind: 'vacuum', rod: v.rod, samples, ...vacuumHold(samples, rules), limitKPa: rules.vacuumDropKPa }),
    ]);
  });
};

import { benchOf, newestOf } from '../bench/bench-record';
import { capital } from '../capital';
import { drillingsOf } from '../clean/cleaning';
import { bearsOnGap, bearsOnProof, lastIn } from '../close-up/bearing';
import { isHalf } from '../close-up/joining';
import { goesBack } from '../close-up/order';
import { PART_KINDS } from '../family/part-kind';
import { boreMmAt } from '../family/pots';
import { type Contact, contactsOf, NO_TOUCH } from '../fluid/contact';
import { statedRubbers } from '../fluid/rubber';
import type { Gauging } from '../gauge/gauging';
import type { MarkRecord } from '../judge/mark-record';
import type { BoreOutcome } from '../judge/outcome';
import type { SavedVerdict } from '../judge/saved-verdict';
import { assignItems } from '../kit/assign';
import { leftIn, reallyIn } from '../kit/bag';
import type { Need } from '../kit/need';
import { inFirst, needsOf } from '../kit/needs-of';
import type { SetAside } from '../kit/set-aside';
import { checkValveFound } from '../pedal-end/booster';
import { sayVacuumHold } from '../pedal-end/vacuum';
import { sayStep } from '../prove/programme/say-step';
import { METRIC } from '../quantity/units';
import { mends } from '../quote/option-kind';
import { pickedOf, type Quote } from '../quote/quote';
import type { Approved, RouteFacts } from '../route/facts';
import { routeOf, type Stop, stationNow } from '../route/route';
import type { BagItem } from '../store/article';
import type { TrayWay } from '../strip/part-state';
import { type Bore, boresOf } from './bores';
import { provingOf } from './proving';
import type { Unit, UnitRecord } from './unit-record';

/** The readings of the bore as it is now (of several, of the one that the record is of); undefined when it was cut since, or never gauged. */
export const currentGauging = (r: Pick<UnitRecord, 'unit' | 'gaugings'>): Gauging | undefined =>
  r.gaugings.filter((g) => g.at >= r.unit.boreChangedAt).at(-1);

/** The verdict on those readings. */
export const currentVerdict = (r: Pick<UnitRecord, 'unit' | 'gaugings' | 'verdicts'>): SavedVerdict | undefined => {
  const gauging = currentGauging(r);
  return gauging === undefined ? undefined : r.verdicts.filter((v) => v.gaugingId === gauging.id).at(-1);
};

/** Its marks, each with what the verdict on it was, and whether it was last seen before the bore was cut. */
export const judgedMarks = (
  r: UnitRecord,
): readonly (MarkRecord & { readonly outcome: BoreOutcome | null; readonly unseen: boolean })[] => {
  const outcomes = new Map(currentVerdict(r)?.answer.marks.map((m) => [m.id, m.outcome]));
  return r.marks.map((m) => ({ ...m, outcome: outcomes.get(m.name) ?? null, unseen: isUnseen(m, r.unit) }));
};

/** Was a mark measured in metal that has been cut since? */
export const isUnseen = (m: Pick<MarkRecord, 'seenAt'>, unit: Pick<Unit, 'boreChangedAt'>): boolean =>
  m.seenAt !== null && m.seenAt < unit.boreChangedAt;

/** What decides a unit's route, from its records. */
export const factsOf = (r: UnitRecord): RouteFacts => {
  const bores = boresOf(r);
  const closedUp = r.steps.find((s) => s.station === 'close-up');
  const since = (bears: typeof bearsOnGap): number => lastIn(r.tray, bears, closedUp?.at ?? Infinity);
  const proving = provingOf(r);
  // A port that is shut says that the gap it was tried with is none.
  const shutAt = proving.find((s) => s.step.kind === 'port' && s.stands === 'fail')?.at ?? Number.NEGATIVE_INFINITY;
  return {
    family: r.family,
    done: r.steps.map((s) => s.station),
    tray: r.tray,
    treatments: r.treatments,
    uncleared: drillingsOf(r.family, r.unit.geometry, r.tray)
      .filter((d) => !r.treatments.some((t) => t.method === d.method && t.drilling === d.id))
      .map((d) => d.name),
    ungauged: bores.filter((b) => currentGauging(b.record) === undefined).map((b) => b.name),
    unjudged: bores.filter((b) => currentVerdict(b.record) === undefined).map((b) => b.name),
    verdicts: bores.flatMap((b) => verdictIn(b, bores.length)),
    approval: worst(
      bores.map((b) => approvalOf(b.record)),
      APPROVED,
    ),
    sleeved: worst(
      bores.map((b) => sleevedOf(b.record)),
      ['out', 'back'],
    ),
    uncovered: r.setAside.length === 0 ? null : uncoveredNames(r),
    unopened: r.setAside.filter((s) => s.openedAt === null).map((s) => s.number),
    contacts: contactsWith(r),
    curing: benchOf(r.bench, 'finish')
      .filter((f) => f.curedAt === null)
      .map((f) => f.finish),
    waits: r.timers.filter((t) => t.doneAt === null).map((t) => t.label),
    halves: !isHalf(r.family, r.tray) ? null : newestOf(r.bench, 'joined', since(bearsOnProof)) === undefined ? 'apart' : 'joined',
    stroked: newestOf(r.bench, 'stroked', since(bearsOnGap))?.returns ?? null,
    gap: newestOf(r.bench, 'gap', Math.max(since(bearsOnGap), shutAt))?.verdict ?? null,
    tried: triedByHand(r),
    proof: proving.flatMap(({ step, stands }) =>
      step.need === 'must' || stands === 'fail' ? [{ name: sayStep(step, METRIC), stands }] : [],
    ),
    signedBy: r.signatures.map((s) => s.personId),
  };
};

/** What touches the new rubber; nothing where none of a fluid path goes in. */
export const contactsWith = (r: Pick<UnitRecord, 'family' | 'tray' | 'bench' | 'treatments' | 'setAside'>): readonly Contact[] => {
  const wet = r.family.proof === 'rig' && r.tray.some((p) => PART_KINDS[p.kind].seal !== null && goesBack(r.family, p));
  return wet ? contactsOf(newestOf(r.bench, 'touch') ?? NO_TOUCH, statedRubbers(r.setAside), r.treatments) : [];
};

/** What a part without a rig is tried for by hand, and what of it was not, or went wrong. */
const triedByHand = ({ family, bench }: Pick<UnitRecord, 'family' | 'bench'>): RouteFacts['tried'] => {
  if (family.proof !== 'by-hand') return { missing: [], bad: [] };
  const valve = newestOf(bench, 'check-valve');
  const [rest, pressed] = (['at-rest', 'pressed'] as const).map((rod) => benchOf(bench, 'vacuum').findLast((v) => v.rod === rod));
  const holds = [
    ['vacuum held with the rod at rest', rest],
    ['vacuum held with the rod pressed', pressed],
  ] as const;
  return {
    missing: [...(valve === undefined ? ['the check valve'] : []), ...holds.flatMap(([name, hold]) => (hold === undefined ? [name] : []))],
    bad: [
      ...(valve === undefined || checkValveFound(valve).verdict === 'good' ? [] : [checkValveFound(valve).text]),
      ...holds.flatMap(([name, hold]) =>
        hold === undefined || hold.outcome === 'holds' ? [] : [`${name}: ${sayVacuumHold(hold, hold.limitKPa)}`],
      ),
    ],
  };
};

const verdictIn = ({ name, record }: Bore, of: number): RouteFacts['verdicts'] => {
  const answer = currentVerdict(record)?.answer;
  if (answer === undefined) return [];
  const about = (text: string): string => (of === 1 ? text : `${capital(name)}: ${text}`);
  return [{ outcome: answer.outcome, toDo: answer.toDo.map((t) => about(t.text)) }];
};

/** Of what several bores say, what counts for the body that they are in: the first in this order. */
const worst = <T extends string>(all: readonly (T | null)[], order: readonly T[]): T | null => order.find((x) => all.includes(x)) ?? null;
const APPROVED: readonly Approved[] = ['other', 'no', 'to-ask', 'waiting', 'yes'];
const OUTCOMES: readonly BoreOutcome[] = ['scrap', 'undecided', 'sleeve', 'hone', 'polish', 'reuse'];

/** Bores that are judged to be sleeved, as they are now. */
export const boresToSleeve = (r: UnitRecord): readonly Bore[] =>
  boresOf(r).filter((b) => currentVerdict(b.record)?.answer.outcome === 'sleeve');

/** A sleeve changes price and promise: the customer is always asked, by a question or by a quote that offers it. Of other verdicts only when somebody did. */
const approvalOf = (r: UnitRecord): Approved | null => {
  const verdict = currentVerdict(r);
  const asked = r.approvals.filter((a) => a.verdictId === verdict?.id).at(-1);
  const quote = r.quotes.at(-1);
  if (asked !== undefined && asked.at > (quote?.at ?? 0)) return asked.answer ?? 'waiting';
  const answered = quote === undefined ? null : answerTo(quote);
  const sleeve = verdict?.answer.outcome === 'sleeve';
  return sleeve && (answered === null || (answered === 'yes' && quote !== undefined && pickedOf(quote)?.kind !== 'sleeve'))
    ? 'to-ask'
    : answered;
};

/** What a quote came to: a yes is to the customer's own unit, made good. */
const answerTo = (quote: Quote): Approved => {
  const { answer } = quote;
  if (answer === null) return 'waiting';
  const picked = pickedOf(quote);
  return picked === undefined ? 'no' : mends(picked.kind) ? 'yes' : 'other';
};

/** When the customer was last asked what is not answered yet, ms since 1970; undefined where nothing is. */
export const askedAt = (r: Pick<UnitRecord, 'approvals' | 'quotes'>): number | undefined =>
  [...r.approvals, ...r.quotes.slice(-1)]
    .flatMap((q) => (q.answer === null ? [q.at] : []))
    .toSorted((a, b) => a - b)
    .at(-1);

const sleevedOf = (r: UnitRecord): RouteFacts['sleeved'] => {
  const last = r.sleevings.filter((s) => s.sentAt >= r.unit.boreChangedAt).at(-1);
  return last === undefined ? null : last.backAt === null ? 'out' : 'back';
};

export const routeOfUnit = (r: UnitRecord): readonly Stop[] => routeOf(factsOf(r));

/** Parts come out until the kit is there; then they go in. */
export const trayWayOf = (r: Pick<UnitRecord, 'steps' | 'tray'>): TrayWay =>
  r.steps.some((s) => s.station === 'kit') || r.tray.some((p) => p.goesIn !== null) ? 'in' : 'out';

/** What the rack shows of a unit, computed with every change. */
export const summaryOf = (r: UnitRecord): Pick<Unit, 'station' | 'outcome' | 'targetDiaMm'> => {
  const verdicts = boresOf(r).map((b) => currentVerdict(b.record) ?? b.record.verdicts.at(-1));
  const outcome = worst(
    verdicts.map((v) => v?.answer.outcome ?? null),
    OUTCOMES,
  );
  return {
    station: stationNow(routeOfUnit(r)) ?? 'release',
    // Of several bores the worst counts, once all are judged; one that is scrap is enough.
    outcome: outcome === 'scrap' || !verdicts.includes(undefined) ? outcome : null,
    targetDiaMm: verdicts.find((v) => v?.answer.targetDiaMm != null)?.answer.targetDiaMm ?? null,
  };
};

/** What a bag set aside gives: as the catalogue says until it is opened, then as it is; without what was kept for the store or spoilt. */
export const inBag = (s: SetAside): readonly BagItem[] => {
  const all = s.items.map((item) => ({ ...item, qty: item.qty * s.qty }));
  return reallyIn(all, [...s.findings, ...[...s.kept, ...s.spoilt].map((k) => ({ what: 'missing' as const, ...k }))]);
};

/** Pieces of the bags set aside that no need of the unit takes. */
export const spareIn = (r: UnitRecord): readonly { readonly bagId: string; readonly item: number; readonly qty: number }[] => {
  const pieces = r.setAside.flatMap((s) => s.items.map((item, at) => ({ bagId: s.id, item: at, of: { ...item, qty: leftIn(s, at) } })));
  const assigned = assignItems(
    needsOf(r.family, r.tray, (slotId) => boreMmAt(r, slotId)),
    pieces.map((p) => p.of),
  );
  return pieces.flatMap(({ bagId, item, of }, i) => {
    const qty = of.qty - assigned.reduce((sum, a) => sum + (a.item === i ? a.qty : 0), 0);
    return qty > 0 ? [{ bagId, item, qty }] : [];
  });
};
/** Needs that the bags set aside do not cover, with how many pieces of each are short. */
export const shortOf = (r: UnitRecord): readonly Need[] => {
  const needs = inFirst(
    needsOf(r.family, r.tray, (slotId) => boreMmAt(r, slotId)),
    r.tray,
  );
  const assigned = assignItems(needs, r.setAside.flatMap(inBag));
  return needs.flatMap((need, n) => {
    const qty = need.qty - assigned.reduce((sum, a) => sum + (a.need === n ? a.qty : 0), 0);
    return qty > 0 ? [{ ...need, qty }] : [];
  });
};

const uncoveredNames = (r: UnitRecord): readonly string[] =>
  shortOf(r).map((need) => r.tray.find((p) => p.slotId === need.id)?.name ?? need.id);

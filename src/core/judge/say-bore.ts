import type { Lane } from '../family/lane';
import { fixed, upTo } from '../quantity/figure';
import { sayDepth, sayDia, sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { School } from '../rules/school';
import type { MarkVerdict } from './mark-verdict';
import type { BoreOutcome } from './outcome';
import { sealName } from './say-mark';

/** What is to be done before the bore can be judged. */
export type ToDo =
  | { readonly what: 'clean'; readonly markId: string }
  | { readonly what: 'look-again'; readonly markId: string; readonly expectedUm: number | null }
  | { readonly what: 'measure-depth'; readonly markId: string; readonly because: 'unknown' | 'doubt' }
  | { readonly what: 'gauge'; readonly of: 'bore' }
  | { readonly what: 'gauge'; readonly of: 'mark'; readonly markId: string }
  | { readonly what: 'gauge'; readonly of: 'lane'; readonly sealId: string; readonly role: Lane['role']; readonly xMm: readonly number[] }
  | { readonly what: 'gauge'; readonly of: 'form'; readonly xMm: readonly number[]; readonly doubtMm: number }
  | { readonly what: 'gauge-again'; readonly xMm: readonly number[]; readonly without: BoreOutcome; readonly withAll: BoreOutcome }
  | { readonly what: 'check-piston'; readonly pistonDiaMm: number; readonly lowMm: number; readonly ofSealId: string | null }
  | { readonly what: 'form'; readonly ovalityMm: number; readonly taperMm: number };

/** Why the whole bore comes out as it does, marks aside. */
export type BoreReason =
  | {
      readonly code: 'worn';
      readonly highMm: number;
      readonly limitDiaMm: number;
      readonly uncertaintyMm: number;
      readonly ofSealId: string | null;
    }
  | { readonly code: 'target-past-limit'; readonly targetDiaMm: number; readonly limitDiaMm: number; readonly uncertaintyMm: number }
  | { readonly code: 'form'; readonly ovalityMm: number; readonly taperMm: number; readonly school: School }
  | { readonly code: 'makers-limit'; readonly limitDiaMm: number; readonly source: string }
  | { readonly code: 'thin-wall'; readonly wallMm: number; readonly minMm: number };

/** Words one thing to do. */
export const sayToDo = (t: ToDo, units: Units): string => {
  const mm = (value: number): string => sayMm(value, units);
  switch (t.what) {
    case 'clean':
      return `Clean mark ${t.markId} and look again.`;
    case 'look-again':
      return `Look at mark ${t.markId} again: it was measured before the bore was cut${t.expectedUm === null ? '' : t.expectedUm === 0 ? ', and should be gone' : `, and ${units.length === 'mm' ? `${fixed(t.expectedUm, 0)} µm` : sayDepth(t.expectedUm, units)} of it should be left`}.`;
    case 'measure-depth':
      return t.because === 'unknown'
        ? `Measure the depth of mark ${t.markId}.`
        : `Measure the depth of mark ${t.markId} again, and state how well it is known: the doubt decides.`;
    case 'gauge':
      return sayGauge(t, units);
    case 'gauge-again':
      return `Gauge again at ${depths(t.xMm, units)}: a reading there does not fit the others, and it decides: ${t.withAll} with it, ${t.without} without.`;
    case 'check-piston':
      return `Measure the piston${ofSeal(' that carries the ', t.ofSealId)} again: ${mm(t.pistonDiaMm)} does not pass a bore of ${mm(t.lowMm)}.`;
    case 'form':
      return `A lead decides whether the seals will live with ${mm(t.ovalityMm)} of ovality and ${mm(t.taperMm)} of taper; the skin is not cut for it.`;
  }
};

const sayGauge = (t: Extract<ToDo, { readonly what: 'gauge' }>, units: Units): string => {
  const mm = (value: number): string => sayMm(value, units);
  switch (t.of) {
    case 'bore':
      return 'Gauge the bore.';
    case 'mark':
      return `Gauge the bore, so that mark ${t.markId} can be judged.`;
    case 'lane':
      return `Gauge the lane of the ${sealName(t.sealId)} at ${depths(t.xMm, units)}, across ${t.role === 'pressure' ? 'three or four clocks: two do not see an oval that lies between them' : 'at least two clocks'}.`;
    case 'form':
      return `Gauge at ${depths(t.xMm, units)}: the bore bends there, and between the depths gauged it may be wider by ${mm(2 * t.doubtMm)}, which decides.`;
  }
};

/** 12.5, 20 and 27.3 mm. */
const depths = (xMm: readonly number[], units: Units): string => {
  const said = xMm.map((x) => (units.length === 'mm' ? upTo(x, 2) : sayLength(x, units)));
  return `${said.length > 1 ? `${said.slice(0, -1).join(', ')} and ${said.at(-1)}` : said[0]} ${units.length}`;
};

type Whole = {
  readonly outcome: BoreOutcome;
  readonly reasons: readonly BoreReason[];
  readonly targetDiaMm: number | null;
  readonly limitDiaMm: number;
  readonly uncertaintyMm: number;
  readonly marginMm: number | null;
  readonly marks: readonly { readonly id: string; readonly kind: MarkVerdict['kind'] }[];
};

/** The bore's verdict in sentences, numbers and all, fit to read to a customer. At least one. */
export const sayBore = (w: Whole, units: Units): readonly string[] => [
  ...w.reasons.map((r) => sayReason(r, units)),
  ...sayOutcome(w, units),
];

const sayReason = (r: BoreReason, units: Units): string => {
  const mm = (value: number): string => sayMm(value, units);
  const wall = (value: number): string => `${units.length === 'mm' ? fixed(value, 1) : sayLength(value, units)} ${units.length}`;
  switch (r.code) {
    case 'worn':
      return `Worn out as it is: ${mm(r.highMm)} at its widest${ofSeal(' under the ', r.ofSealId)}, and ${mm(r.uncertaintyMm)} for the gauge, is past the limit of ${mm(r.limitDiaMm)}.`;
    case 'target-past-limit':
      return `It would have to be honed to ${mm(r.targetDiaMm)}; with the gauge's uncertainty of ${mm(r.uncertaintyMm)} that is past the limit of ${mm(r.limitDiaMm)}.`;
    case 'form':
      return `Out of form where seals run: ${mm(r.ovalityMm)} oval, ${mm(r.taperMm)} taper.${r.school === 'sleeve-first' ? ' This shop sleeves for that.' : ''}`;
    case 'makers-limit':
      return `The limit of ${mm(r.limitDiaMm)} is the maker's: ${r.source}.`;
    case 'thin-wall':
      return `The wall of ${wall(r.wallMm)} is thinner than the ${wall(r.minMm)} that a sleeve needs: it cannot be saved.`;
  }
};

const sayOutcome = (w: Whole, units: Units): readonly string[] => {
  const mm = (value: number): string => sayMm(value, units);
  const named = (kind: MarkVerdict['kind']): string => w.marks.flatMap((m) => (m.kind === kind ? [m.id] : [])).join(', ');
  switch (w.outcome) {
    case 'hone':
      return w.targetDiaMm === null || w.marginMm === null
        ? []
        : [
            `Honed to ${mm(w.targetDiaMm)}; with the gauge's uncertainty of ${mm(w.uncertaintyMm)} that stays inside the limit of ${mm(w.limitDiaMm)} by ${mm(w.marginMm)}.`,
          ];
    case 'reuse':
      return ['The bore can be used as it is.'];
    case 'polish':
      return [`Polish ${named('polish')}; nothing has to be cut.`];
    case 'sleeve':
      return [named('sleeve') === '' ? 'The bore needs a sleeve.' : `The bore needs a sleeve for ${named('sleeve')}.`];
    case 'scrap':
      return [named('scrap') === '' ? 'The body cannot be saved.' : `The body cannot be saved: ${named('scrap')}.`];
    case 'undecided':
      return ['Not decided yet: see what is to be done.'];
  }
};

/** Named where pistons of more than one diameter run in the bore. */
const ofSeal = (before: string, sealId: string | null): string => (sealId === null ? '' : `${before}${sealName(sealId)}`);
const sayMm = (value: number, units: Units): string => `${sayDia(value, units)} ${units.length}`;

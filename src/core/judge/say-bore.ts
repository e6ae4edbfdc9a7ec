import type { School } from '../rules/school';
import type { MarkVerdict } from './mark-verdict';
import type { BoreOutcome } from './outcome';
import { sealName } from './say-mark';

/** What is to be done before the bore can be judged. */
export type ToDo =
  | { readonly what: 'clean' | 'measure-depth'; readonly markId: string }
  | {
      readonly what: 'gauge';
      readonly markId?: string;
      readonly sealId?: string;
      readonly x0Mm?: number;
      readonly x1Mm?: number;
      readonly parkedMm?: number;
    }
  | { readonly what: 'check-piston'; readonly pistonDiaMm: number; readonly lowMm: number }
  | { readonly what: 'form'; readonly ovalityMm: number; readonly taperMm: number };

/** Why the whole bore comes out as it does, marks aside. */
export type BoreReason =
  | { readonly code: 'worn'; readonly highMm: number; readonly limitDiaMm: number; readonly uncertaintyMm: number }
  | { readonly code: 'target-past-limit'; readonly targetDiaMm: number; readonly limitDiaMm: number; readonly uncertaintyMm: number }
  | { readonly code: 'form'; readonly ovalityMm: number; readonly taperMm: number; readonly school: School }
  | { readonly code: 'makers-limit'; readonly limitDiaMm: number; readonly source: string }
  | { readonly code: 'thin-wall'; readonly wallMm: number; readonly minMm: number };

/** Words one thing to do. */
export const sayToDo = (t: ToDo): string => {
  switch (t.what) {
    case 'clean':
      return `Clean mark ${t.markId} and look again.`;
    case 'measure-depth':
      return `Measure the depth of mark ${t.markId}.`;
    case 'gauge':
      if (t.markId !== undefined) return `Gauge the bore, so that mark ${t.markId} can be judged.`;
      if (t.sealId === undefined || t.x0Mm === undefined || t.x1Mm === undefined || t.parkedMm === undefined) return 'Gauge the bore.';
      return `Gauge the lane of the ${sealName(t.sealId)} (${t.x0Mm.toFixed(1)} to ${t.x1Mm.toFixed(1)} mm, at rest ${t.parkedMm.toFixed(1)} mm) across at least two diameters.`;
    case 'check-piston':
      return `Measure the piston again: ${mm(t.pistonDiaMm)} does not pass a bore of ${mm(t.lowMm)}.`;
    case 'form':
      return `A lead decides whether the seals will live with ${mm(t.ovalityMm)} of ovality and ${mm(t.taperMm)} of taper; the skin is not cut for it.`;
  }
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
export const sayBore = (w: Whole): readonly string[] => [...w.reasons.map(sayReason), ...sayOutcome(w)];

const sayReason = (r: BoreReason): string => {
  switch (r.code) {
    case 'worn':
      return `Worn out as it is: ${mm(r.highMm)} at its widest, and ${mm(r.uncertaintyMm)} for the gauge, is past the limit of ${mm(r.limitDiaMm)}.`;
    case 'target-past-limit':
      return `It would have to be honed to ${mm(r.targetDiaMm)}; with the gauge's uncertainty of ${mm(r.uncertaintyMm)} that is past the limit of ${mm(r.limitDiaMm)}.`;
    case 'form':
      return `Out of form where seals run: ${mm(r.ovalityMm)} oval, ${mm(r.taperMm)} taper.${r.school === 'sleeve-first' ? ' This shop sleeves for that.' : ''}`;
    case 'makers-limit':
      return `The limit of ${mm(r.limitDiaMm)} is the maker's: ${r.source}.`;
    case 'thin-wall':
      return `The wall of ${r.wallMm.toFixed(1)} mm is thinner than the ${r.minMm.toFixed(1)} mm that a sleeve needs: it cannot be saved.`;
  }
};

const sayOutcome = (w: Whole): readonly string[] => {
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

const mm = (value: number): string => `${value.toFixed(3)} mm`;

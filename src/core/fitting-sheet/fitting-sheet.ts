import { newestOf } from '../bench/bench-record';
import { type BleedPlan, bleedPlan } from '../bleed/bleed-plan';
import { residualOf, sayPressures, sayResidual } from '../bleed/residual';
import { bleedAsText } from '../bleed/say-bleed';
import type { System } from '../bleed/system';
import { questionOf } from '../bleed/system-question';
import { sayFastened } from '../close-up/fastening';
import { roleOf } from '../family/family-name';
import { PART_KINDS } from '../family/part-kind';
import { FLUIDS } from '../fluid/fluid';
import { LUBRICANTS } from '../fluid/lubricant';
import { sayFullDate } from '../quantity/say-time';
import type { Units } from '../quantity/units';
import { fluidCautions } from '../release/say-bench';
import { FITTING_CAUTION } from '../release/statement';
import type { Rules } from '../rules/rule-set';
import { sayGapRecord } from '../set/gap-record';
import { type GapField, type GapSheet, middleOf } from '../set/gap-sheet';
import { sayFine } from '../set/say-gap';
import type { GapRules } from '../set/setup';
import { sayUnit, tagOf, type UnitRecord } from '../unit/unit-record';
import { BEFORE_ROAD, BENCH_FILL } from './before-road';

/** Something to be told, under its heading. */
export type FittingSection = { readonly head: string; readonly lines: readonly string[] };
/** What goes with a unit to the machine. Nothing of whose it is stands on it, nor what it cost. */
export type FittingSheet = {
  readonly tag: string;
  readonly unit: string;
  /** Where it belongs, where it is known from what was measured. */
  readonly fitment: string | null;
  /** Whether it may be fitted at all. */
  readonly may: { readonly kind: 'fit' | 'not-released' | 'not-fit'; readonly words: string };
  readonly sections: readonly FittingSection[];
  readonly plan: { readonly system: System; readonly plan: BleedPlan } | null;
  /** The worksheet of the pushrod’s gap, as it was filled in here; null for what has none. */
  readonly worksheet: { readonly start: GapSheet; readonly rules: GapRules } | null;
};

/** The fitting sheet of a unit as it stands. @param system of its fitment, where one is kept */
export const fittingSheetOf = (r: UnitRecord, system: System | null, rules: Rules, units: Units): FittingSheet => {
  const role = roleOf(r.family);
  const plan = system === null ? null : { system, plan: bleedPlan({ ...questionOf(system), rules: null }, rules) };
  const fill = BENCH_FILL[role];
  const sections: readonly FittingSection[] = [
    { head: 'What was set at the bench', lines: setLines(r, units) },
    ...checkLines(r, units),
    { head: 'Fluid', lines: fluidLines(r) },
    { head: 'Fill it before it is joined', lines: fill === null ? [] : [fill] },
    { head: 'Use new', lines: newLines(r) },
    { head: 'How tight', lines: tightLines(r) },
    { head: 'Boots', lines: r.tray.some((p) => p.kind === 'boot' || p.kind === 'dust-seal') ? [BOOTS] : [] },
    { head: 'Bleed', lines: plan === null ? [NO_PLAN] : bleedAsText(plan.system, plan.plan).split('\n').slice(1) },
    {
      head: 'Residual pressure',
      lines:
        plan === null
          ? []
          : residualOf(plan.system, rules.bleedDensityKgM3).map((a) => `${a.ends.join(', ')}: ${sayResidual(a)} ${sayPressures(a, units)}`),
    },
    { head: 'Before the road', lines: BEFORE_ROAD[role] },
    { head: 'Who may', lines: [FITTING_CAUTION] },
  ];
  return {
    tag: tagOf(r.unit),
    unit: `${sayUnit(r)}${r.unit.position === '' ? '' : `, ${r.unit.position}`}`,
    fitment: r.identity?.label ?? null,
    may: mayFit(r),
    sections: sections.filter((s) => s.lines.length > 0),
    plan,
    worksheet: r.family.hasGap ? { start: newestOf(r.bench, 'gap')?.sheet ?? {}, rules: gapRulesOf(rules) } : null,
  };
};

const gapRulesOf = ({ windowMinMm, windowMaxMm, gapTargetMm }: Rules): GapRules => ({ windowMinMm, windowMaxMm, gapTargetMm });

const BOOTS =
  'Ease each boot over its edge by hand, with nothing sharp; one that is nicked lets water in, and is changed before the machine moves.';
const NO_PLAN =
  'No system is kept for its fitment: longest line first, new fluid until it comes clear and without a bubble, topped up before the reservoir is low.';

const mayFit = ({ unit }: UnitRecord): FittingSheet['may'] => {
  switch (unit.exit) {
    case null:
      return { kind: 'not-released', words: 'It is still in the shop and not released: do not fit it.' };
    case 'released':
      return {
        kind: 'fit',
        words: `Released on ${sayFullDate(unit.exitAt ?? unit.changedAt)}. Its certificate says what was proved, and what was not.`,
      };
    case 'scrapped':
    case 'returned':
      return { kind: 'not-fit', words: 'It left the shop without a release: do not fit it.' };
  }
};

const setLines = (r: UnitRecord, units: Units): readonly string[] => {
  const gap = newestOf(r.bench, 'gap');
  if (gap === undefined) return r.family.hasGap ? ['The pushrod gap was not set here: set it on the machine.'] : [];
  const { rodNew, ratio } = gap.sheet;
  return [
    `${sayGapRecord(gap, units)}.`,
    ...(rodNew === undefined ? [] : [`Pushrod, from its seat to its tip: ${sayFine(rodNew, units)} ${units.length}.`]),
    ...(ratio === undefined
      ? []
      : [
          `Free play that it leaves at the pedal, at the least: ${sayFine(gap.gapMm * ratio, units)} ${units.length} (pedal ratio ${ratio}).`,
        ]),
  ];
};

/** The four depths as they are measured on the machine, each beside what it was here. */
const CHECKS: readonly (readonly [GapField, GapField, string])[] = [
  ['standOff', 'standOff2', 'Master off: how far its rim stands off the flange that it is bolted by'],
  ['socket', 'socket2', 'Master off: from the rim to the bottom of the socket that the rod goes into'],
  ['edge', 'edge2', 'A straight edge across the booster’s flange: how thick it is, with its blocks'],
  ['reading', 'reading2', 'From the outer side of that edge down to the tip of the rod'],
];

const checkLines = (r: UnitRecord, units: Units): readonly FittingSection[] => {
  const gap = newestOf(r.bench, 'gap');
  if (!r.family.hasGap) return [];
  const was = (first: GapField, second: GapField): string => {
    const mm = gap?.way === 'depths' ? middleOf(gap.sheet, first, second) : undefined;
    return mm === undefined ? '' : `; here ${sayFine(mm, units)} ${units.length}`;
  };
  return [
    {
      head: 'How to check the gap on the machine',
      lines: [
        ...CHECKS.map(([first, second, words], i) => `${i + 1}. ${words}${was(first, second)}.`),
        `Gap = (2) − (1) + (4) − (3)${gap?.sheet.spacer ? `, and ${sayFine(gap.sheet.spacer, units)} ${units.length} of spacer` : ''}. Read each twice. No gap, and the brakes can apply themselves as they warm.`,
      ],
    },
  ];
};

const fluidLines = (r: UnitRecord): readonly string[] => {
  const touch = newestOf(r.bench, 'touch');
  return [
    ...(touch?.fluid == null
      ? []
      : [`Put together for ${FLUIDS[touch.fluid].label}, wetted with ${LUBRICANTS[touch.lubricant].label}. From a closed bottle.`]),
    ...fluidCautions(r),
  ];
};

/** What is changed each time it is opened: from its own tray, and what its lines bring. */
const newLines = (r: UnitRecord): readonly string[] => {
  const own = r.tray.flatMap((p) =>
    p.kind === 'sealing-washer' || p.kind === 'split-pin' ? [`${p.name}${p.qty > 1 ? ` × ${p.qty}` : ''}`] : [],
  );
  return [
    `${own.length === 0 ? '' : `${own.join(', ')}. `}A washer on each side of every banjo that is opened; every split pin that is drawn.`,
  ];
};

const tightLines = (r: UnitRecord): readonly string[] => {
  const joined = newestOf(r.bench, 'joined');
  const own = r.tray.flatMap((p) =>
    p.goesIn?.fastened == null ? [] : [sayFastened({ name: PART_KINDS[p.kind].label }, p.goesIn.fastened)],
  );
  return [
    ...[...new Set(own)].map((t) => `Here: ${t}.`),
    ...(joined === undefined ? [] : [`Here: ${sayFastened({ name: 'screws of the halves' }, joined.fastened)}.`]),
    'Its fixing bolts, banjos and line nuts by the machine’s manual. A union that weeps at its torque is opened and looked at, not tightened on.',
  ];
};

import { FLUIDS, lowerBoiling, mixingOf } from '../fluid/fluid';
import { fixed, rewritten } from '../quantity/figure';
import { BLEED_METHODS } from './bleed-method';
import type { BleedPlan, BleedStep, BleedWarning } from './bleed-plan';
import { ODDITIES, SCREW_LOW_TO_DO } from './end-kind';
import { residueShare } from './residue';
import type { System, SystemEnd } from './system';
import { FLUID_OF } from './wire-fluid';

/** What is told of an end, and what is done about it. */
export type EndAdvice = { readonly endId: string; readonly says: string; readonly toDo: string };

const WARNING_TO_DO: { readonly [C in BleedWarning['code']]: string } = {
  'no-drop': 'Pump with a helper, or pull with vacuum; or raise the reservoir above it with a hose and a funnel.',
  'gravity-slow': 'Warm fluid runs faster; a few gentle strokes carry the bubble on.',
  'screw-low': SCREW_LOW_TO_DO,
  'reservoir-small': 'A bottle upside down in its neck keeps it full, or a second person who pours.',
  'does-not-mix': 'Dry out lines and cylinders, change every rubber that the old fluid lay on, then fill.',
};

/** A warning with what to do about it. */
export const warningToDo = (w: BleedWarning): string => WARNING_TO_DO[w.code];

/** What is odd about how ends sit, each with what to do. */
export const oddAdvice = (ends: readonly SystemEnd[]): readonly EndAdvice[] =>
  ends.flatMap((e) =>
    e.odd.map((o) => ({ endId: e.id, says: `${e.id} ${ODDITIES[o].label}: ${ODDITIES[o].says}.`, toDo: ODDITIES[o].toDo })),
  );

/** Minutes as a bench says them. */
export const sayMinutes = (minutes: number | null): string =>
  minutes === null ? 'cannot be said' : minutes < 1 ? `${Math.ceil(minutes * 60)} s` : `${fixed(minutes, minutes < 10 ? 1 : 0)} min`;

/** Old fluid that stays in the lines, as if each were stirred. @returns such as `14 %` */
export const sayResidue = (plan: BleedPlan): string => `${fixed(100 * residueShare(plan.rulesUsed.flushTurnover), 0)} %`;

/** What becomes of the fluid that is in it where the two mix; undefined where there is nothing to mind. */
export const sayMixing = ({ fluidIn, fluidFresh }: System, plan: BleedPlan): string | undefined => {
  if (fluidIn == null || fluidFresh == null) return undefined;
  const [was, now] = [FLUID_OF[fluidIn], FLUID_OF[fluidFresh]];
  if (mixingOf(was, now) !== 'lower-boiling') return undefined;
  return `${FLUIDS[was].label} and ${FLUIDS[now].label} mix. The ${sayResidue(plan)} that stays keeps it from boiling as late as ${FLUIDS[now].label} does: it counts as ${FLUIDS[lowerBoiling(was, now)].label} until it has been flushed again.`;
};

/** Every end of the plan in a line. */
export const sayStep = (s: BleedStep, i: number): string =>
  `${i + 1}. ${s.endId}: ${s.strokes} strokes, ${fixed(s.flushMl, 0)} ml${s.topUps === null ? '' : s.topUps === 0 ? '' : `, top up ${s.topUps} times on the way`}`;

/** The plan as text, to be taken along. */
export const bleedAsText = (system: System, plan: BleedPlan): string =>
  [
    `Bleed ${system.name}`,
    ...plan.order.map(sayStep),
    plan.topUpEvery === null ? 'Keep the reservoir full all the while.' : `Top up every ${plan.topUpEvery} strokes.`,
    `Fluid: ${fixed(plan.freshMl, 0)} ml, ${plan.bottles} ${plan.bottles === 1 ? 'bottle' : 'bottles'}${system.fluidFresh == null ? '' : ` of ${FLUIDS[FLUID_OF[system.fluidFresh]].label}`}.`,
    ...plan.methods.map(
      (m) => `By ${BLEED_METHODS[m.method].label}: ${sayMinutes(m.minutes)}, ${m.people === 1 ? 'one person' : `${m.people} people`}.`,
    ),
    ...plan.warnings.map((w) => `Mind: ${rewritten(w.text)} ${warningToDo(w)}`),
    ...oddAdvice(system.ends).map((a) => `Mind: ${a.says} ${a.toDo}`),
  ].join('\n');

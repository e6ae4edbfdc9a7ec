import { benchOf, newestOf } from '../bench/bench-record';
import { sayFastened } from '../close-up/fastening';
import { sayJoined } from '../close-up/joining';
import { FINISHES } from '../finish/finish';
import { sayContact, weightOf } from '../fluid/contact';
import { FLUIDS } from '../fluid/fluid';
import { LUBRICANTS } from '../fluid/lubricant';
import { RUBBERS, statedRubbers } from '../fluid/rubber';
import { checkValveFound, pedalFound, rodTipText } from '../pedal-end/booster';
import { REMEDIES } from '../pedal-end/hole';
import { sayVacuumHold } from '../pedal-end/vacuum';
import { fixed } from '../quantity/figure';
import { METRIC } from '../quantity/units';
import { sayGapRecord } from '../set/gap-record';
import { contactsWith } from '../unit/facts-of';
import type { UnitRecord } from '../unit/unit-record';

/** What a certificate tells of the close-up: fluid and rubber, how it was tightened, what was put on, the gap, and mended holes. */
export const sayClosedUp = (r: UnitRecord): readonly string[] => {
  const touch = newestOf(r.bench, 'touch');
  const gap = newestOf(r.bench, 'gap');
  const joined = newestOf(r.bench, 'joined');
  const rubber = touch?.rubber ?? statedRubbers(r.setAside)[0];
  const tightened = r.tray.flatMap((p) => (p.goesIn == null || p.goesIn.fastened === null ? [] : [sayFastened(p, p.goesIn.fastened)]));
  const holes = benchOf(r.bench, 'hole').flatMap((h) => {
    const name = r.tray.find((p) => p.id === h.partId)?.name ?? 'hole';
    return [
      `Hole of the ${name}, ${fixed(h.before.longMm, 2)} mm: ${REMEDIES[h.remedy]}${h.after === null ? '' : `, now ${fixed(h.after.longMm, 2)} mm`}.`,
    ];
  });
  return [
    ...(touch?.fluid == null || contactsWith(r).length === 0
      ? []
      : [
          `Closed up for ${FLUIDS[touch.fluid].label}${rubber === undefined ? '' : `, rubber ${RUBBERS[rubber]}`}, wetted with ${LUBRICANTS[touch.lubricant].label}.`,
        ]),
    ...(joined === undefined ? [] : [sayJoined(joined)]),
    ...(tightened.length === 0 ? [] : [`Tightened: ${tightened.join('; ')}.`]),
    ...benchOf(r.bench, 'finish').map((f) => `Put on: ${FINISHES[f.finish].label}${f.note === '' ? '' : `, ${f.note}`}.`),
    ...(gap === undefined ? [] : [`${sayGapRecord(gap, METRIC)}.`]),
    ...holes,
  ];
};

/** What was tried by hand on a booster. */
export const sayTried = (r: UnitRecord): readonly string[] => {
  const valve = newestOf(r.bench, 'check-valve');
  const pedal = newestOf(r.bench, 'pedal');
  const tip = newestOf(r.bench, 'rod-tip');
  return [
    ...(valve === undefined ? [] : [checkValveFound(valve).text]),
    ...(['at-rest', 'pressed'] as const).flatMap((rod) => {
      const hold = benchOf(r.bench, 'vacuum').findLast((v) => v.rod === rod);
      return hold === undefined ? [] : [`Vacuum, rod ${rod.replace('-', ' ')}: ${sayVacuumHold(hold, hold.limitKPa)}`];
    }),
    ...(tip === undefined ? [] : [rodTipText(tip, METRIC)]),
    ...(pedal === undefined ? [] : [pedalFound(pedal.answer).text]),
  ];
};

/** What whoever fits it has to mind about its fluid; nothing where none is in it. */
export const fluidCautions = (r: UnitRecord): readonly string[] => {
  const contacts = contactsWith(r);
  if (contacts.length === 0) return [];
  const fluid = newestOf(r.bench, 'touch')?.fluid ?? null;
  const told = contacts.flatMap((c) => ((c.code === 'mixed' || c.code === 'was-unknown') && weightOf(c) !== 'good' ? [sayContact(c)] : []));
  const ruins =
    fluid !== null && FLUIDS[fluid].base === 'mineral'
      ? 'Any other brake fluid ruins the seals.'
      : 'A mineral oil of any kind ruins the seals.';
  return [...told, `Use only the fluid that the machine’s maker names. ${ruins}`];
};

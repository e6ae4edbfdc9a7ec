import { sayComplaint } from '../book-in/complaint';
import { MATERIAL_WORDS } from '../family/material';
import { gaugeBore } from '../gauge/gauge';
import { sayNotSeen, sayRests } from '../judge/say-covers';
import { sayStep } from '../prove/programme/say-step';
import type { StepKind } from '../prove/programme/step';
import { RUN_COVERS } from '../prove/run-covers';
import { RUN_WAYS } from '../prove/run-way';
import { sayNominal } from '../quantity/say';
import { METRIC } from '../quantity/units';
import type { Rules } from '../rules/rule-set';
import { STATION_WORDS } from '../station';
import { METHODS } from '../strip/treatment';
import { currentGauging, currentVerdict } from '../unit/facts-of';
import { lookedOf } from '../unit/looked-of';
import { provingOf } from '../unit/proving';
import { sayUnit, tagOf, type UnitRecord } from '../unit/unit-record';
import { fluidCautions, sayClosedUp, sayTried } from './say-bench';

/** What a certificate states. Plain text and numbers only, so that it reads the same in ten years. */
export type Statement = {
  readonly number: number;
  readonly at: number;
  readonly tag: string;
  readonly unit: string;
  readonly machine: string;
  readonly customer: string;
  readonly complaint: string;
  readonly identityMarks: string;
  /** Null where there is none. */
  readonly bore: {
    readonly nominal: string;
    readonly material: string;
    readonly pistonDiaMm: number | null;
    readonly before: BoreFigures | null;
    readonly after: BoreFigures | null;
    readonly limitDiaMm: number | null;
    readonly verdict: readonly string[];
  } | null;
  /** What was done by hand or elsewhere, as the people who did it noted it. */
  readonly work: readonly string[];
  readonly fitted: readonly string[];
  readonly kits: readonly string[];
  readonly proved: readonly string[];
  readonly notProved: readonly string[];
  readonly overrides: readonly string[];
  readonly cautions: readonly string[];
  readonly signatures: readonly { readonly name: string; readonly role: string; readonly at: number }[];
};

export type BoreFigures = { readonly stations: number; readonly maxMm: number; readonly minMm: number; readonly uncertaintyMm: number };

export type ReleaseContext = {
  readonly number: number;
  readonly at: number;
  readonly nameOf: (personId: string) => string;
  readonly rules: Rules;
};

/** What whoever fits the unit has to mind; of fluid and gap only where it has them. */
const cautionsFor = (r: UnitRecord): readonly string[] => [
  ...fluidCautions(r),
  'Fitting, bleeding and the road test belong to licensed people, by the machine’s workshop manual and local rules.',
  ...(r.family.hasGap ? ['Set the pushrod gap on the machine: with no gap the brakes can apply themselves when they warm.'] : []),
];

/** The statement of a release, from the unit's own record: what was done, what was proved, and what was not. */
export const stateRelease = (r: UnitRecord, c: ReleaseContext): Statement => {
  const { family } = r;
  const verdict = currentVerdict(r);
  const looked = lookedOf(r, c.rules);
  return {
    number: c.number,
    at: c.at,
    tag: tagOf(r.unit),
    unit: `${sayUnit(r)}${r.unit.position === '' ? '' : `, ${r.unit.position}`}`,
    machine: r.job.machine,
    customer: r.job.customer,
    complaint: sayComplaint(r.job.complaints, r.job.complaintText),
    identityMarks: r.unit.identityMarks,
    bore:
      r.unit.geometry === null
        ? null
        : {
            nominal: sayNominal(r.unit.geometry.nominalMm),
            material: MATERIAL_WORDS[r.unit.material],
            pistonDiaMm: r.unit.pistonDiaMm,
            before: figures(r, 0, c.rules),
            after: currentGauging(r) === undefined ? null : figures(r, r.gaugings.length - 1, c.rules),
            limitDiaMm: verdict?.answer.limitDiaMm ?? null,
            verdict: verdict === undefined ? [] : [...verdict.answer.reasons, ...(looked === undefined ? [] : sayRests(looked))],
          },
    work: [
      ...sayTreatments(r.treatments),
      ...sayClosedUp(r),
      ...r.steps.flatMap((s) => (s.note === '' ? [] : [`${STATION_WORDS[s.station]}: ${s.note}.`])),
    ],
    fitted: r.tray
      .filter((p) => p.goesIn !== null)
      .map((p) => `${p.name}${p.qty > 1 ? ` × ${p.qty}` : ''}: ${p.goesIn?.piece === 'new' ? 'new' : 'the unit’s own, inspected'}`),
    kits: r.setAside.map((s) => `${s.number} ${s.name}, lot ${s.lotCode}`),
    proved: [...sayProved(r), ...sayTried(r)],
    notProved: [
      ...(family.hasGap ? ['Pushrod gap on the machine.'] : []),
      'Return of the piston under load, and behaviour when hot.',
      ...(looked === undefined ? [] : sayNotSeen(looked)),
      ...unproved(r),
    ],
    overrides: r.steps.flatMap((s) =>
      s.override === null ? [] : [`${STATION_WORDS[s.station]}: ${s.unmet.join(' ')} Overridden by ${c.nameOf(s.personId)}: ${s.override}`],
    ),
    cautions: cautionsFor(r),
    signatures: r.signatures.map(({ name, role, at }) => ({ name, role, at })),
  };
};

/** What a certificate says of the reach of its runs, by the steps that make them. */
const COVERED: readonly (readonly [keyof typeof RUN_COVERS, readonly StepKind[]])[] = [
  ['hold', ['hold', 'cycles']],
  ['port', ['port']],
  ['residual', ['residual']],
];

/** The programme and what was found at each of its steps. */
const sayProved = (r: UnitRecord): readonly string[] => {
  const done = provingOf(r).filter((s) => s.stands !== 'open');
  if (r.family.proof !== 'rig' || done.length === 0) return [];
  const ways = [...new Set(r.runs.filter((x) => x.state === 'finished').map((x) => RUN_WAYS[x.way]))];
  return [
    `By the shop’s programme for ${r.family.label.toLowerCase()}, ${r.programme.version === 0 ? 'as delivered' : `version ${r.programme.version}`}${ways.length === 0 ? '' : `; ${ways.join('; ')}`}.`,
    ...COVERED.flatMap(([what, kinds]) => (done.some((s) => kinds.includes(s.step.kind)) ? [RUN_COVERS[what]] : [])),
    ...done.map((s) => `${capital(sayStep(s.step, METRIC))}: ${s.texts.join(' ')}`),
  ];
};

/** Steps that its programme offers and nobody did, or that did not pass. */
const unproved = (r: UnitRecord): readonly string[] => {
  const left = provingOf(r).filter((s) => s.stands !== 'pass');
  const names = left.map((s) => `${sayStep(s.step, METRIC)}${s.stands === 'open' ? '' : ' (did not pass)'}`);
  return r.family.proof !== 'rig' || names.length === 0 ? [] : [`${capital(names.join('; '))}.`];
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What freed and cleaned the body, each method once. */
const sayTreatments = (treatments: UnitRecord['treatments']): readonly string[] => {
  const names = (what: 'freeing' | 'cleaning') => [
    ...new Set(treatments.filter((t) => METHODS[t.method].for === what && t.method !== 'looked-again').map((t) => METHODS[t.method].label)),
  ];
  const [freed, cleaned] = [names('freeing'), names('cleaning')];
  return [
    ...(freed.length === 0 ? [] : [`Freed: ${freed.join(', ')}.`]),
    ...(cleaned.length === 0 ? [] : [`Cleaned: ${cleaned.join(', ')}.`]),
  ];
};

/** The bore's figures by one gauging, judged or not, with the uncertainty of the shop's gauges. */
const figures = (r: UnitRecord, index: number, rules: Rules): BoreFigures | null => {
  const gauging = r.gaugings[index];
  if (gauging === undefined || gauging.readings.length === 0) return null;
  const { readings, bodyTempC, gaugeTempC } = gauging;
  const form = gaugeBore({ readings, material: r.unit.material, bodyTempC, gaugeTempC }, rules);
  return { stations: form.stations.length, maxMm: form.maxMm, minMm: form.minMm, uncertaintyMm: form.expandedUncertaintyMm };
};

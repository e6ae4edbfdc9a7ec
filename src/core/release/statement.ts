import { sayComplaint } from '../book-in/complaint';
import { capital } from '../capital';
import { isPiston } from '../family/carrier';
import { MATERIAL_WORDS } from '../family/material';
import { gaugeBore } from '../gauge/gauge';
import { sayNotSeen, sayRests } from '../judge/say-covers';
import { locale } from '../locale';
import type { Role } from '../people/role';
import { sayStep } from '../prove/programme/say-step';
import type { StepKind } from '../prove/programme/step';
import { RUN_COVERS } from '../prove/run-covers';
import { RUN_WAYS } from '../prove/run-way';
import { sayNominal } from '../quantity/say';
import { METRIC } from '../quantity/units';
import type { Rules } from '../rules/rule-set';
import { STATION_WORDS } from '../station';
import { diaOf } from '../strip/pistons';
import { METHODS, type TreatmentResult } from '../strip/treatment';
import { type Bore, boresOf } from '../unit/bores';
import { currentGauging, currentVerdict } from '../unit/facts-of';
import { lookedOf } from '../unit/looked-of';
import { provingOf } from '../unit/proving';
import { sayUnit, tagOf, type UnitRecord } from '../unit/unit-record';
import { fluidCautions, sayClosedUp, sayTried } from './say-bench';
import { sayFitted } from './say-fitted';

/** What a certificate states. Plain text and numbers only, so that it reads the same in ten years. */
export type Statement = {
  /** Who states it, as on the shop's papers; absent where the shop had not said. */
  readonly shop?: readonly string[];
  readonly number: number;
  readonly at: number;
  readonly tag: string;
  readonly unit: string;
  readonly machine: string;
  readonly customer: string;
  readonly complaint: string;
  readonly identityMarks: string;
  /** Null where there is none. */
  readonly bore: StatedBore | null;
  /** The second and third pot of a caliper half; absent where there is one bore. */
  readonly pots?: readonly StatedBore[];
  /** What was done by hand or elsewhere, as the people who did it noted it. */
  readonly work: readonly string[];
  readonly fitted: readonly string[];
  readonly kits: readonly string[];
  readonly proved: readonly string[];
  readonly notProved: readonly string[];
  readonly overrides: readonly string[];
  readonly cautions: readonly string[];
  readonly signatures: readonly { readonly name: string; readonly role: Role; readonly at: number }[];
};

export type StatedBore = {
  /** Which pot it is, where there are several. */
  readonly name?: string;
  readonly nominal: string;
  readonly material: string;
  /** Of the thinnest; `pistons` has each, since there was more than one to tell. */
  readonly pistonDiaMm: number | null;
  readonly pistons?: readonly { readonly name: string; readonly diaMm: number }[];
  readonly before: BoreFigures | null;
  readonly after: BoreFigures | null;
  readonly limitDiaMm: number | null;
  readonly verdict: readonly string[];
};

export type BoreFigures = { readonly stations: number; readonly maxMm: number; readonly minMm: number; readonly uncertaintyMm: number };

export type ReleaseContext = {
  readonly number: number;
  readonly at: number;
  readonly nameOf: (personId: string) => string;
  readonly rules: Rules;
};

/** Who fits, bleeds and tries it. */
export const FITTING_CAUTION =
  'Fitting, bleeding and the road test belong to licensed people, by the machine’s workshop manual and local rules.';

/** What whoever fits the unit has to mind; of fluid and gap only where it has them. */
const cautionsFor = (r: UnitRecord): readonly string[] => [
  ...fluidCautions(r),
  FITTING_CAUTION,
  ...(r.family.hasGap ? ['Set the pushrod gap on the machine: with no gap the brakes can apply themselves when they warm.'] : []),
];

/** The statement of a release, from the unit's own record: what was done, what was proved, and what was not. */
export const stateRelease = (r: UnitRecord, c: ReleaseContext): Statement => {
  const { family } = r;
  const bores = boresOf(r).map((bore) => stateBore(bore, r.unit.morePots.length, c.rules));
  const looked = boresOf(r).flatMap(({ record }) => lookedOf(record, c.rules) ?? []);
  return {
    number: c.number,
    at: c.at,
    ...(locale().letterhead.length === 0 ? {} : { shop: locale().letterhead }),
    tag: tagOf(r.unit),
    unit: `${sayUnit(r)}${r.unit.position === '' ? '' : `, ${r.unit.position}`}`,
    machine: r.job.machine,
    customer: r.job.customer,
    complaint: sayComplaint(r.unit.complaints, r.unit.complaintText),
    identityMarks: r.unit.identityMarks,
    bore: bores[0] ?? null,
    ...(bores.length < 2 ? {} : { pots: bores.slice(1) }),
    work: [
      ...sayTreatments(r.treatments),
      ...sayClosedUp(r),
      ...r.steps.flatMap((s) => (whole(s.note) === '' ? [] : [`${STATION_WORDS[s.station]}: ${whole(s.note)}.`])),
    ],
    fitted: sayFitted(r.tray, c.rules),
    kits: r.setAside.map((s) => `${s.number} ${s.name}, lot ${s.lotCode}`),
    proved: [...sayProved(r), ...sayTried(r)],
    notProved: [
      ...(family.hasGap ? ['Pushrod gap on the machine.'] : []),
      'Return of the piston under load, and behaviour when hot.',
      ...new Set(looked.flatMap((l) => sayNotSeen(l))),
      ...unproved(r),
    ],
    overrides: r.steps.flatMap((s) =>
      s.override === null ? [] : [`${STATION_WORDS[s.station]}: ${s.unmet.join(' ')} Overridden by ${c.nameOf(s.personId)}: ${s.override}`],
    ),
    cautions: cautionsFor(r),
    signatures: r.signatures.map(({ name, role, at }) => ({ name, role, at })),
  };
};

/** What is stated of one bore. @param others how many more there are */
const stateBore = ({ name, geometry, record: r }: Bore, others: number, rules: Rules): StatedBore => {
  const verdict = currentVerdict(r);
  const looked = lookedOf(r, rules);
  return {
    ...(others === 0 ? {} : { name: capital(name) }),
    nominal: sayNominal(geometry.nominalMm),
    material: MATERIAL_WORDS[r.unit.material],
    pistonDiaMm: r.unit.pistonDiaMm,
    pistons: r.tray.filter(isPiston).flatMap((p) => {
      const diaMm = diaOf(p);
      return diaMm === undefined ? [] : [{ name: p.name, diaMm }];
    }),
    before: figures(r, 0, rules),
    after: currentGauging(r) === undefined ? null : figures(r, r.gaugings.length - 1, rules),
    limitDiaMm: verdict?.answer.limitDiaMm ?? null,
    verdict: verdict === undefined ? [] : [...verdict.answer.reasons, ...(looked === undefined ? [] : sayRests(looked))],
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

/** A note without the empty end that a form left on it. */
const whole = (note: string): string => note.replace(/[\s.:;,]+$/, '');

/** Steps that its programme offers and nobody did, or that did not pass. */
const unproved = (r: UnitRecord): readonly string[] => {
  const left = provingOf(r).filter((s) => s.stands !== 'pass');
  const names = left.map((s) => `${sayStep(s.step, METRIC)}${s.stands === 'open' ? '' : ' (did not pass)'}`);
  return r.family.proof !== 'rig' || names.length === 0 ? [] : [`${capital(names.join('; '))}.`];
};

/** How an attempt ended. */
const ENDED: readonly TreatmentResult[] = ['freed', 'moved', 'no', 'stopped'];

/** What was tried to free the body, each by how it ended, and how it was cleaned; each method once. */
const sayTreatments = (treatments: UnitRecord['treatments']): readonly string[] => {
  const named = (words: string, which: (t: UnitRecord['treatments'][number]) => boolean): readonly string[] => {
    const names = [...new Set(treatments.filter(which).map((t) => METHODS[t.method].label))];
    return names.length === 0 ? [] : [`${words}: ${names.join(', ')}.`];
  };
  const freeing =
    (...results: readonly TreatmentResult[]) =>
    (t: UnitRecord['treatments'][number]): boolean =>
      METHODS[t.method].for === 'freeing' && results.includes(t.result);
  return [
    ...named('Freed by', freeing('freed')),
    ...named('Moved a little by', freeing('moved')),
    ...named('Tried, and it did not move', freeing('no')),
    ...named('Tried, and stopped', freeing('stopped')),
    ...named(
      'Done, how it ended not noted',
      (t) => freeing('waiting', 'done')(t) && !treatments.some((x) => x.method === t.method && ENDED.includes(x.result)),
    ),
    ...named('Cleaned', (t) => METHODS[t.method].for === 'cleaning' && t.method !== 'looked-again'),
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

import { FAMILIES } from '../family/families';
import type { Geometry } from '../family/geometry';
import { MATERIAL_WORDS } from '../family/material';
import type { JudgeInput, Judgement } from '../judge/judge';
import { MARK_WORDS } from '../judge/mark';
import { BORE_OUTCOMES } from '../judge/outcome';
import { sayStep } from '../prove/programme/say-step';
import type { RigSample } from '../prove/rig-sample';
import { RUN_OUTCOME_WORDS, type Run } from '../prove/run';
import { fixed, plain } from '../quantity/figure';
import { METRIC } from '../quantity/units';
import { CONDITION_WORDS } from '../strip/condition';
import { FATE_WORDS } from '../strip/fate';
import type { TrayPart } from '../strip/tray-schema';
import type { UnitRecord } from '../unit/unit-record';
import type { Case } from './case-schema';

/** What of a unit that left can be asked of somebody who learns, with the record’s answer. `of`: a verdict, the tray, or a run. */
export type Askable = { readonly of: string; readonly asked: Case };

/** A judgement as it was saved: what it was made from, and what it came to. */
export type JudgedBore = { readonly id: string; readonly pot: number; readonly input: JudgeInput; readonly answer: Judgement };
/** A run with what was measured in it. */
export type MeasuredRun = Pick<Run, 'id' | 'step' | 'outcome' | 'sentence'> & { readonly samples: readonly RigSample[] };

/** Points of a trace that a picture needs. */
const MOST_POINTS = 300;

/** Everything of a unit that can be asked: no customer, machine, tag or person is in any of it. */
export const askables = (
  r: Pick<UnitRecord, 'unit' | 'family' | 'tray'>,
  verdicts: readonly JudgedBore[],
  runs: readonly MeasuredRun[],
): readonly Askable[] => [
  ...verdicts.flatMap((v) => {
    const asked = boreCase(r, v);
    return asked === undefined ? [] : [{ of: v.id, asked }];
  }),
  ...trayCase(r).map((asked) => ({ of: 'tray', asked })),
  ...runs.flatMap((run) => runCase(r, run).map((asked) => ({ of: run.id, asked }))),
];

const boreCase = ({ unit, family }: Pick<UnitRecord, 'unit' | 'family'>, { pot, input, answer }: JudgedBore): Case | undefined => {
  const geometry: Geometry | null | undefined = pot === 1 ? unit.geometry : unit.morePots[pot - 2]?.geometry;
  const options = BORE_OUTCOMES.filter((o) => o !== 'undecided');
  const right = options.indexOf(answer.outcome as (typeof options)[number]);
  if (geometry == null || right === -1) return undefined;
  const dias = (input.readings ?? []).map((x) => x.diaMm);
  const marks = input.marks ?? [];
  return {
    asks: 'What is done with this bore?',
    facts: [
      `${family.label} of ${MATERIAL_WORDS[input.material]}, nominal ${fixed(input.bore.nominalMm, 3)} mm; piston ${fixed(input.pistonDiaMm, 3)} mm; the limit is ${fixed(answer.limitDiaMm, 3)} mm.`,
      ...(dias.length === 0
        ? []
        : [`Gauged at ${dias.length} places: ${fixed(Math.min(...dias), 3)} to ${fixed(Math.max(...dias), 3)} mm.`]),
      ...marks.map(
        (m) =>
          `${m.id}: ${MARK_WORDS[m.kind]}, ${m.depthUm == null ? 'no depth measured' : `${plain(m.depthUm)} µm deep`}, from ${fixed(m.x0Mm, 1)} to ${fixed(m.x1Mm, 1)} mm${m.cleaned ? '' : ', not cleaned'}.`,
      ),
      ...(marks.length === 0 ? ['No marks.'] : []),
    ],
    picture: {
      kind: 'map',
      geometry,
      marks: marks.map(({ id, x0Mm, x1Mm, clock0Deg, clock1Deg }) => ({ name: id, x0Mm, x1Mm, clock0Deg, clock1Deg })),
    },
    form: { kind: 'choose', options },
    right,
    because: [...answer.reasons],
  };
};

/** Parts that were looked at; asked only where some went back and some did not. */
const trayCase = ({ family, tray }: Pick<UnitRecord, 'family' | 'tray'>): readonly Case[] => {
  const seen = tray.filter((p) => p.found === 'present' && p.condition !== null && p.fate !== null);
  const right = seen.flatMap((p, i) => (p.fate === 'refitted' ? [] : [i]));
  if (right.length === 0 || right.length === seen.length) return [];
  const found = (p: TrayPart): string => `${p.name}: ${p.condition === null ? '' : CONDITION_WORDS[p.condition]}`;
  return [
    {
      asks: 'Which of these did not go back?',
      facts: [`${FAMILIES[family.name].label}, as it came out.`],
      picture: null,
      form: { kind: 'pick', items: seen.map(found) },
      right,
      because: seen.map((p) => `${found(p)}; ${p.fate === null ? '' : FATE_WORDS[p.fate]}.`),
    },
  ];
};

const runCase = ({ family }: Pick<UnitRecord, 'family'>, { step, outcome, sentence, samples }: MeasuredRun): readonly Case[] => {
  if (outcome === null || samples.length < 2) return [];
  const every = Math.ceil(samples.length / MOST_POINTS);
  const outcomes = ['pass', 'fail', 'hold-longer'] as const;
  return [
    {
      asks: 'What did this run come to?',
      facts: [`${family.label}. The step: ${sayStep(step, METRIC)}.`],
      picture: { kind: 'trace', points: samples.filter((_, i) => i % every === 0).map((s) => ({ tS: s.t, pBar: s.p })) },
      form: { kind: 'choose', options: outcomes.map((o) => RUN_OUTCOME_WORDS[o]) },
      right: outcomes.indexOf(outcome),
      because: sentence === '' ? [RUN_OUTCOME_WORDS[outcome]] : [sentence],
    },
  ];
};

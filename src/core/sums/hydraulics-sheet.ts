import { numbersIn, plainFigure, type Query, queryOf } from '../schema/sheet';
import type { Circuit, SplitInput } from '../set/circuits';
import type { Cylinder, HydraulicsInput } from '../set/hydraulics';

/** Figures of the sheet: force N, lengths mm, volumes ml. */
export const HYDRAULICS_FIELDS = ['force', 'ratio', 'boost', 'bore', 'stroke', 'rearStroke', 'hose', 'volume', 'air'] as const;
export type HydraulicsField = (typeof HYDRAULICS_FIELDS)[number];
/** Cylinders on a line of the sheet: so many of a size, on one circuit. */
export type SheetCylinder = Cylinder & { readonly circuit: Circuit };
export type HydraulicsSheet = { readonly [F in HydraulicsField]?: number | undefined } & {
  readonly cylinders: readonly SheetCylinder[];
  /** Other bores of the master, mm. */
  readonly others: readonly number[];
};

/** A drum-braked trailer’s worth, to start from. */
export const FIRST_CYLINDERS: readonly SheetCylinder[] = [
  { id: 'front', diaMm: 25.4, count: 2, travelMm: 1.2, circuit: 'front' },
  { id: 'rear', diaMm: 22.225, count: 2, travelMm: 1.5, circuit: 'rear' },
];

/** The question that a sheet asks; undefined until force, ratio, bore and stroke are there. */
export const hydraulicsQuestion = (s: HydraulicsSheet): HydraulicsInput | undefined => {
  const { force, ratio, bore, stroke } = s;
  if (force === undefined || ratio === undefined || bore === undefined || stroke === undefined) return undefined;
  return {
    pedalForceN: force,
    pedalRatio: ratio,
    boostFactor: s.boost,
    masterDiaMm: bore,
    masterStrokeMm: stroke,
    cylinders: s.cylinders,
    hoseMlPerMPa: s.hose,
    systemVolumeMl: s.volume,
    airMl: s.air,
    options: s.others,
  };
};

/** The same as two circuits; undefined where the rear chamber’s own stroke is not given, or takes all. */
export const splitQuestion = (s: HydraulicsSheet): SplitInput | undefined => {
  const question = hydraulicsQuestion(s);
  if (question === undefined || s.rearStroke === undefined || !(s.rearStroke < question.masterStrokeMm)) return undefined;
  return { ...question, cylinders: s.cylinders, strokeMm: { rear: s.rearStroke, front: question.masterStrokeMm - s.rearStroke } };
};

const MOST = 12;

/** The sheet as an address carries it: `cylinders=front,25.4,2,1.2,front;…`, `others=19.05,22.225`. */
export const hydraulicsQuery = ({ cylinders, others, ...figures }: HydraulicsSheet): string =>
  queryOf(
    {
      ...figures,
      cylinders: cylinders
        .map((c) => [c.id.replace(/[,;]/g, ' '), plainFigure(c.diaMm), c.count, plainFigure(c.travelMm), c.circuit].join(','))
        .join(';'),
      others: others.map(plainFigure).join(','),
    },
    [...HYDRAULICS_FIELDS, 'cylinders', 'others'],
  );

export const hydraulicsSheetOf = (query: Query): HydraulicsSheet => ({
  ...numbersIn(query, HYDRAULICS_FIELDS),
  cylinders:
    query.cylinders === undefined
      ? FIRST_CYLINDERS
      : query.cylinders
          .split(';')
          .slice(0, MOST)
          .flatMap((line): readonly SheetCylinder[] => {
            const [id = '', dia, count, travel, circuit] = line.split(',');
            const [diaMm, n, travelMm] = [Number(dia), Number(count), Number(travel)];
            const sound = diaMm > 0 && diaMm <= 500 && Number.isInteger(n) && n >= 1 && n <= 100 && travelMm >= 0 && travelMm <= 500;
            return sound ? [{ id: id.slice(0, 40), diaMm, count: n, travelMm, circuit: circuit === 'front' ? 'front' : 'rear' }] : [];
          }),
  others: (query.others ?? '')
    .split(',')
    .map(Number)
    .filter((mm) => mm > 0 && mm <= 500)
    .slice(0, MOST),
});

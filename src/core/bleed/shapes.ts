import type { EndKind, MasterKind } from './end-kind';
import type { System, SystemEnd, SystemLine } from './system';

/** Inside of the usual brake tube of 4.75 mm. */
const TUBE_MM = 3.4;

const line = (n: number, from: string, to: string, lengthMm: number, innerMm = TUBE_MM): SystemLine => ({
  id: `line ${n}`,
  from,
  to,
  lengthMm,
  innerMm,
});
/** Fluid in a cylinder of each kind, ml, and how far it lies below the reservoir, mm: a first guess, to be measured. */
const STANDS: { readonly [K in EndKind]: { readonly volumeMl: number; readonly dropMm: number } } = {
  drum: { volumeMl: 8, dropMm: 500 },
  'drum-expander': { volumeMl: 8, dropMm: 500 },
  disc: { volumeMl: 25, dropMm: 450 },
  clutch: { volumeMl: 10, dropMm: 350 },
};
export const endOf = (id: string, kind: EndKind, at = id): SystemEnd => ({ id, at, ...STANDS[kind], screwOnTop: true, kind, odd: [] });

const system = (
  name: string,
  [boreMm, strokeMm]: readonly [number, number],
  parts: Pick<System, 'lines' | 'ends'>,
  kind: MasterKind = 'pedal',
): System => ({
  name,
  master: { boreMm, strokeMm, reservoirMl: 200, reservoirMinMl: 70, kind },
  ...parts,
  order: 'longest-first',
  given: null,
  renewReservoir: true,
  fluidIn: null,
  fluidFresh: 'dot4',
  pedal: null,
});

const FRONT = ['front right', 'front left'] as const;
const REAR = ['rear right', 'rear left'] as const;
/** A tee behind an outlet, and two ends at it. */
const axle = (n: number, outlet: string, tee: string, ends: readonly [string, string], trunkMm: number): SystemLine[] => [
  line(n, outlet, tee, trunkMm),
  line(n + 1, tee, ends[0], 1100),
  line(n + 2, tee, ends[1], 500),
];

/** Common systems to start from; every figure of them is to be measured on the machine. */
export const SHAPES = {
  'one-two': () =>
    system('One circuit, two ends', [19.05, 26], {
      lines: axle(1, 'outlet', 'axle tee', REAR, 2400),
      ends: REAR.map((id) => endOf(id, 'drum')),
    }),
  'one-four': () =>
    system('One circuit, four ends', [22.225, 30], {
      lines: [
        line(1, 'outlet', 'front tee', 600),
        line(2, 'front tee', FRONT[0], 1000),
        line(3, 'front tee', FRONT[1], 450),
        ...axle(4, 'front tee', 'rear tee', REAR, 2600),
      ],
      ends: [...FRONT, ...REAR].map((id) => endOf(id, 'drum')),
    }),
  'front-rear': () =>
    system('Two circuits, front and rear', [22.225, 18], {
      lines: [...axle(1, 'front outlet', 'front tee', FRONT, 500), ...axle(4, 'rear outlet', 'rear tee', REAR, 2800)],
      ends: [...FRONT.map((id) => endOf(id, 'disc')), ...REAR.map((id) => endOf(id, 'drum'))],
    }),
  diagonal: () =>
    system('Two circuits, diagonal', [20.64, 17], {
      lines: [
        line(1, 'outlet 1', 'tee 1', 300),
        line(2, 'tee 1', FRONT[1], 700),
        line(3, 'tee 1', REAR[0], 3400),
        line(4, 'outlet 2', 'tee 2', 300),
        line(5, 'tee 2', FRONT[0], 1200),
        line(6, 'tee 2', REAR[1], 3100),
      ],
      ends: [...FRONT.map((id) => endOf(id, 'disc')), ...REAR.map((id) => endOf(id, 'drum'))],
    }),
  clutch: () => system('Clutch', [15.87, 28], { lines: [line(1, 'outlet', 'slave', 1500, 3)], ends: [endOf('slave', 'clutch')] }),
  'lever-one': () =>
    system('Hand lever, one pot', [12.7, 14], { lines: [line(1, 'outlet', 'pot', 1100, 3)], ends: [endOf('pot', 'disc')] }, 'lever'),
  'lever-two': () =>
    system(
      'Hand lever, two pots',
      [14.29, 15],
      { lines: axle(1, 'outlet', 'tee', ['right pot', 'left pot'], 600), ends: ['right pot', 'left pot'].map((id) => endOf(id, 'disc')) },
      'lever',
    ),
  trailer: () =>
    system(
      'Trailer, a long line',
      [22.225, 32],
      { lines: axle(1, 'coupling', 'axle tee', REAR, 5200), ends: REAR.map((id) => endOf(id, 'drum')) },
      'coupling',
    ),
} as const satisfies { readonly [name: string]: () => System };
export type ShapeName = keyof typeof SHAPES;
export const SHAPE_NAMES = Object.keys(SHAPES) as readonly ShapeName[];

import type { Family } from '../family/family';
import type { Geometry } from '../family/geometry';
import { PART_KINDS } from '../family/part-kind';
import type { Station } from '../station';
import { partState, type TrayWay } from '../strip/part-state';
import type { TrayPart } from '../strip/tray-schema';
import type { MethodName } from '../strip/treatment';

type Kind = {
  readonly label: string;
  /** Usual time to cure, minutes; the product's data sheet goes before. */
  readonly minutes: number;
  /** Stations that wait for it. */
  readonly holds: readonly Station[];
  readonly how: string;
  readonly openings: 'plugged' | 'as-they-are';
  readonly heat: 'hot' | 'cold';
};

const ASSEMBLED: readonly Station[] = ['close-up', 'set', 'prove', 'release'];

/** What is put on a body and has to cure. @source design, domain, "Waits" */
export const FINISHES = {
  'paint-air': {
    label: 'paint, air cure',
    minutes: 4320,
    holds: ASSEMBLED,
    how: 'Every port and the mouth plugged, faces masked; thin coats. Brake fluid strips paint that has not cured.',
    openings: 'plugged',
    heat: 'cold',
  },
  'paint-bake': {
    label: 'paint, low bake',
    minutes: 60,
    holds: ASSEMBLED,
    how: 'Bare metal only, plugs that stand the heat; as the paint’s data sheet says, and let it cool by itself.',
    openings: 'plugged',
    heat: 'hot',
  },
  'thread-locker': {
    label: 'thread locker',
    minutes: 30,
    holds: ['prove', 'release'],
    how: 'On clean dry threads, none of it into a port; no pressure until it has set.',
    openings: 'as-they-are',
    heat: 'cold',
  },
  resin: {
    label: 'casting resin',
    minutes: 1440,
    holds: ['hone', 'sleeve', ...ASSEMBLED],
    how: 'On outer porosity only, never in a bore or on a crack; gloves, fresh air, as its data sheet says.',
    openings: 'as-they-are',
    heat: 'cold',
  },
} as const satisfies { readonly [name: string]: Kind };

export type FinishName = keyof typeof FINISHES;
export const FINISH_NAMES = Object.keys(FINISHES) as [FinishName, ...FinishName[]];

/** What is to be plugged before a body is painted: every hole that leads inside. */
export const openingsOf = (family: Family, geometry: Geometry | null): readonly string[] =>
  geometry === null
    ? []
    : [
        ...(family.bore === 'through' ? ['left mouth', 'right mouth'] : mouths(family)),
        ...geometry.ports.filter((p) => !insideReservoir(p.kind)).map((p) => `${p.id.replaceAll('-', ' ')} port`),
        ...(geometry.ports.some((p) => insideReservoir(p.kind)) ? ['reservoir opening'] : []),
      ];
/** One a pot. */
const mouths = ({ slots }: Family): readonly string[] => {
  const pots = Math.max(1, ...slots.map((s) => s.pot?.no ?? 1));
  return Array.from({ length: pots }, (_, i) => (pots === 1 ? 'mouth' : `mouth of pot ${i + 1}`));
};
/** Feed and compensating ports open into the reservoir: one plug covers them. */
const insideReservoir = (kind: Geometry['ports'][number]['kind']): boolean => kind === 'feed' || kind === 'compensating';

/** Parts of rubber and plastic that are in the body now. */
export const softInBody = (tray: readonly TrayPart[], way: TrayWay): readonly string[] =>
  tray.filter((p) => partState(p, way) === 'in' && PART_KINDS[p.kind].stuff !== 'metal').map((p) => p.name);

/** The body that a finish is put on. */
export type FinishBody = { readonly soft: readonly string[]; readonly unrinsed: readonly MethodName[]; readonly openings: number };

/** Why a finish may not be put on this body now; empty when it may. @param plugs how many plugs were put in */
export const finishObjections = (finish: FinishName, body: FinishBody, plugs: number): readonly string[] => {
  const { label, heat, openings } = FINISHES[finish];
  const said: string[] = [];
  if (heat === 'hot' && body.soft.length > 0)
    said.push(
      `A ${label.replace('paint, ', '')} ruins rubber and plastic, and these are in the body: ${body.soft.join(', ')}. Take them out, or let it cure in air.`,
    );
  if (heat === 'hot' && body.unrinsed.length > 0)
    said.push('Petroleum is still in the body: heated it fumes and burns. Rinse it out and sign at Clean first.');
  if (openings === 'plugged' && plugs < body.openings)
    said.push(`${plugs} of ${body.openings} openings are plugged: paint in a drilling ends up in the bore.`);
  return said;
};

/** A finish on a body. Times in ms since 1970. */
export type Finish = {
  readonly finish: FinishName;
  readonly endsAt: number;
  /** Plugs that went in; null where nothing is plugged. */
  readonly plugs: number | null;
  readonly note: string;
  /** When somebody found it cured, its plugs out and counted; null until then. */
  readonly curedAt: number | null;
};

/** Why it cannot be called cured; empty when it can. @param plugsOut plugs counted on the bench */
export const cureObjections = (f: Finish, plugsOut: number, now: number): readonly string[] => [
  ...(now < f.endsAt ? [`The ${FINISHES[f.finish].label} is not through its time yet.`] : []),
  ...(f.plugs !== null && plugsOut !== f.plugs
    ? [`${f.plugs} plugs went in and ${plugsOut} came out: find the others before anything goes in.`]
    : []),
];

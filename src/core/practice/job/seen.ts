import { capital } from '../../capital';
import { FAMILIES } from '../../family/families';
import { sayDims } from '../../family/say-dims';
import { MARK_WORDS } from '../../judge/mark';
import { fixed } from '../../quantity/figure';
import { METRIC } from '../../quantity/units';
import type { Station } from '../../station';
import type { BagItem } from '../../store/article';
import { CONDITION_WORDS } from '../../strip/condition';
import type { UnitRecord } from '../../unit/unit-record';
import type { Picture } from '../exercise';
import { cutByMm, type JobTruth, marksAfter } from './truth';

/** What somebody at a practice unit has before them at a station: in words, and as a picture. */
export type Seen = { readonly lines: readonly string[]; readonly picture: Picture | null };
const NOTHING: Seen = { lines: [], picture: null };

/** What its passes took off so far, mm. */
export const cutSoFarMm = (t: JobTruth, r: Pick<UnitRecord, 'passes'>): number => cutByMm(t, r.passes);

/** What lies before one at a station, without what it means. */
export const seenAt = (t: JobTruth, r: UnitRecord, station: Station): Seen => {
  switch (station) {
    case 'strip':
      return {
        lines: FAMILIES[t.family].slots.map((s) => {
          const condition = t.bad[s.id];
          const size = s.kind === 'piston' ? `; ${fixed(t.pistonMm, 3)} mm across` : '';
          return `${capital(s.name)}: ${condition === undefined ? 'as good as it can be' : (LOOKS[condition] ?? CONDITION_WORDS[condition])}${size}.`;
        }),
        picture: null,
      };
    case 'clean':
    case 'gauge':
    case 'judge': {
      const marks = marksAfter(t.marks, cutSoFarMm(t, r));
      const measured = (m: (typeof marks)[number]): string =>
        station === 'clean'
          ? 'a dark place'
          : `${MARK_WORDS[m.kind]}${m.depthUm == null ? ', no depth to be found' : `, a needle reads ${m.depthUm} µm`}`;
      return {
        lines:
          marks.length === 0
            ? ['The wall is bright from end to end.']
            : marks.map(
                (m) => `From ${fixed(m.x0Mm, 1)} to ${fixed(m.x1Mm, 1)} mm, at ${m.clock0Deg}° to ${m.clock1Deg}°: ${measured(m)}.`,
              ),
        picture: {
          kind: 'map',
          geometry: t.geometry,
          marks: marks.map(({ x0Mm, x1Mm, clock0Deg, clock1Deg }, i) => ({ name: String(i + 1), x0Mm, x1Mm, clock0Deg, clock1Deg })),
        },
      };
    }
    case 'kit':
      return {
        // What is wrong is wrong in the first bag; another is as it should be.
        lines: r.setAside.flatMap((bag, n) => bag.items.map((item) => sayPiece(n === 0 ? inTheBag(t, item) : item))),
        picture: null,
      };
    case 'release':
      return { lines: ['It goes no further: end it above, and its truth is laid beside what you found.'], picture: null };
    default:
      return NOTHING;
  }
};

/** How bad rubber looks to somebody who does not know its name yet. */
const LOOKS: { readonly [condition: string]: string } = {
  hard: 'stiff, does not give between two fingers',
  swollen: 'soft and larger than its groove',
  split: 'torn through at its edge',
  worn: 'its lip is blunt',
};

const sayPiece = (item: BagItem): string =>
  `In the bag: ${item.qty > 1 ? `${item.qty} × ` : ''}${item.name}, ${sayDims(item.dims, METRIC)}.`;

/** What really lies in the bag in place of an item. */
export const inTheBag = (t: JobTruth, item: BagItem): BagItem => {
  if (t.wrongPiece === null || t.wrongPiece.kind !== item.kind) return item;
  const { byMm } = t.wrongPiece;
  return {
    ...item,
    dims: Object.fromEntries(
      Object.entries(item.dims).map(([dim, mm]) => [dim, typeof mm === 'number' ? Number((mm + byMm).toFixed(1)) : mm]),
    ),
  };
};

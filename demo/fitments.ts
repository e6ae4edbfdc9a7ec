import type { FamilyName } from '@/core/family/family-name';
import type { Fitment } from '@/core/identify/fitment';

const inch = (sixteenths: number): number => Math.round(((sixteenths * 25.4) / 16) * 10_000) / 10_000;

const MACHINES: readonly (readonly [maker: string, machine: string, from: number, to: number | null, mark: string])[] = [
  ['Corvane', 'airport tug T9', 1994, 2011, 'CT9'],
  ['Corvane', 'airport tug T12', 2008, null, 'CT12'],
  ['Hallam-Brook', 'orchard tractor 40', 1971, 1988, 'HB40'],
  ['Hallam-Brook', 'orchard tractor 55', 1986, 2003, 'HB55'],
  ['Glasmark', 'ice resurfacer Duo', 1999, null, 'GD'],
  ['Brakkel', 'quarry dumper 6', 1982, 1997, 'BK6'],
  ['Brakkel', 'quarry dumper 9', 1996, 2014, 'BK9'],
  ['Tolle and Sund', 'tram works car 12', 1968, 1990, 'TS12'],
  ['Ostley', 'horsebox twin-axle', 1990, null, 'OS2'],
  ['Verrick', 'fire tender 3', 1979, 2001, 'VK3'],
  ['Verrick', 'fire tender 5', 2001, null, 'VK5'],
  ['Odelund', 'straddle truck S4', 1985, 2009, 'OD4'],
];
const PLACES: readonly (readonly [
  family: FamilyName,
  position: string,
  sixteenths: number,
  strokeMm: number,
  bodyMm: number,
  kits: readonly string[],
])[] = [
  ['master-tandem', 'service brake', 14, 34, 152, ['K-118', 'K-119']],
  ['wheel-double', 'rear left', 14, 12, 62, ['K-131']],
  ['wheel-double', 'rear right', 14, 12, 62, ['K-131']],
  ['slave', 'clutch', 14, 28, 84, ['K-151']],
  ['master-single', 'clutch', 12, 30, 118, ['K-104']],
];

/** Sixty fitments: twelve machines with five places each, whose bores, strokes and bodies differ as model years do. What a catalogue leaves open is open here too. */
export const FITMENTS: readonly Fitment[] = MACHINES.flatMap(([maker, machine, yearFrom, yearTo, mark], m) =>
  PLACES.map(([family, position, sixteenths, stroke, body, kits], p): Fitment => {
    const larger = (m + p) % 4 === 0 ? 1 : 0;
    const master = family !== 'wheel-double';
    return {
      id: `fit-${mark.toLowerCase()}-${p + 1}`,
      maker,
      machine,
      yearFrom,
      yearTo,
      family,
      position,
      features: {
        boreMm: inch(sixteenths + larger),
        strokeMm: (m * 3 + p) % 7 === 0 ? null : stroke + ((m * 5 + p) % 4) * 1.5,
        bodyLengthMm: body + ((m * 7 + p * 3) % 9) * 1.5,
        studPitchMm: master ? 70 + (m % 4) * 3 : null,
        portThreads: m % 3 === 0 ? ['3/8-24'] : family === 'master-tandem' ? ['M10x1', 'M12x1'] : ['M10x1'],
        outletCount: family === 'master-tandem' ? 2 : 1,
        castingMark: (m + p) % 5 === 4 ? null : `${mark} ${sixteenths + larger}${'ABCDE'[p]}`,
      },
      kits:
        larger === 0
          ? kits
          : family === 'master-tandem'
            ? ['K-121', 'K-122']
            : family === 'wheel-double'
              ? ['K-140']
              : family === 'master-single'
                ? ['K-106', 'K-107']
                : [],
      note: (m + p) % 11 === 0 ? 'Two bores were fitted in these years: measure.' : '',
    };
  }),
);

import type { CauseName } from '@/core/book-in/cause';
import type { Complaint } from '@/core/book-in/complaint';
import type { UnitKind } from '@/core/family/family-name';
import type { Material } from '@/core/family/material';
import type { FinishName } from '@/core/finish/finish';
import type { Station } from '@/core/station';
import type { BoreStory } from '../devices/hand/bore';
import type { UnitState } from '../devices/rig/unit-states';
import type { QuoteStory } from './quotes';

/** Half stripped by the guide; stuck and being freed; soaking; a part was missing; a part that does not belong came out. */
export type Trouble = 'half-way' | 'stuck' | 'soaking' | 'absent' | 'foreign';

/** One unit of the made-up shop: what came in, how far it has got, and when. `due` and `in` are hours from now. */
export type Story = {
  readonly customer: string;
  readonly phone: string;
  readonly machine: string;
  readonly position: string;
  readonly family: UnitKind;
  /** The shop's variant of it, by its name. */
  readonly variant?: string;
  /** Bore in sixteenths of an inch; 0 where there is none. */
  readonly sixteenths: number;
  /** Of further pots, likewise. */
  readonly morePots?: readonly number[];
  readonly material: Material;
  readonly complaints: readonly Complaint[];
  readonly words: string;
  readonly marks: string;
  readonly bore: BoreStory;
  readonly at: Station | 'released' | 'scrapped';
  readonly inH: number;
  readonly dueH: number;
  readonly wait?: readonly [label: string, minutes: number];
  /** What the rig will find, where it is not sound; past a groove it has been found already. */
  readonly rigFinds?: UnitState;
  /** What was put on it and cures, and how long ago, h. */
  readonly finish?: readonly [FinishName, hoursAgo: number];
  /** It was here before: the last of its family that left for its place on its machine. */
  readonly comeback?: true;
  /** Nobody has said yet which fluid and rubber meet in it. */
  readonly unasked?: true;
  /** What came up while it was taken apart. */
  readonly trouble?: Trouble;
  /** Where the customer's yes to a sleeve stands. */
  readonly answer?: 'waiting' | 'yes';
  /** What it turned out to be. */
  readonly cause?: CauseName;
  /** How its quote stands. */
  readonly quote?: QuoteStory;
};

/** Name, telephone, mail and address; made up, at an end of the network that is nobody's. */
export const CUSTOMERS: readonly (readonly [name: string, phone: string, mail: string, address: string])[] = [
  ['Skerrin Harbour Authority', '555 0101', 'workshop@harbour.example', 'Harbour Office, Inner Skerrin'],
  ['Aldwater Orchards', '555 0114', 'yard@aldwater.example', 'Aldwater, by the ford'],
  ['Norrvik Ice Hall', '555 0127', '', ''],
  ['Pendle Quarry', '555 0133', 'stores@pendle.example', 'Pendle Quarry, Gate 2'],
  ['Skerrin Tramway Works', '555 0140', 'depot@tramway.example', 'Depot Lane 1, Outer Skerrin'],
  ['Fallowfield Stables', '555 0152', '', 'Fallowfield'],
  ['Volunteer Fire Brigade, Outer Skerrin', '555 0163', 'engine@brigade.example', 'Station Road, Outer Skerrin'],
  ['Lowmoor Airfield', '555 0178', 'hangar@lowmoor.example', ''],
];
const MACHINES: readonly (readonly [number, string])[] = [
  [7, 'Airport tug, Corvane T9'],
  [1, 'Orchard tractor, Hallam-Brook 40'],
  [2, 'Ice resurfacer, Glasmark Duo'],
  [3, 'Quarry dumper, Brakkel 6'],
  [4, 'Tram works car 12'],
  [5, 'Horsebox, Ostley twin-axle'],
  [6, 'Fire tender, Verrick 3'],
  [0, 'Straddle truck, Odelund S4'],
];
type Row = readonly [
  machine: number,
  family: UnitKind,
  sixteenths: number,
  material: Material,
  complaints: readonly Complaint[],
  bore: BoreStory,
  at: Story['at'],
  inH: number,
  dueH: number,
  more?: Partial<Story>,
];

const ROWS: readonly Row[] = [
  // On the rack, from the counter to release.
  [1, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'sound', 'strip', 3, 76, { position: 'rear left' }],
  [1, 'wheel-double', 14, 'cast-iron', ['pulls'], 'sound', 'strip', 3, 76, { position: 'rear right' }],
  [2, 'master-single', 12, 'alloy', ['releases-itself'], 'sound', 'strip', 6, 128, { position: 'parking brake', quote: 'picked' }],
  [
    3,
    'master-single',
    13,
    'cast-iron',
    ['drags'],
    'dirty',
    'strip',
    26,
    7,
    { position: 'service brake', wait: ['penetrant soak', 42], words: 'stuck since spring' },
  ],
  [6, 'master-tandem', 14, 'cast-iron', ['sinks-slowly'], 'pitted', 'strip', 22, 48, { position: 'service brake' }],
  [7, 'wheel-double', 15, 'cast-iron', ['wet-boot'], 'sound', 'clean', 30, 89, { position: 'front left', finish: ['paint-air', 3] }],
  [0, 'master-tandem', 15, 'cast-iron', ['to-the-floor'], 'deep', 'clean', 27, 10, { position: 'service brake' }],
  [6, 'master-single', 14, 'alloy', ['falls-no-leak'], 'shallow', 'clean', 25, 31, { position: 'clutch', wait: ['ultrasonic bath', 12] }],
  [
    7,
    'master-tandem',
    14,
    'cast-iron',
    ['sinks-slowly'],
    'pitted',
    'judge',
    47,
    56,
    { position: 'service brake', words: 'worse when it is warm', marks: 'DN 22, paint green', comeback: true },
  ],
  [1, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'deep', 'judge', 52, -1.2, { position: 'front right', comeback: true }],
  [1, 'wheel-double', 14, 'cast-iron', ['seized'], 'dirty', 'gauge', 50, 5, { position: 'front left' }],
  [2, 'master-single', 13, 'alloy-anodised', ['spongy'], 'sound', 'gauge', 49, 33, { position: 'service brake' }],
  [6, 'master-tandem', 14, 'cast-iron', ['to-the-floor'], 'pitted', 'hone', 73, 6, { position: 'service brake', comeback: true }],
  [7, 'wheel-double', 14, 'cast-iron', ['pulls'], 'oval', 'hone', 66, 57, { position: 'rear right' }],
  [4, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'outside', 'kit', 65, 60, { position: 'axle 1 left' }],
  [0, 'master-single', 14, 'cast-iron', ['sinks-slowly'], 'deep', 'sleeve', 16, 230, { position: 'parking brake', answer: 'waiting' }],
  [5, 'master-single', 13, 'cast-iron', ['sinks-slowly'], 'deep', 'sleeve', 120, 80, { position: 'overrun brake', answer: 'yes' }],
  [4, 'wheel-double', 14, 'cast-iron', ['pulls'], 'shallow', 'hone', 71, 27, { position: 'axle 2 left' }],
  [4, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'sound', 'kit', 74, 7, { position: 'axle 2 right' }],
  [0, 'master-tandem', 15, 'cast-iron', ['hard'], 'sound', 'kit', 70, 24, { position: 'service brake', wait: ['parts on order', 1900] }],
  [
    7,
    'master-tandem',
    14,
    'cast-iron',
    ['black-fluid'],
    'pitted',
    'close-up',
    98,
    4,
    { position: 'service brake', words: 'pedal sank', marks: 'DN 22' },
  ],
  [3, 'master-single', 13, 'cast-iron', ['does-not-return'], 'sound', 'close-up', 96, 29, { position: 'service brake', unasked: true }],
  [
    6,
    'master-tandem',
    14,
    'cast-iron',
    ['spongy'],
    'sound',
    'set',
    99,
    52,
    { position: 'service brake', finish: ['thread-locker', 0.1], rigFinds: 'bypass' },
  ],
  [2, 'master-tandem', 14, 'cast-iron', ['sinks-slowly'], 'pitted', 'prove', 122, 3, { position: 'service brake' }],
  [1, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'sound', 'prove', 121, 6, { position: 'rear left', rigFinds: 'slow' }],
  [3, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'shallow', 'prove', 124, 26, { position: 'rear right', rigFinds: 'groove' }],
  [
    4,
    'master-single',
    13,
    'cast-iron',
    ['drags'],
    'sound',
    'prove',
    123,
    28,
    { position: 'service brake', variant: 'Single master with residual valve', rigFinds: 'shut-port' },
  ],
  [1, 'wheel-double', 14, 'cast-iron', ['pulls'], 'sound', 'release', 146, 5, { position: 'rear right' }],
  [5, 'master-single', 13, 'cast-iron', ['sinks-slowly'], 'shallow', 'release', 145, 9, { position: 'overrun brake' }],
  // The other families, and what comes in beside them.
  [2, 'master-valve', 12, 'cast-iron', ['releases-itself'], 'sound', 'strip', 5, 74, { position: 'service brake', trouble: 'half-way' }],
  [
    3,
    'slave',
    14,
    'alloy',
    ['does-not-return'],
    'sound',
    'strip',
    29,
    31,
    { position: 'clutch', trouble: 'stuck', words: 'stood outside two winters' },
  ],
  [7, 'caliper-half', 27, 'cast-iron', ['seized'], 'sound', 'strip', 27, 54, { position: 'front axle, inner', trouble: 'soaking' }],
  [
    5,
    'master-lever',
    10,
    'alloy',
    ['sinks-slowly'],
    'sound',
    'strip',
    4,
    79,
    { position: 'hand brake', trouble: 'absent', words: 'opened once before' },
  ],
  [1, 'wheel-single', 12, 'cast-iron', ['wet-boot'], 'sound', 'strip', 7, 52, { position: 'rear left', trouble: 'foreign' }],
  [4, 'booster', 0, 'alloy', ['hard'], 'sound', 'strip', 8, 99, { position: 'service brake', quote: 'asked' }],
  [0, 'booster', 0, 'alloy', ['hard'], 'sound', 'prove', 90, 27, { position: 'service brake' }],
  [5, 'linkage', 0, 'cast-iron', ['to-the-floor'], 'sound', 'clean', 20, 30, { position: 'pedal' }],
  [0, 'distribution-valve', 0, 'alloy', ['pulls'], 'sound', 'clean', 28, 55, { position: 'rear axle' }],
  [3, 'hard-line', 0, 'cast-iron', ['falls-no-leak'], 'sound', 'strip', 9, 32, { position: 'front to rear', quote: 'open' }],
  [6, 'caliper-half', 27, 'cast-iron', ['pulls'], 'shallow', 'judge', 46, 34, { position: 'rear axle', morePots: [24] }],
  [4, 'slave', 14, 'alloy', ['sinks-slowly'], 'sound', 'close-up', 72, 28, { position: 'clutch', rigFinds: 'lip' }],
  [1, 'wheel-single', 12, 'cast-iron', ['wet-boot'], 'shallow', 'gauge', 44, 58, { position: 'rear right' }],
  [2, 'master-valve', 12, 'cast-iron', ['sinks-slowly'], 'sound', 'kit', 69, 33, { position: 'clutch' }],
  // In the book.
  [
    7,
    'master-tandem',
    14,
    'cast-iron',
    ['sinks-slowly'],
    'pitted',
    'released',
    260,
    -150,
    { position: 'service brake', cause: 'bore-marked' },
  ],
  [1, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'sound', 'released', 300, -190, { position: 'front left', cause: 'cup-leaks' }],
  [1, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'shallow', 'released', 300, -190, { position: 'front right', cause: 'cup-leaks' }],
  [4, 'master-single', 13, 'cast-iron', ['drags'], 'sound', 'released', 410, -300, { position: 'hand brake', cause: 'no-gap' }],
  [
    6,
    'master-tandem',
    15,
    'cast-iron',
    ['to-the-floor'],
    'pitted',
    'released',
    520,
    -400,
    { position: 'service brake', cause: 'bore-marked' },
  ],
  [0, 'master-single', 14, 'cast-iron', ['spongy'], 'sound', 'released', 640, -510, { position: 'parking brake', cause: 'air' }],
  [3, 'wheel-double', 14, 'cast-iron', ['seized'], 'shallow', 'released', 760, -640, { position: 'rear left', cause: 'piston-seized' }],
  [2, 'slave', 14, 'alloy', ['sinks-slowly'], 'sound', 'released', 350, -260, { position: 'clutch', cause: 'cup-leaks' }],
  [
    6,
    'master-tandem',
    14,
    'cast-iron',
    ['sinks-slowly'],
    'sound',
    'released',
    450,
    -350,
    { position: 'service brake', cause: 'worn-primary' },
  ],
  [3, 'wheel-double', 14, 'cast-iron', ['pulls'], 'sound', 'released', 560, -470, { position: 'rear right', cause: 'cup-leaks' }],
  [
    0,
    'master-tandem',
    15,
    'cast-iron',
    ['black-fluid'],
    'sound',
    'released',
    820,
    -700,
    { position: 'service brake', cause: 'rubber-perished' },
  ],
  [7, 'wheel-double', 14, 'cast-iron', ['wet-boot'], 'shallow', 'released', 880, -760, { position: 'front right', cause: 'cup-leaks' }],
  [
    5,
    'master-single',
    13,
    'cast-iron',
    ['to-the-floor'],
    'cracked',
    'scrapped',
    700,
    -600,
    { position: 'overrun brake', words: 'frozen in winter' },
  ],
];

export const STORIES: readonly Story[] = ROWS.map(([machine, family, sixteenths, material, complaints, bore, at, inH, dueH, more]) => {
  const [customer, name] = MACHINES[machine] as readonly [number, string];
  const [who, phone] = CUSTOMERS[customer] as (typeof CUSTOMERS)[number];
  return {
    customer: who,
    phone,
    machine: name,
    position: '',
    family,
    sixteenths,
    material,
    complaints,
    words: '',
    marks: '',
    bore,
    at,
    inH,
    dueH,
    ...more,
  };
});

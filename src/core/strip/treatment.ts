/** What a method leaves behind in the body. */
export type Residue = 'petroleum' | 'fluid' | 'water' | 'grit' | 'nothing';

type Method = { readonly label: string; readonly leaves: Residue; readonly for: 'freeing' | 'cleaning' };
const freeing = (label: string, leaves: Residue): Method => ({ label, leaves, for: 'freeing' });
const cleaning = (label: string, leaves: Residue): Method => ({ label, leaves, for: 'cleaning' });

/** Everything that is done to a body before new rubber goes in, with what it leaves behind. @source design, domain, "Fluids and what touches rubber" */
export const METHODS = {
  'push-inward': freeing('push it inward first', 'nothing'),
  'dress-ridge': freeing('dress the ridge', 'grit'),
  'soak-fluid': freeing('soak in fresh brake fluid', 'fluid'),
  'soak-penetrant': freeing('soak in penetrant', 'petroleum'),
  warm: freeing('warm the body', 'nothing'),
  'low-air': freeing('low air into a rag', 'nothing'),
  'pin-outlet': freeing('pin through the outlet', 'nothing'),
  'tap-wood': freeing('tap on wood', 'nothing'),
  'push-fluid': freeing('hydraulic push with fluid', 'fluid'),
  'grease-gun': freeing('grease gun', 'petroleum'),
  'work-to-fro': freeing('work it to and fro', 'nothing'),
  shock: freeing('shock the thread', 'nothing'),
  extract: freeing('drill and extract', 'grit'),
  'grip-union': freeing('flare-nut spanner, then grips', 'nothing'),
  'cut-line': freeing('cut the line, six-point socket', 'grit'),
  'brake-cleaner': cleaning('brake cleaner', 'nothing'),
  alcohol: cleaning('alcohol', 'nothing'),
  ultrasonic: cleaning('ultrasonic bath', 'water'),
  'nylon-brush': cleaning('nylon brush and fresh fluid', 'fluid'),
  'hot-wash': cleaning('hot water and detergent', 'water'),
  'wet-wipe': cleaning('wet wipe', 'water'),
  blast: cleaning('blasting, outside only', 'grit'),
  'port-wire': cleaning('compensating port cleared', 'nothing'),
  'bleed-wire': cleaning('bleed screw cleared', 'nothing'),
  rinse: cleaning('rinsed out and dried', 'nothing'),
  'looked-again': cleaning('looked at again after cleaning', 'nothing'),
} as const satisfies { readonly [name: string]: Method };

export type MethodName = keyof typeof METHODS;
export const METHOD_NAMES = Object.keys(METHODS) as [MethodName, ...MethodName[]];

/** How stuck a unit is, and with what. */
export const STUCK_WORDS = {
  free: 'free',
  tight: 'tight',
  ridge: 'ridge at the mouth',
  seized: 'seized',
  'cap-fused': 'cap fused',
  'bleed-tight': 'bleed screw tight',
  'bleed-sheared': 'bleed screw sheared',
  'union-rounded': 'union rounded',
} as const;
export type StuckState = keyof typeof STUCK_WORDS;
export const STUCK_STATES = Object.keys(STUCK_WORDS) as [StuckState, ...StuckState[]];

export const TREATMENT_RESULTS = ['freed', 'moved', 'no', 'stopped', 'waiting', 'done'] as const;
export type TreatmentResult = (typeof TREATMENT_RESULTS)[number];
export const RESULT_WORDS: { readonly [R in TreatmentResult]: string } = {
  freed: 'freed',
  moved: 'moved a little',
  no: 'did not move',
  stopped: 'stopped',
  waiting: 'soaks',
  done: 'done',
};

type Done = { readonly method: MethodName; readonly at: number };

/** Methods used since the body was last rinsed out that leave what ruins rubber; empty when nothing has to be rinsed. */
export const toRinse = (treatments: readonly Done[]): readonly MethodName[] => {
  const rinsedAt = lastAt(treatments, (m) => m === 'rinse');
  return [...new Set(treatments.filter((t) => METHODS[t.method].leaves === 'petroleum' && t.at > rinsedAt).map((t) => t.method))];
};

/** Has somebody looked at the bore after it was last cleaned? Checks and clearing of drillings do not dirty it again. */
export const lookedAgain = (treatments: readonly Done[]): boolean => {
  const cleanedAt = lastAt(
    treatments,
    (m) => METHODS[m].for === 'cleaning' && m !== 'looked-again' && m !== 'port-wire' && m !== 'bleed-wire',
  );
  return lastAt(treatments, (m) => m === 'looked-again') > cleanedAt;
};

const lastAt = (treatments: readonly Done[], which: (method: MethodName) => boolean): number =>
  Math.max(Number.NEGATIVE_INFINITY, ...treatments.filter((t) => which(t.method)).map((t) => t.at));

/** Something done to the body: an attempt to free it, or a cleaning. */
export type Treatment = {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly method: MethodName;
  /** How the unit stood before it, where it was stuck. */
  readonly state: StuckState | null;
  readonly pressureBar: number | null;
  readonly minutes: number | null;
  readonly result: TreatmentResult;
  readonly note: string;
  /** Which drilling was cleared, by its id; null where none was. */
  readonly drilling: string | null;
};

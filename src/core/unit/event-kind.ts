/** What people do to a unit, as its history words it. */
export const EVENT_KINDS = {
  'booked-in': 'booked in',
  'part-recorded': 'part recorded',
  'part-added': 'part added to the tray',
  'step-ticked': 'strip step done',
  treated: 'treated',
  found: 'found out',
  'signed-off': 'signed off',
  overridden: 'condition overridden',
  gauged: 'gauged',
  judged: 'judged',
  overruled: 'judgement overruled',
  'limit-set': 'maker’s limit noted',
  'photo-laid': 'photo laid under the bore map',
  asked: 'customer asked',
  answered: 'customer answered',
  'sent-out': 'sent out to be sleeved',
  'pass-logged': 'pass over the bore',
  'bore-changed': 'bore cut or sleeved',
  'kit-set-aside': 'kit set aside',
  'kit-put-back': 'kit put back',
  'kit-opened': 'kit opened',
  'kit-kept': 'surplus kept for the store',
  'parts-ordered': 'parts ordered',
  identified: 'identified',
  'part-in': 'part put in',
  'run-started': 'rig run started',
  'run-ended': 'rig run ended',
  signed: 'signed for release',
  released: 'released',
  exited: 'left the shop',
  reopened: 'reopened',
  'photo-added': 'photo added',
  'wait-started': 'wait started',
  'wait-ended': 'wait ended',
  undone: 'undone',
} as const;
export type EventKind = keyof typeof EVENT_KINDS;

/** Steps that stay: they went out of the shop, on paper or on a rig, or are themselves an undoing. */
export const NOT_UNDOABLE: readonly EventKind[] = [
  'booked-in',
  'asked',
  'answered',
  'run-started',
  'run-ended',
  'released',
  'exited',
  'reopened',
  'undone',
];

/** What may still be done to a unit that has left the shop. */
export const AFTER_LEAVING: readonly EventKind[] = ['run-ended', 'reopened', 'photo-added', 'wait-ended', 'found'];

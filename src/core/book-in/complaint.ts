/** What a customer says is wrong, in the words that the counter chooses from. */
export const COMPLAINTS = {
  'sinks-slowly': 'pedal sinks slowly',
  'to-the-floor': 'straight to the floor',
  spongy: 'spongy',
  hard: 'hard pedal',
  drags: 'drags or locks on when warm',
  'falls-no-leak': 'fluid falls, no leak in sight',
  'wet-boot': 'wet boot',
  'black-fluid': 'fluid black soon after a change',
  'does-not-return': 'does not return',
  'releases-itself': 'releases by itself',
  pulls: 'pulls to one side',
  seized: 'seized',
  'low-pumps-up': 'low, comes up when pumped',
  'long-travel': 'long travel before it bites',
  'sinks-on-start': 'sinks when the engine starts',
  pulsates: 'pulsates',
  'weeps-standing': 'weeps only standing',
} as const;
export type Complaint = keyof typeof COMPLAINTS;
export const COMPLAINT_NAMES = Object.keys(COMPLAINTS) as [Complaint, ...Complaint[]];

/** The complaint in one line: chosen words, then the free text. */
export const sayComplaint = (chosen: readonly Complaint[], text: string): string =>
  [...chosen.map((c) => COMPLAINTS[c]), text].filter((part) => part !== '').join(' · ');

/** How a message to a customer stands. */
export const MESSAGE_STATES = ['to-read', 'read', 'waiting', 'sending', 'sent', 'failed', 'unsure'] as const;
export type MessageState = (typeof MESSAGE_STATES)[number];

export const MESSAGE_WORDS: { readonly [S in MessageState]: string } = {
  'to-read': 'to be read out',
  read: 'read out',
  waiting: 'waits to go',
  sending: 'is going',
  sent: 'sent',
  failed: 'did not go',
  unsure: 'may have gone',
};

/** Somebody has to look after these: read them out, or see why they did not go. */
export const OPEN_STATES: readonly MessageState[] = ['to-read', 'failed', 'unsure'];

/** What somebody has to look after where mail goes, and where there is no mail server: there all of it is read out. */
export const openStates = (mail: 'goes' | 'none'): readonly MessageState[] => (mail === 'goes' ? OPEN_STATES : [...OPEN_STATES, 'waiting']);

const MINUTE_MS = 60_000;
/** Waits between tries, ms: what a mail server says no to for now, it mostly takes within the hour. */
const WAITS_MS = [1, 5, 15, 60, 240, 720].map((min) => min * MINUTE_MS);

/** When a message that did not go is tried again; undefined: it has been tried often enough. @param tries so far */
export const nextTry = (tries: number, now: number): number | undefined => {
  const wait = WAITS_MS[tries - 1];
  return wait === undefined ? undefined : now + wait;
};

/** A message that was begun to be sent so long ago, and of which nothing was heard: it may have gone, ms. */
export const UNHEARD_MS = 10 * MINUTE_MS;

/** A message as it is posted. `tries` counts this one. */
export type Letter = {
  readonly id: string;
  readonly mail: string;
  readonly subject: string;
  readonly text: string;
  readonly tries: number;
};

/** What came of posting a letter. `later`: it surely did not go, and is tried again; `unsure`: it may have gone, and is not sent again by itself. */
export type Posted = { readonly how: 'sent' } | { readonly how: 'later' | 'refused' | 'unsure'; readonly why: string };

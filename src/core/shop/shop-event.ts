/** What is done to the shop itself, as its history words it. */
export const SHOP_EVENTS = {
  opened: 'opened the shop',
  'settings-changed': 'changed the shop',
  'person-added': 'added a person',
  'person-changed': 'changed a person',
  'code-given': 'gave a one-time code',
  'pin-set': 'chose a PIN',
  left: 'noted that somebody has left',
  'came-back': 'took somebody back',
  'sessions-ended': 'ended sessions',
  'token-made': 'made a token',
  'token-withdrawn': 'withdrew a token',
  'skill-asked': 'said what a station asks',
  'skill-signed': 'signed a skill off',
  'skill-ended': 'ended a skill',
  'backed-up': 'made a backup',
} as const;
export type ShopEventKind = keyof typeof SHOP_EVENTS;

/** One of them, told. @param by null for the program */
export type ShopEvent = {
  readonly id: number;
  readonly at: number;
  readonly by: string | null;
  readonly kind: ShopEventKind;
  readonly lines: readonly string[];
};

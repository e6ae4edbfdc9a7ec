/** Who works in a shop. */
export const ROLES = ['technician', 'lead', 'counter', 'owner'] as const;
export type Role = (typeof ROLES)[number];
export const ROLE_WORDS: { readonly [R in Role]: string } = { technician: 'technician', lead: 'lead', counter: 'counter', owner: 'owner' };

/** What a role may do; every action and route asks here. */
const MAY = {
  see: ['technician', 'lead', 'counter', 'owner'],
  offer: ['lead', 'counter', 'owner'],
  bill: ['lead', 'counter', 'owner'],
  'book-in': ['technician', 'lead', 'counter', 'owner'],
  correct: ['lead', 'counter', 'owner'],
  bench: ['technician', 'lead'],
  kit: ['technician', 'lead', 'counter'],
  files: ['technician', 'lead', 'counter', 'owner'],
  override: ['lead', 'owner'],
  reopen: ['lead', 'owner'],
  exit: ['lead', 'owner'],
  plan: ['technician', 'lead', 'counter', 'owner'],
  rules: ['lead', 'owner'],
  /** Says what stations ask, and signs skills off. */
  teach: ['lead', 'owner'],
  /** Systems of machines, and bleeding them. */
  machine: ['technician', 'lead', 'counter', 'owner'],
  prices: ['lead', 'owner'],
  'sign-first': ['technician', 'lead'],
  'sign-second': ['lead', 'owner'],
  'see-shop': ['lead', 'owner'],
  shop: ['owner'],
} as const satisfies { readonly [doing: string]: readonly Role[] };

export type Doing = keyof typeof MAY;
export const DOINGS = Object.keys(MAY) as readonly Doing[];

export const may = (role: Role, doing: Doing): boolean => (MAY[doing] as readonly Role[]).includes(role);

/** A person as the work knows them. */
export type Person = {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  readonly bench: string | null;
  /** Of the shop's branches; the first where none is said. */
  readonly branch?: string | null;
};

/** By whom it is written down what a customer says on the page of a quote. Nobody signs in as them. */
export const THE_CUSTOMER: Person = { id: 'the-customer', name: 'the customer', role: 'counter', bench: null };

/** Who works in a shop. */
export const ROLES = ['technician', 'lead', 'counter', 'owner'] as const;
export type Role = (typeof ROLES)[number];

/** What a role may do; every action and route asks here. */
const MAY = {
  see: ['technician', 'lead', 'counter', 'owner'],
  'book-in': ['technician', 'lead', 'counter', 'owner'],
  bench: ['technician', 'lead'],
  kit: ['technician', 'lead', 'counter'],
  override: ['lead', 'owner'],
  reopen: ['lead', 'owner'],
  exit: ['lead', 'owner'],
  rules: ['lead', 'owner'],
  'sign-first': ['technician', 'lead'],
  'sign-second': ['lead', 'owner'],
} as const satisfies { readonly [doing: string]: readonly Role[] };

export type Doing = keyof typeof MAY;
export const DOINGS = Object.keys(MAY) as readonly Doing[];

export const may = (role: Role, doing: Doing): boolean => (MAY[doing] as readonly Role[]).includes(role);

/** A person as the work knows them. */
export type Person = { readonly id: string; readonly name: string; readonly role: Role; readonly bench: string | null };

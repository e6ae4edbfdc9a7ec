import type { Role } from './role';

/** A signature for release. */
export type Signature = {
  readonly id: string;
  readonly personId: string;
  readonly name: string;
  readonly role: Role;
  readonly at: number;
};

import { canonical } from './canonical';
import type { Statement } from './statement';

/** A certificate as a file of its own: what it states, its own hash and that of the one before it. */
export type CertificateFile = {
  readonly eddrin: 'certificate';
  readonly version: 1;
  readonly number: number;
  readonly supersedes: number | null;
  readonly previousHash: string;
  /** SHA-256, hexadecimal. */
  readonly hash: string;
  readonly statement: Statement;
};

/** The text whose SHA-256 is a certificate's hash: the hash before it, a line's end, and the statement with sorted keys and no spaces. */
export const hashedText = (previousHash: string, statement: unknown): string => `${previousHash}\n${canonical(statement)}`;

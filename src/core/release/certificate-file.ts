import { canonical } from './canonical';
import type { Statement } from './statement';

/** What a certificate says beside its statement. `key` is the fingerprint of the shop's key that signed it; null where it was issued before there were keys. */
export type Issued = {
  readonly number: number;
  readonly supersedes: number | null;
  /** SHA-256 of the certificate before, hexadecimal. */
  readonly previousHash: string;
  readonly key: string | null;
  readonly statement: unknown;
};

/** A certificate as a file of its own. Version 1 is not signed, and its hash does not cover what it supersedes. */
export type CertificateFile = {
  readonly eddrin: 'certificate';
  readonly number: number;
  readonly supersedes: number | null;
  readonly previousHash: string;
  /** SHA-256, hexadecimal. */
  readonly hash: string;
  readonly statement: Statement;
} & ({ readonly version: 1 } | ({ readonly version: 2 } & Signed));
/** The public key (Ed25519, its 32 bytes as base64url), its fingerprint, and the signature of `signedText` as base64url. */
export type Signed = { readonly key: string; readonly publicKey: string; readonly signature: string };

/** A key of the shop's as anybody may know it: when it was good, ms since 1970. */
export type ShopKey = { readonly id: string; readonly publicKey: string; readonly fromAt: number; readonly untilAt: number | null };

/** The keys of a shop as a file. */
export type KeyFile = { readonly eddrin: 'keys'; readonly version: 1; readonly keys: readonly ShopKey[] };

/** The text whose SHA-256 is a certificate's hash: the hash before it, a line's end, and all that is stated with sorted keys and no spaces. */
export const hashedText = ({ previousHash, key, number, supersedes, statement }: Issued): string =>
  `${previousHash}\n${canonical(key === null ? statement : { key, number, statement, supersedes })}`;

/** What the shop's key signs. */
export const signedText = (hash: string): string => `eddrin certificate ${hash}`;

/** A fingerprint as it is printed and read out: groups of four. */
export const sayKey = (id: string): string => id.replace(/(.{4})(?=.)/g, '$1 ');

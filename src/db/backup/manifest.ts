import { z } from 'zod';

/** What lies in a data folder and is part of the shop; sessions' secret and stand-ins' files are not. */
export const DATABASE = 'eddrin.db';
export const CERTIFICATE_KEY = 'certificate-key';
export const MANIFEST = 'manifest.json';

/** What a backup holds. It is the last entry of its file. */
export const ManifestSchema = z.object({
  eddrin: z.literal('backup'),
  version: z.literal(1),
  /** ms since 1970. */
  madeAt: z.number(),
  /** The newest migration of its database, by its time in the journal, ms since 1970. */
  schema: z.number(),
  /** Rows of each table. */
  counts: z.record(z.string(), z.number()),
  files: z.array(z.object({ name: z.string(), bytes: z.number(), sha256: z.string() })),
});
export type Manifest = z.output<typeof ManifestSchema>;

/** The end of a backup file: the hash of everything before it, so that a change of any byte is found, also between the entries. */
const FOOTER = /^\neddrin-backup sha256 ([0-9a-f]{64})\n$/;
export const footerOf = (sha256: string): string => `\neddrin-backup sha256 ${sha256}\n`;
export const FOOTER_BYTES = Buffer.byteLength(footerOf('0'.repeat(64)));
export const hashInFooter = (text: string): string | undefined => FOOTER.exec(text)?.[1];

import { createHash } from 'node:crypto';

/** Tells whether two things that were sent say the same. */
export const digestOf = (sent: unknown): string => createHash('sha256').update(JSON.stringify(sent)).digest('base64url');

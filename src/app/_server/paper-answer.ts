import type { Result } from '@/core/result';
import { type NotDone, sayNotDone } from '@/pool/pool';
import { problem } from './request';

/** A paper to print. */
export const paperAnswer = (paper: Result<Uint8Array, NotDone>): Response =>
  paper.ok
    ? new Response(new Uint8Array(paper.value), { headers: { 'content-type': 'application/pdf', 'cache-control': 'private, no-store' } })
    : problem(503, sayNotDone(paper.error));

import type { Result } from '@/core/result';
import { type NotDone, sayNotDone } from '@/pool/pool';
import type { DrawingKind } from '@/pool/tasks';
import { problem } from './request';

const TYPES: { readonly [K in DrawingKind]: string } = { svg: 'image/svg+xml', png: 'image/png' };

/** A drawing as a file to take along: SVG in true millimetres, or the same as a PNG. */
export function drawingAnswer(drawn: Result<string | Uint8Array, NotDone>, name: string, kind: DrawingKind): Response {
  if (!drawn.ok) return problem(503, sayNotDone(drawn.error));
  const body = typeof drawn.value === 'string' ? drawn.value : new Uint8Array(drawn.value);
  return new Response(body, { headers: { 'content-type': TYPES[kind], 'content-disposition': `attachment; filename="${name}.${kind}"` } });
}

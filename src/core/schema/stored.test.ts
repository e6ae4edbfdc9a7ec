import { describe, expect, test } from 'vitest';
import { z } from 'zod';
import { NoteAtBench } from '../bench/bench-schemas';
import { RunStepSchema } from '../prove/programme/step-schema';
import { crossCheck } from './cross-check';
import { LATER, sent, stored } from './stored';

const Part = z.strictObject({
  id: z.string(),
  qty: z.number().int().min(1),
  shade: z.enum(['black', 'red']).register(LATER, { standard: 'black' }),
  in: z
    .discriminatedUnion('piece', [
      z.strictObject({ piece: z.literal('same') }),
      z.strictObject({ piece: z.literal('new'), from: z.string().nullable().register(LATER, { standard: null }) }),
    ])
    .nullable(),
});

describe('what lies in the database', () => {
  test('takes the standard value of a field that came later, however deep', () => {
    expect(stored(z.array(Part)).parse([{ id: 'a', qty: 1, in: { piece: 'new' } }])).toEqual([
      { id: 'a', qty: 1, shade: 'black', in: { piece: 'new', from: null } },
    ]);
  });

  test('keeps what a later version wrote', () => {
    const later = { id: 'a', qty: 1, shade: 'red', weightG: 12, in: { piece: 'same', by: 'hand' } };
    expect(stored(Part).parse(later)).toEqual(later);
    expect(stored(z.record(z.string(), Part)).parse({ x: later })).toEqual({ x: later });
    expect(stored(z.tuple([Part])).parse([later])).toEqual([later]);
  });

  test('is asked as the schema asks in all else', () => {
    const wrong = { id: 'a', qty: 0, in: { piece: 'old' } };
    expect(
      stored(Part)
        .safeParse(wrong)
        .error?.issues.map((i) => i.path),
    ).toEqual([['qty'], ['in', 'piece']]);
    const paired = crossCheck(z.strictObject({ a: z.number(), b: z.number() }), (v, report) => {
      if ((v as { a: number }).a > (v as { b: number }).b) report(['a'], 'too large');
    });
    expect(stored(paired).safeParse({ a: 2, b: 1, c: 3 }).success).toBe(false);
    expect(stored(paired).parse({ a: 1, b: 2, c: 3 })).toEqual({ a: 1, b: 2, c: 3 });
  });

  test('the schema itself stays strict, and asks for the later field', () => {
    expect(Part.safeParse({ id: 'a', qty: 1, in: null }).success).toBe(false);
    expect(Part.safeParse({ id: 'a', qty: 1, shade: 'red', in: null, weightG: 1 }).success).toBe(false);
  });

  test('a step of a programme that knows more than this version is read', () => {
    const step = { id: 'low', kind: 'weep', need: 'must', chamber: null, why: '', means: '' };
    const all = { ...step, ...Object.fromEntries(['bar', 'seconds'].map((n) => [n, 5])) };
    expect(
      stored(RunStepSchema)
        .safeParse({ ...all, lamp: 'red' })
        .error?.issues.some((i) => i.code === 'unrecognized_keys') ?? false,
    ).toBe(false);
  });
});

describe('what a page sends', () => {
  test('may be a row as it was read: what the schema does not take is left out, however deep', () => {
    const part = { id: 'a', qty: 1, shade: 'red', in: { piece: 'same' } };
    const row = { ...part, unitId: 'u', at: 5, in: { ...part.in, personId: 'p' } };
    expect(sent(z.object({ data: z.array(Part) })).parse({ data: [row] })).toEqual({ data: [part] });
  });

  test('is asked as the schema asks in all else, and later fields too', () => {
    expect(sent(Part).safeParse({ id: 'a', qty: 0, shade: 'red', in: null }).success).toBe(false);
    expect(sent(Part).safeParse({ id: 'a', qty: 1, in: null }).success).toBe(false);
  });

  test('what touches what, as it was kept, is kept again', () => {
    const touch = { kind: 'touch', fluid: 'dot-4', wasFluid: null, flush: 'no', rubber: null, swell: null, lubricant: 'fresh-fluid' };
    const target = { eventId: '0190a000-0000-7000-8000-000000000000', unitId: 'u', version: 3 };
    const again = { ...target, data: { ...touch, id: 'b1', at: 5, personId: 'p' } };
    expect(sent(NoteAtBench).parse(again)).toEqual({ ...target, data: touch });
  });
});

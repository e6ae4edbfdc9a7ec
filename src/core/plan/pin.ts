import { z } from 'zod';
import { Id } from '../schema/target';
import { text } from '../schema/text';

/** What somebody wants of the plan: this unit before all others, by this person, or not before a moment. */
export type Pin = {
  readonly id: string;
  readonly unitId: string;
  readonly by: string;
  readonly madeAt: number;
  readonly why: string;
} & (
  | { readonly kind: 'first' }
  | { readonly kind: 'person'; readonly personId: string }
  | { readonly kind: 'not-before'; readonly at: number }
);

const Why = text().trim().min(3, 'why? A word or two').max(200);
/** Ten years, either way, around the clock of whoever sends. */
const Moment = z.number().min(0).max(4.1e12);
export const NewPin = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('first'), unitId: Id, why: Why }),
  z.object({ kind: z.literal('person'), unitId: Id, why: Why, personId: Id }),
  z.object({ kind: z.literal('not-before'), unitId: Id, why: Why, at: Moment }),
]);
export type NewPin = z.output<typeof NewPin>;
export const PinId = z.object({ id: Id });

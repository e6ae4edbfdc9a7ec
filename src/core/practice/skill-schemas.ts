import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Target } from '../schema/target';
import { text } from '../schema/text';
import { STATIONS } from '../station';
import { LEVELS } from './exercise';
import { PRACTICE_KIND_NAMES } from './kinds';

/** What a station asks before somebody is signed off for it, how long a skill lasts, and whether it is asked for at the bench. */
export const StationAsksSchema = z.object({
  kinds: z.partialRecord(z.enum(PRACTICE_KIND_NAMES), z.literal(LEVELS)),
  inARow: z.number().int().min(1).max(20),
  withinMonths: z.number().int().min(1).max(60),
  /** Null: a skill does not end by itself. */
  lastsMonths: z.number().int().min(1).max(120).nullable(),
  /** `holds`: who lacks the skill works with a second person’s PIN. */
  gate: z.enum(['open', 'holds']),
});
export type StationAsks = z.output<typeof StationAsksSchema>;

/** As a shop begins: nothing is asked, nothing is held up. */
export const NO_ASKS: StationAsks = { kinds: {}, inARow: 3, withinMonths: 6, lastsMonths: 24, gate: 'open' };

export const SaveAsks = StationAsksSchema.extend({ station: z.enum(STATIONS) }).strict();
export type SaveAsks = Sends<typeof SaveAsks>;
/** A skill signed off after real work was watched. */
export const SignSkill = z.strictObject({
  id: Id,
  personId: Id,
  station: z.enum(STATIONS),
  words: text().trim().min(3, 'say what was watched').max(300),
});
export type SignSkill = Sends<typeof SignSkill>;
export const EndSkill = z.strictObject({ id: Id });
export type EndSkill = Sends<typeof EndSkill>;
/** Somebody with the skill works along at a station of a unit, and says so by their PIN. */
export const StandBy = z.object({ ...Target, station: z.enum(STATIONS), withId: Id, pin: text().min(1).max(64) });
export type StandBy = Sends<typeof StandBy>;

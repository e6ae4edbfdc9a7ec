import { z } from 'zod';
import type { Sends } from '../schema/sends';
import { Id, Note, Reason, Target } from '../schema/target';
import { text } from '../schema/text';
import { STATIONS } from '../station';

export const SignOff = z.object({ ...Target, station: z.enum(STATIONS), note: Note, override: Reason.nullable() });
export type SignOff = Sends<typeof SignOff>;
/** Undo and release ask for nothing more. */
export const JustTarget = z.object(Target);
export type JustTarget = Sends<typeof JustTarget>;
export const StartWait = z.object({
  ...Target,
  label: text().trim().min(1, 'what for?').max(80),
  minutes: z
    .number()
    .min(1)
    .max(60 * 24 * 60),
  ownerId: Id.nullish(),
});
export type StartWait = Sends<typeof StartWait>;
export const SendToBranch = z.object({ ...Target, branch: Id });
export type SendToBranch = Sends<typeof SendToBranch>;
export const EndWait = z.object({ ...Target, timerId: Id });
export type EndWait = Sends<typeof EndWait>;
export const RingWait = z.object({ timerId: Id });
export type RingWait = Sends<typeof RingWait>;
export const Sign = z.object({ ...Target, signerId: Id, pin: text().min(1).max(64) });
export type Sign = Sends<typeof Sign>;
export const Leave = z.object({ ...Target, exit: z.enum(['scrapped', 'returned']), reason: Reason });
export type Leave = Sends<typeof Leave>;
export const Reopen = z.object({ ...Target, station: z.enum(STATIONS), reason: Reason });
export type Reopen = Sends<typeof Reopen>;

import { z } from 'zod';
import { Id, Note } from '../schema/target';
import { text } from '../schema/text';
import { LONGEST_PASSCODE } from './pin';
import { ROLES } from './role';
import { WorkSchema } from './work';

const NAMED = {
  name: text().trim().min(2, 'what are they called?').max(60),
  role: z.enum(ROLES, 'choose what they do'),
  /** Where they usually stand; empty for nowhere. */
  bench: text().trim().max(40),
  /** Of the shop's branches; empty: the first. */
  branch: text().max(100),
};
export const AddMember = z.object(NAMED);
/** @param work null: in the shop's hours, at whatever the role does */
export const ChangeMember = z.object({ id: Id, ...NAMED, work: WorkSchema.nullable() });
export const MemberId = z.object({ id: Id });
export const EndSession = z.object({ id: Id, sessionId: Id });
/** A wish to leave or to come back is written down with why. */
export const LeaveShop = z.object({ id: Id, note: Note });

/** A person's first sign-in, or the first after a PIN was forgotten. */
export const ChoosePin = z
  .object({
    personId: z.string('pick your name').min(1, 'pick your name').max(100),
    code: z.string().trim().min(1, 'enter the code that you were given').max(40),
    pin: z
      .string()
      .min(1, 'choose one')
      .max(LONGEST_PASSCODE + 1),
    again: z.string().max(LONGEST_PASSCODE + 1),
  })
  .refine((v) => v.pin === v.again, { path: ['again'], message: 'is not the same as above' });

import { z } from 'zod';
import type { JudgeInput } from '../bore/judge';
import { MATERIALS, type Material } from '../bore/material';
import { SCHOOLS, type School } from '../bore/school';

/** How the shop saves bores of a material, where it holds otherwise than usual. */
export type Schools = { readonly [M in Material]?: School | undefined };

export const SchoolsDoor = z.partialRecord(z.enum(MATERIALS), z.enum(SCHOOLS)) as unknown as z.ZodType<Schools>;

/** The question with the shop's school in it, unless its person chose one. */
export const withSchool = (input: JudgeInput, schools: Schools): JudgeInput => ({
  ...input,
  school: input.school ?? schools[input.material] ?? null,
});

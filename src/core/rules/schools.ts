import type { Material } from '../family/material';
import type { School } from './school';

/** How the shop saves bores of a material, where it holds otherwise than usual. */
export type Schools = { readonly [M in Material]?: School | undefined };

/** The question with the shop's school in it, unless its person chose one. */
export const withSchool = <I extends { readonly material: Material; readonly school?: School | null | undefined }>(
  input: I,
  schools: Schools,
): I => ({
  ...input,
  school: input.school ?? schools[input.material] ?? null,
});

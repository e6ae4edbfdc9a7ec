'use server';

import { familyFaults, sayFamilyFault } from '@/core/family/check-family';
import { SaveVariant } from '@/core/family/family-schemas';
import { familyOf } from '@/core/family/variant-schema';
import { fail } from '@/core/result';
import { saveVariant } from '@/db/family/variants';
import { act } from '../_server/act';

/** Saves a variant of a family; one that could not be worked with is refused, with every reason. */
export const saveVariantAction = act('rules', SaveVariant, async (i, { db, person, now }) => {
  const faults = familyFaults(familyOf(i.variant.base, i.variant));
  if (faults.length > 0) return fail({ code: 'refused', reasons: faults.map(sayFamilyFault) });
  return saveVariant(db, person, now, i);
});

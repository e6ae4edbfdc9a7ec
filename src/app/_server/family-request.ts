import { cache } from 'react';
import { FAMILIES } from '@/core/family/families';
import type { Family } from '@/core/family/family';
import { UNIT_KINDS } from '@/core/family/family-name';
import { familyOf, type Variant } from '@/core/family/variant-schema';
import { theDb } from '@/db/engine/connection';
import { variantById } from '@/db/family/variants';

/** What an address calls a family: a standard one by its name, or the shop's variant by its id. */
export const familyByAddress = cache(
  async (id: string): Promise<{ readonly family: Family; readonly variant: Variant | null } | undefined> => {
    const kind = UNIT_KINDS.find((k) => k === id);
    if (kind !== undefined) return { family: FAMILIES[kind], variant: null };
    const saved = await variantById(await theDb(), id);
    return saved === undefined ? undefined : { family: familyOf(saved.variant.base, saved.variant), variant: saved.variant };
  },
);

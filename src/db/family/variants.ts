import { asc, eq, isNull } from 'drizzle-orm';
import { type Variant, VariantSchema } from '@/core/family/variant-schema';
import type { Person } from '@/core/people/role';
import { fail, ok, type Result } from '@/core/result';
import { stored } from '@/core/schema/stored';
import type { Db, Reader } from '../engine/connection';
import { familyVariants } from '../tables';

const Stored = stored(VariantSchema);

export type SavedVariant = { readonly id: string; readonly at: number; readonly variant: Variant };

/** The shop's variants as they are now, by name. */
export async function currentVariants(db: Reader): Promise<readonly SavedVariant[]> {
  const rows = await db.select().from(familyVariants).where(isNull(familyVariants.replacedBy)).orderBy(asc(familyVariants.label));
  return rows.map((r) => ({ id: r.id, at: r.at, variant: Stored.parse(r.variant) }));
}

export async function variantById(db: Reader, id: string): Promise<SavedVariant | undefined> {
  const [row] = await db.select().from(familyVariants).where(eq(familyVariants.id, id));
  return row === undefined ? undefined : { id: row.id, at: row.at, variant: Stored.parse(row.variant) };
}

/**
 * Saves a variant as a row of its own; the one it was made from is marked as replaced, and units that came in by that keep it.
 * @param replaces the variant that was edited; null for a new one
 */
export const saveVariant = (
  db: Db,
  person: Person,
  at: number,
  v: { readonly id: string; readonly replaces: string | null; readonly variant: Variant },
): Promise<Result<{ readonly id: string }, { readonly code: 'refused'; readonly reasons: readonly string[] }>> =>
  db.transaction(async (tx) => {
    const [repeated] = await tx.select({ id: familyVariants.id }).from(familyVariants).where(eq(familyVariants.id, v.id));
    if (repeated !== undefined) return ok(repeated);
    const current = await currentVariants(tx);
    if (v.replaces !== null && !current.some((c) => c.id === v.replaces))
      return fail({ code: 'refused' as const, reasons: ['Somebody else saved this variant meanwhile: open it again.'] });
    if (current.some((c) => c.id !== v.replaces && c.variant.label === v.variant.label))
      return fail({ code: 'refused' as const, reasons: [`There is a variant “${v.variant.label}” already.`] });
    await tx
      .insert(familyVariants)
      .values({ id: v.id, label: v.variant.label, variant: v.variant, at, personId: person.id, replacedBy: null });
    if (v.replaces !== null) await tx.update(familyVariants).set({ replacedBy: v.id }).where(eq(familyVariants.id, v.replaces));
    return ok({ id: v.id });
  });

import { masterSingle } from '@/core/family/anatomy/master-single';
import type { Family } from '@/core/family/family';
import { type Variant, VariantSchema } from '@/core/family/variant-schema';

const variantOf = (base: Family, label: string, change: (slots: Family['slots']) => Family['slots']): Variant =>
  VariantSchema.parse({ base: base.name, label, slots: change(base.slots), drawing: base.drawing });

/** Forms of the families that this shop meets often. */
export const VARIANTS: readonly Variant[] = [
  variantOf(masterSingle, 'Single master without residual valve', (slots) => slots.filter((s) => s.id !== 'residual-valve')),
  variantOf(masterSingle, 'Single master with residual valve', (slots) =>
    slots.map((s) => (s.id === 'residual-valve' ? { ...s, optional: false } : s)),
  ),
];

import { caliperHalf } from '@/core/family/anatomy/caliper-half';
import { masterSingle } from '@/core/family/anatomy/master-single';
import type { Family } from '@/core/family/family';
import { type Variant, VariantDoor } from '@/core/family/variant-door';

const variantOf = (base: Family, label: string, change: (slots: Family['slots']) => Family['slots']): Variant =>
  VariantDoor.parse({ base: base.name, label, slots: change(base.slots), drawing: base.drawing });

/** Forms of the families that this shop meets often. */
export const VARIANTS: readonly Variant[] = [
  variantOf(caliperHalf, 'Caliper half, two pots', (slots) =>
    slots.map((s) => (['dust-seal', 'piston', 'pressure-seal'].includes(s.id) ? { ...s, qty: 2 } : s)),
  ),
  variantOf(masterSingle, 'Single master without residual valve', (slots) => slots.filter((s) => s.id !== 'residual-valve')),
  variantOf(masterSingle, 'Single master with residual valve', (slots) =>
    slots.map((s) => (s.id === 'residual-valve' ? { ...s, optional: false } : s)),
  ),
];

import type { Metadata } from 'next';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS } from '@/core/family/family-name';
import { familyOf } from '@/core/family/variant-schema';
import { theDb } from '@/db/engine/connection';
import { currentVariants } from '@/db/family/variants';
import { FamilyCard } from '@/ui/family/family-card';
import { Go } from '@/ui/shell/go';
import { unitsOf } from '../../../_server/preferences';

export const metadata: Metadata = { title: 'Families' };

export default async function FamiliesPage() {
  const [units, variants] = await Promise.all([unitsOf(), currentVariants(await theDb())]);
  const cylinders = UNIT_KINDS.filter((k) => FAMILIES[k].drawing !== null);
  const beside = UNIT_KINDS.filter((k) => FAMILIES[k].drawing === null);
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">Families</h1>
      <p className="mb-3 text-ink2">
        Anatomy as makers mostly build it. Copy one to a variant where yours differ.{' '}
        <Go className="font-bold text-act" href="/rules">
          Back to the rules
        </Go>
      </p>
      <ul className="grid gap-3 md:grid-cols-2">
        {cylinders.map((k) => (
          <FamilyCard key={k} id={k} family={FAMILIES[k]} units={units} />
        ))}
      </ul>
      <h2 className="head mt-6 mb-2">This shop’s own</h2>
      {variants.length === 0 && <p className="text-ink2">None yet: open a family and copy it.</p>}
      <ul className="grid gap-3 md:grid-cols-2">
        {variants.map((v) => (
          <FamilyCard key={v.id} id={v.id} family={familyOf(v.variant.base, v.variant)} units={units} />
        ))}
      </ul>
      <h2 className="head mt-6 mb-2">Beside them, no bore</h2>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
        {beside.map((k) => (
          <FamilyCard key={k} id={k} family={FAMILIES[k]} units={units} />
        ))}
      </ul>
    </div>
  );
}

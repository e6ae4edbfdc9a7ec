import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { uuidv7 } from 'uuidv7';
import { FAMILIES } from '@/core/family/families';
import { FAMILY_NAMES } from '@/core/family/family-name';
import type { Fitment } from '@/core/identify/fitment';
import { systemOfFitment } from '@/db/bleed/systems';
import { theDb } from '@/db/engine/connection';
import { storedFitment } from '@/db/identify/fitments';
import { FitmentForm } from '@/ui/identify/fitment-form';
import { Go } from '@/ui/shell/go';
import { StorePlaces } from '@/ui/store/store-places';

export const metadata: Metadata = { title: 'Fitment' };

const NONE = {
  maker: '',
  machine: '',
  yearFrom: null,
  yearTo: null,
  family: 'master-single',
  position: '',
  features: {},
  kits: [],
  note: '',
} as const;

/** One fitment to be changed, or `new` to be entered. */
export default async function FitmentPage({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  const id = decodeURIComponent((await params).id);
  const fitment: Fitment | undefined = id === 'new' ? { id: uuidv7(), ...NONE } : await storedFitment(await theDb(), id);
  if (fitment === undefined) notFound();
  const system = id === 'new' ? undefined : await systemOfFitment(await theDb(), id);
  return (
    <div className="px-4 py-4">
      <h1 className="mb-1 text-xl font-bold">{id === 'new' ? 'Enter a fitment' : 'Change a fitment'}</h1>
      <StorePlaces here="fitments" />
      {id !== 'new' && (
        <p className="mb-3">
          <Go href={`/sums/bleed?fitment=${encodeURIComponent(id)}`} className="inline-flex min-h-[44px] items-center font-bold text-act">
            Its brake or clutch system
          </Go>{' '}
          <span className="text-ink2">
            {system === undefined ? 'not drawn yet: drawn once, its bleed plan is there for every unit of it' : system.system.name}
          </span>
        </p>
      )}
      <FitmentForm start={fitment} known={id !== 'new'} families={FAMILY_NAMES.map((name) => ({ name, label: FAMILIES[name].label }))} />
    </div>
  );
}

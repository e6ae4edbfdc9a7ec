import type { Metadata } from 'next';
import { notFound, redirect } from 'next/navigation';
import { FAMILY_NAMES } from '@/core/family/family-name';
import { VariantSchema } from '@/core/family/variant-schema';
import { may } from '@/core/people/role';
import { VariantEditor } from '@/ui/family/variant-editor';
import { familyByAddress } from '../../../../../_server/family-request';
import { personOrSignIn } from '../../../../../_server/who';

export const metadata: Metadata = { title: 'Variant' };

export default async function VariantPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const found = await familyByAddress(id);
  const base = FAMILY_NAMES.find((name) => name === found?.family.name);
  if (found === undefined || base === undefined || found.family.drawing === null) notFound();
  if (!may((await personOrSignIn()).role, 'rules')) redirect(`/rules/families/${id}`);
  const { family, variant } = found;
  const start = variant ?? VariantSchema.parse({ base, label: family.label, slots: family.slots, drawing: family.drawing });
  return <VariantEditor start={start} replaces={variant === null ? null : id} />;
}

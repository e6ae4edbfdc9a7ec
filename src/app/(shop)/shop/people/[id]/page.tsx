import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '@/core/people/role';
import { STATIONS } from '@/core/station';
import { theDb } from '@/db/engine/connection';
import { members } from '@/db/people/staff';
import { theShop } from '@/db/shop/settings';
import { MemberPage } from '@/ui/shop/member-page';
import { personOrSignIn } from '../../../../_server/who';

export const metadata: Metadata = { title: 'Person' };

export default async function PersonPage({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  const { id } = await params;
  const [db, person] = [await theDb(), await personOrSignIn()];
  const [all, { settings }] = [await members(db, Date.now()), await theShop(db)];
  const member = all.find((m) => m.id === id);
  if (member === undefined) notFound();
  return (
    <>
      <h1 className="mb-3 text-xl font-bold">{member.name}</h1>
      <MemberPage
        key={member.id}
        member={member}
        usual={{ skills: [...STATIONS], hours: settings.hours, daysOff: [] }}
        benches={settings.places.map((p) => p.name)}
        open={may(person.role, 'shop')}
      />
    </>
  );
}

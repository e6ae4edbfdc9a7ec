import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { geometryAt, partFacing } from '@/core/family/family';
import { PART_KINDS } from '@/core/family/part-kind';
import { may } from '@/core/people/role';
import { sayLength, sayNominal } from '@/core/quantity/say';
import { boreDrawings } from '@/core/unit/bore-drawing';
import { wholeParts } from '@/core/unit/drawn-parts';
import { LIP_WORDS, Lip } from '@/ui/drawing/lip';
import { SectionView } from '@/ui/drawing/section-view';
import { Go } from '@/ui/shell/go';
import { Scroll } from '@/ui/unit/scroll';
import { TableHead } from '@/ui/unit/table-head';
import { familyByAddress } from '../../../../_server/family-request';
import { unitsOf } from '../../../../_server/preferences';
import { personOrSignIn } from '../../../../_server/who';

type Params = { readonly params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  return { title: (await familyByAddress((await params).id))?.family.label ?? 'Family' };
}

const POLICY_WORDS = { never: 'never again', 'last-resort': 'only if nothing else', inspect: 'if it passes', ok: 'again' } as const;

export default async function FamilyPage({ params }: Params) {
  const { id } = await params;
  const found = await familyByAddress(id);
  if (found === undefined) notFound();
  const { family, variant } = found;
  const [units, person] = [await unitsOf(), await personOrSignIn()];
  const geometry = family.drawing === null ? null : geometryAt(family.drawing, family.drawing.atMm);
  return (
    <div className="px-4 py-4">
      <div className="mb-2 flex flex-wrap items-baseline gap-x-5">
        <h1 className="text-xl font-bold">{family.label}</h1>
        <p className="text-ink2">
          {geometry === null
            ? 'no bore'
            : `drawn at ${sayNominal(geometry.nominalMm)}, ${sayLength(geometry.lengthMm, units)} ${units.length} of bore; other sizes in proportion`}
        </p>
        <Go className="font-bold text-act" href="/rules/families">
          All families
        </Go>
        {family.drawing !== null && may(person.role, 'rules') && (
          <Go className="btn-quiet ml-auto" href={`/rules/families/${id}/edit`}>
            {variant === null ? 'Copy to a variant' : 'Change this variant'}
          </Go>
        )}
      </div>
      {geometry !== null && (
        <div className="mb-4 border border-line bg-sheet p-3">
          <SectionView
            bores={boreDrawings(family, { geometry, morePots: [] }).map((b) => ({ ...b, parts: wholeParts(family) }))}
            trayHref=""
            svgHref={`/api/v1/families/${id}/section.svg`}
          />
        </div>
      )}
      <Scroll label="Parts">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['', 'Part', 'Kind', 'Parts', 'Lip', 'Used again', 'What to look at']} />
          <tbody>
            {family.slots.map((s, i) => {
              const faces = partFacing(family, { slotId: s.id, kind: s.kind });
              return (
                <tr key={s.id} id={`part-${s.id}`} className="target:bg-tint2">
                  <td className="cell text-ink2">{i + 1}</td>
                  <th scope="row" className="cell font-bold">
                    {s.name}
                    {s.qty > 1 ? ` × ${s.qty}` : ''}
                    {s.optional && <span className="font-normal text-ink2"> (some)</span>}
                  </th>
                  <td className="cell">{(s.oneOf ?? [s.kind]).map((k) => PART_KINDS[k].label).join(' or ')}</td>
                  <td className="cell text-ink2">
                    {s.between === undefined ? '' : s.between.map((c) => c.replaceAll('-', ' ')).join(' from ')}
                  </td>
                  <td className="cell whitespace-nowrap">
                    {faces !== undefined && (
                      <span className="inline-flex items-center gap-2">
                        <Lip faces={faces} size={20} /> {LIP_WORDS[faces]}
                      </span>
                    )}
                  </td>
                  <td className="cell">{POLICY_WORDS[PART_KINDS[s.kind].policy]}</td>
                  <td className="cell text-ink2">{PART_KINDS[s.kind].look}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </Scroll>
    </div>
  );
}

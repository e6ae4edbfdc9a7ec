import { type Family, geometryAt } from '@/core/family/family';
import type { Units } from '@/core/quantity/units';
import { wholeParts } from '@/core/unit/drawn-parts';
import { SectionDrawing } from '../drawing/section-drawing';
import { Go } from '../shell/go';

/** A family at a glance; leads to all about it. */
export function FamilyCard({ id, family, units }: { readonly id: string; readonly family: Family; readonly units: Units }) {
  return (
    <li className="border border-line bg-sheet p-3">
      <h3>
        <Go href={`/rules/families/${id}`} className="inline-flex min-h-[44px] items-center text-[17px] font-bold text-act">
          {family.label}
        </Go>
      </h3>
      {family.drawing === null ? (
        <p className="text-ink2">{family.slots.map((s) => s.name).join(', ')}</p>
      ) : (
        <div className="section-together">
          <SectionDrawing
            family={family}
            geometry={geometryAt(family.drawing, family.drawing.atMm)}
            units={units}
            parts={wholeParts(family)}
            view="together"
            trayHref={null}
          />
        </div>
      )}
    </li>
  );
}

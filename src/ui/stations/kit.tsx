'use client';

import { sizeDiffers } from '@/core/kit/fit';
import type { KitMatch } from '@/core/kit/match-kit';
import type { Need } from '@/core/kit/need';
import type { StoredKit } from '@/core/kit/stored-kit';
import { sayLength } from '@/core/quantity/say';
import type { Units } from '@/core/quantity/units';
import type { SetAside } from '@/core/unit/unit-record';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

export type RankedKit = { readonly kit: StoredKit; readonly match: KitMatch };

/** What the unit needs, and the store's kits ranked by how much of it they cover, part by part. */
export function Kit({
  target,
  needs,
  ranked,
  setAside,
  units,
  open,
  actions,
}: {
  readonly target: UnitTarget;
  readonly needs: readonly (Need & { readonly name: string })[];
  readonly ranked: readonly RankedKit[];
  readonly setAside: readonly SetAside[];
  readonly units: Units;
  readonly open: boolean;
  readonly actions: { readonly setAside: SaveAction; readonly putBack: SaveAction };
}) {
  const taking = useSave(actions.setAside, target);
  const returning = useSave(actions.putBack, target);
  const nameOf = (id: string): string => needs.find((n) => n.id === id)?.name ?? id;
  return (
    <div className="grid gap-3">
      <SaveNote saving={taking.saving} onAcceptTheirs={taking.acceptTheirs} />
      <SaveNote saving={returning.saving} onAcceptTheirs={returning.acceptTheirs} />
      {setAside.map((s) => (
        <div key={s.moveId} className="flex flex-wrap items-center gap-3 border border-act bg-sheet px-3 py-2">
          <b>{s.number}</b> {s.name}, set aside for this unit
          {open && (
            <button type="button" className="btn-quiet ml-auto" onClick={() => void returning.save({ moveId: s.moveId })}>
              Put it back
            </button>
          )}
        </div>
      ))}
      <p className="text-ink2">
        {needs.length === 0
          ? 'Every part goes back: nothing is needed.'
          : `Needed: ${needs.map((n) => `${n.name}${n.qty > 1 ? ` × ${n.qty}` : ''}`).join(', ')}.`}
      </p>
      {ranked.map(({ kit, match }) => (
        <article key={kit.id} aria-label={`Kit ${kit.number}`} className="border border-line bg-sheet">
          <header className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair px-3 py-1.5">
            <b className="text-brass">{kit.number}</b>
            <span>{kit.name}</span>
            <CoverBar share={match.coverage} />
            <span className="text-ink2">{kit.price.toFixed(2)}</span>
            <span className={kit.stock > 0 ? 'text-ink2' : 'text-amber'}>
              {kit.stock > 0 ? `${kit.stock} on the shelf` : kit.leadDays === null ? 'none, not to be had' : `none, ${kit.leadDays} days`}
            </span>
            {open && (
              <button
                type="button"
                className="btn ml-auto"
                disabled={kit.stock < 1 || taking.saving.kind === 'saving'}
                onClick={() => void taking.save({ kitId: kit.id })}
              >
                Set aside
              </button>
            )}
          </header>
          <div className="grid gap-x-6 gap-y-0.5 px-3 py-2 text-[13px] md:grid-cols-2">
            <Line
              label="covers"
              text={match.covered.map((c) => `${nameOf(c.needId)}${c.verified ? '' : ' (measure to be sure)'}`).join(', ') || 'nothing'}
            />
            <Line
              label="missing"
              text={match.missing.map((m) => `${nameOf(m.needId)}${m.qty > 1 ? ` × ${m.qty}` : ''}`).join(', ') || '–'}
              warn={match.missing.length > 0}
            />
            <Line
              label="left over"
              text={match.surplus.map((s) => `${kit.items[s.itemIndex]?.name}${s.qty > 1 ? ` × ${s.qty}` : ''}`).join(', ') || '–'}
            />
            <Line
              label="does not fit"
              text={
                match.misfits
                  .map((m) => `${nameOf(m.needId)}: ${dimWords(m.dim)} ${sayDim(m.want, units)}, this has ${sayDim(m.have, units)}`)
                  .join('; ') || '–'
              }
              warn={match.misfits.length > 0}
            />
            <Line label="size differs" text={differing(needs, kit, match, units) || '–'} />
          </div>
        </article>
      ))}
      {ranked.length === 0 && (
        <p className="text-ink2">The store holds kits with their contents, part by part; none fits this family yet.</p>
      )}
    </div>
  );
}

/** Sizes that fit but are not the same, each said once. */
const differing = (needs: readonly Need[], kit: StoredKit, match: KitMatch, units: Units): string => {
  const said = match.covered.flatMap((c) => {
    const [need, item] = [needs.find((n) => n.id === c.needId), kit.items[c.itemIndex]];
    return need === undefined || item === undefined
      ? []
      : sizeDiffers(need.dims, item.dims).map(
          (d) => `${item.name}: ${dimWords(d)} ${sayDim(need.dims[d], units)} / ${sayDim(item.dims[d], units)}`,
        );
  });
  return [...new Set(said)].join('; ');
};

const Line = ({ label, text, warn = false }: { readonly label: string; readonly text: string; readonly warn?: boolean }) => (
  <p className="flex gap-2">
    <span className="w-22 shrink-0 text-ink2">{label}</span>
    <span className={warn ? 'text-amber' : ''}>{text}</span>
  </p>
);

const DIM_WORDS: Readonly<Record<string, string>> = {
  boreMm: 'bore',
  idMm: 'inside ⌀',
  odMm: 'outside ⌀',
  csMm: 'section',
  lengthMm: 'length',
  thickMm: 'thickness',
  diaMm: '⌀',
  thread: 'thread',
};
const dimWords = (dim: string): string => DIM_WORDS[dim] ?? dim;
const sayDim = (value: number | string | null | undefined, units: Units): string =>
  typeof value === 'number' ? `${sayLength(Math.round(value * 100) / 100, units)} ${units.length}` : String(value ?? 'not stated');

/** Share of what must be replaced that a kit covers: a bar, and the figure. */
function CoverBar({ share }: { readonly share: number }) {
  return (
    <span className="inline-flex items-center gap-2">
      <svg width="60" height="10" viewBox="0 0 60 10" aria-hidden="true">
        <rect x="0.5" y="0.5" width="59" height="9" fill="none" stroke="var(--line)" />
        <rect x="0.5" y="0.5" width={59 * share} height="9" fill="var(--act)" />
      </svg>
      <b>{Math.round(100 * share)} %</b>
    </span>
  );
}

'use client';

import { measureNeedAction } from '@/app/actions/kit';
import { PART_KINDS, type PartKind } from '@/core/family/part-kind';
import { dimWords, sayDim } from '@/core/family/say-dims';
import type { RankedKit } from '@/core/unit/ranked-kits';
import { type NamedNeed, toMeasure } from '@/core/unit/ranked-kits';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';
import { Scroll } from '../unit/scroll';
import { useStation } from '../unit/station-context';

const ASK: Readonly<Record<NamedNeed['policy'], string>> = {
  replace: 'must be new',
  prefer: 'new if there is one',
  'reuse-ok': 'old one may go back',
};

/** What is to be replaced, with what is measured of it; a dimension that would tell the kits apart asks to be measured. */
export function Needs({ needs, ranked }: { readonly needs: readonly NamedNeed[]; readonly ranked: readonly RankedKit[] }) {
  const units = useUnits();
  const { open } = useStation();
  const { save, saving, decide } = useSave(measureNeedAction);
  if (needs.length === 0) return <p className="text-ink2">Every part goes back: nothing is needed.</p>;
  const telling = new Map(needs.map((n) => [n.id, tellingDims(n, ranked)]));
  const first = needs.find((n) => (telling.get(n.id) ?? []).length > 0);
  return (
    <section aria-label="Needed">
      {first !== undefined && (
        <p className="mb-2 border-l-4 border-act pl-3">
          The kits differ in the {dimWords((telling.get(first.id) as readonly string[])[0] as string)} of the {first.name}.{' '}
          <button
            type="button"
            className="inline-flex min-h-[44px] items-center font-bold text-act underline"
            onClick={() => document.querySelector<HTMLInputElement>(`[data-need="${first.id}"] input`)?.focus()}
          >
            Measure this and be sure
          </button>
        </p>
      )}
      <Scroll label="What the unit needs">
        <table className="w-full border-collapse bg-sheet" aria-label="What the unit needs">
          <tbody>
            {needs.map((n) => (
              <tr key={n.id}>
                <th scope="row" className="cell text-left font-bold">
                  {n.name}
                  {n.qty > 1 && ` × ${n.qty}`}
                </th>
                <td className="cell text-[13px] text-ink2">
                  {PART_KINDS[n.kind as PartKind]?.label ?? n.kind}, {ASK[n.policy]}
                </td>
                <td className="cell">
                  <span className="flex flex-wrap items-center gap-2">
                    {Object.entries(n.dims).map(([d, value]) =>
                      value == null ? null : (
                        <span key={d} className="whitespace-nowrap">
                          <span className="text-[13px] text-ink2">{dimWords(d)}</span> <b>{sayDim(d, value, units)}</b>
                        </span>
                      ),
                    )}
                    {open &&
                      (telling.get(n.id) ?? []).map((d) => (
                        <span key={d} data-need={n.id}>
                          <LengthField
                            label={`${n.name}, ${dimWords(d)}`}
                            hideLabel
                            hint={`${dimWords(d)}?`}
                            className="w-28"
                            value={null}
                            onSay={(mm) => mm !== null && void save({ partId: n.partId, dims: { [d]: mm } })}
                          />
                        </span>
                      ))}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <SaveNote saving={saving} onDecide={decide} />
    </section>
  );
}

/** Lengths not measured on the unit in which the pieces that kits offer for a need differ from each other. */
const tellingDims = (need: NamedNeed, ranked: readonly RankedKit[]): readonly string[] => {
  const offered = ranked.flatMap(({ kit, match }) =>
    match.covered.flatMap((c) =>
      c.needId === need.id && kit.items[c.itemIndex] !== undefined ? [kit.items[c.itemIndex] as RankedKit['kit']['items'][number]] : [],
    ),
  );
  const dims = new Set(offered.flatMap((item) => toMeasure(need, item).onUnit).filter((d) => d.endsWith('Mm')));
  return [...dims].filter((d) => new Set(offered.flatMap((i) => (i.dims[d] == null ? [] : [i.dims[d]]))).size > 1);
};

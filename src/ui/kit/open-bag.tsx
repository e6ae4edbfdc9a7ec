'use client';

import { useState } from 'react';
import { openBagAction } from '@/app/actions/kit';
import { MEASURES } from '@/core/family/measures';
import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import { dimWords, sayDims } from '@/core/family/say-dims';
import type { SetAside } from '@/core/kit/set-aside';
import type { BagFinding } from '@/core/store/bag-finding';
import { Choices } from '../field/choices';
import { CountField, LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';

/** What is really in the bag, piece by piece beside the old part: there and right, missing, or wrong with what it measures; and what is in it too many. */
export function OpenBag({ bag, onDone }: { readonly bag: SetAside; readonly onDone: () => void }) {
  const units = useUnits();
  const { save, saving, decide } = useSave(openBagAction);
  const [findings, setFindings] = useState<readonly BagFinding[]>(bag.findings);
  const [extra, setExtra] = useState<PartKind>('cup');
  const of = (item: number): BagFinding | undefined => findings.find((f) => f.what !== 'extra' && f.item === item);
  const tell = (item: number, found: BagFinding | undefined): void =>
    setFindings((all) => [...all.filter((f) => f.what === 'extra' || f.item !== item), ...(found === undefined ? [] : [found])]);
  return (
    <div className="mt-2 grid gap-2 border-t border-hair pt-2">
      <p className="border-l-4 border-amber pl-3 text-[13px]">
        Old parts stay on the tray until the new ones lie beside them and are the same. Wash your hands first: no petroleum near the rubber.
      </p>
      {bag.items.map((item, i) => {
        const found = of(i);
        const dims = (MEASURES[item.kind as PartKind] ?? []).map((m) => m.dim);
        return (
          <div key={i} className="flex flex-wrap items-center gap-2">
            <span className="w-56">
              <b>{item.name}</b>
              {item.qty * bag.qty > 1 && ` × ${item.qty * bag.qty}`}{' '}
              <span className="text-[13px] text-ink2">{sayDims(item.dims, units)}</span>
            </span>
            <Choices
              label={`The ${item.name}`}
              options={[
                { value: 'right', text: 'as stated' },
                { value: 'missing', text: 'missing' },
                { value: 'wrong', text: 'wrong' },
              ]}
              value={found === undefined || found.what === 'extra' ? 'right' : found.what}
              onPick={(word) =>
                tell(
                  i,
                  word === 'missing'
                    ? { what: 'missing', item: i, qty: item.qty * bag.qty }
                    : word === 'wrong'
                      ? { what: 'wrong', item: i, dims: {}, note: '' }
                      : undefined,
                )
              }
            />
            {found?.what === 'missing' && item.qty * bag.qty > 1 && (
              <CountField
                label={`How many of the ${item.name} are missing`}
                hideLabel
                hint="how many"
                to={item.qty * bag.qty}
                value={found.qty}
                onSay={(qty) => qty !== null && tell(i, { ...found, qty })}
              />
            )}
            {found?.what === 'wrong' && (
              <>
                {dims.map((d) => (
                  <LengthField
                    key={d}
                    label={`${item.name} as it is, ${dimWords(d)}`}
                    hideLabel
                    hint={dimWords(d)}
                    className="w-24"
                    value={typeof found.dims[d] === 'number' ? found.dims[d] : null}
                    onSay={(mm) => tell(i, { ...found, dims: { ...found.dims, [d]: mm } })}
                  />
                ))}
                <input
                  className="field w-48"
                  aria-label={`What is wrong with the ${item.name}`}
                  placeholder="what is wrong"
                  value={found.note}
                  maxLength={200}
                  onChange={(e) => tell(i, { ...found, note: e.target.value })}
                />
              </>
            )}
          </div>
        );
      })}
      {findings.map(
        (f, i) =>
          f.what === 'extra' && (
            <p key={i} className="flex items-center gap-2">
              Extra: {f.name}
              <button type="button" className="btn-quiet" onClick={() => setFindings(findings.filter((x) => x !== f))}>
                Take it off
              </button>
            </p>
          ),
      )}
      <div className="flex flex-wrap items-center gap-2">
        <select className="field w-44" aria-label="Extra part" value={extra} onChange={(e) => setExtra(e.target.value as PartKind)}>
          {PART_KIND_NAMES.map((k) => (
            <option key={k} value={k}>
              {PART_KINDS[k].label}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="btn-quiet"
          onClick={() => setFindings([...findings, { what: 'extra', kind: extra, name: PART_KINDS[extra].label, qty: 1, dims: {} }])}
        >
          There is one too many
        </button>
        <button
          type="button"
          className="btn ml-auto"
          disabled={saving.kind === 'saving'}
          onClick={() => void save({ bagId: bag.id, findings }).then((r) => r.ok && onDone())}
        >
          {findings.length === 0 ? 'All as stated' : 'That is what is in it'}
        </button>
      </div>
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}

'use client';

import { useState } from 'react';
import { contactsOf, type Touch } from '@/core/fluid/contact';
import { FLUID_NAMES, FLUIDS } from '@/core/fluid/fluid';
import { type Bears, bears, RUBBER_NAMES, RUBBERS } from '@/core/fluid/rubber';
import { fluidAsText, fluidQuery } from '@/core/sums/fluid-sheet';
import { Contacts } from '../close-up/contacts';
import { TouchForm } from '../close-up/touch-form';
import { useAddress } from '../shell/use-address';
import { Scroll } from '../unit/scroll';
import { SumButtons } from './sum-buttons';

/** What touches what, on its own: fluid against rubber against lubricant, and one fluid after another. It stands in the address. */
export function Fluids({ start }: { readonly start: Touch }) {
  const [touch, setTouch] = useState(start);
  useAddress('/sums/fluids', fluidQuery(touch));
  return (
    <div className="grid gap-4">
      <Scroll label="Fluids against rubbers">
        <BearsTable touch={touch} />
      </Scroll>
      <div className="grid gap-6 md:grid-cols-2">
        <TouchForm touch={touch} stated={null} onSay={setTouch} />
        <div aria-live="polite">
          <Contacts contacts={contactsOf(touch, [], [])} />
        </div>
      </div>
      <SumButtons text={fluidAsText(touch)} />
    </div>
  );
}

const WORDS: { readonly [B in Bears]: string } = { good: 'bears it', poor: 'poorly', swells: 'swells' };

/** Every fluid against every rubber, each cell a seal drawn as it fares; the chosen pair is framed. */
function BearsTable({ touch }: { readonly touch: Touch }) {
  return (
    <table className="border-collapse bg-sheet" aria-label="Fluids against rubbers">
      <thead>
        <tr>
          <th className="th" />
          {RUBBER_NAMES.map((r) => (
            <th key={r} scope="col" className="th">
              {RUBBERS[r]}
            </th>
          ))}
          <th scope="col" className="th">
            Boils dry, wet
          </th>
        </tr>
      </thead>
      <tbody>
        {FLUID_NAMES.map((f) => (
          <tr key={f}>
            <th scope="row" className="cell pr-6 font-normal">
              {FLUIDS[f].label}
            </th>
            {RUBBER_NAMES.map((r) => {
              const how = bears(r, FLUIDS[f].base);
              return (
                <td
                  key={r}
                  className={`cell w-36 ${touch.fluid === f && touch.rubber === r ? 'outline-2 -outline-offset-2 outline-act' : ''}`}
                >
                  <span className="inline-flex items-center gap-2">
                    <Seal how={how} />
                    {WORDS[how]}
                  </span>
                </td>
              );
            })}
            <td className="cell w-40">{FLUIDS[f].dryC === null ? 'as its maker states' : `${FLUIDS[f].dryC}, ${FLUIDS[f].wetC} °C`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A seal in its groove: as it should be, shrunk and cracked, or swollen out of it. */
const Seal = ({ how }: { readonly how: Bears }) => (
  <svg width="34" height="22" viewBox="0 0 34 22" aria-hidden="true">
    <path d="M1 21V9H33V21" fill="none" stroke="var(--ink2)" strokeWidth="1.4" />
    {how === 'good' && <rect x="8" y="4" width="18" height="16" fill="var(--ink2)" />}
    {how === 'poor' && (
      <>
        <rect x="10" y="10" width="14" height="10" fill="none" stroke="var(--ink2)" strokeWidth="1.6" strokeDasharray="3 2" />
        <path d="M14 10l2 10M20 10l-2 10" stroke="var(--ink2)" strokeWidth="1.2" />
      </>
    )}
    {how === 'swells' && <path d="M3 20Q0 2 10 1.5H24Q34 2 31 20Z" fill="var(--ink2)" />}
  </svg>
);

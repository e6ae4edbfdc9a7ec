'use client';

import { useState } from 'react';
import { MATERIAL_WORDS, type Material } from '@/core/family/material';
import { sayDia, sayLength } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Units } from '@/core/quantity/units';
import type { BackFromSleeving, SendOut as SendOutSent } from '@/core/sleeve/sleeve-doors';
import type { Sleeving } from '@/core/sleeve/sleeving';
import { DateField } from '../field/date-field';
import { LengthField } from '../field/quantity-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import type { SaveAction, UnitTarget } from '../unit/unit-actions';

const SLEEVES: readonly Material[] = ['sleeve-stainless', 'sleeve-brass', 'sleeve-steel'];
const WEEK_MS = 7 * 86_400_000;

type Props = {
  readonly target: UnitTarget;
  readonly nominalMm: number;
  readonly minWallMm: number;
  readonly sleevings: readonly Sleeving[];
  readonly units: Units;
  readonly open: boolean;
  readonly now: number;
  readonly sendOut: SaveAction<SendOutSent>;
  readonly back: SaveAction<BackFromSleeving>;
};

/** Sleeving, which another shop does: the wall is checked, the body is sent, promised, and back to be gauged against nominal. */
export function Sleeve(props: Props) {
  const { sleevings, units, now } = props;
  const out = sleevings.find((s) => s.backAt === null);
  return (
    <>
      {out === undefined ? <SendOut {...props} /> : <Out {...props} out={out} />}
      {sleevings
        .filter((s) => s.backAt !== null)
        .map((s) => (
          <p key={s.id} className="mt-3 border-t border-hair pt-2 text-ink2">
            {s.shop}: {MATERIAL_WORDS[s.material]}, wall {sayLength(s.wallMm, units)} {units.length} when it went; sent{' '}
            {sayWhen(s.sentAt, now)}, back {sayWhen(s.backAt ?? now, now)}. {s.note}
          </p>
        ))}
    </>
  );
}

function SendOut({ target, minWallMm, units, open, now, sendOut }: Props) {
  const { save, saving, acceptTheirs } = useSave(sendOut, target);
  const [wallMm, setWall] = useState<number | null>(null);
  const [shop, setShop] = useState('');
  const [material, setMaterial] = useState<Material>('sleeve-stainless');
  const [promisedAt, setPromised] = useState(now + WEEK_MS);
  const [note, setNote] = useState('');
  const thin = wallMm !== null && wallMm < minWallMm;
  return (
    <form
      className="grid max-w-xl gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        void save({ shop, material, wallMm, promisedAt, note });
      }}
    >
      <div>
        <LengthField
          label={`Thinnest wall, ${units.length}, measured now`}
          className="w-44"
          say="typing"
          value={wallMm}
          units={units}
          onSay={setWall}
        />
        <p className={thin ? 'mt-1 text-red' : 'mt-1 text-[13px] text-ink2'}>
          {thin
            ? `A sleeve needs ${sayLength(minWallMm, units)} ${units.length}: this body cannot be sleeved. Judge it again with this wall.`
            : `A sleeve needs at least ${sayLength(minWallMm, units)} ${units.length}, also where ports and stud holes come near the bore.`}
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <label className="label mb-0 min-w-48 flex-1">
          Sent to
          <input className="field text-ink" value={shop} maxLength={100} onChange={(e) => setShop(e.target.value)} />
        </label>
        <label className="label mb-0">
          Sleeve
          <select className="field text-ink" value={material} onChange={(e) => setMaterial(e.target.value as Material)}>
            {SLEEVES.map((m) => (
              <option key={m} value={m}>
                {MATERIAL_WORDS[m]}
              </option>
            ))}
          </select>
        </label>
        <DateField label="Promised back" value={promisedAt} onSay={setPromised} />
      </div>
      <label className="label mb-0">
        To say to them: size, ports to keep clear
        <textarea className="field min-h-16 py-2 text-ink" value={note} maxLength={1000} onChange={(e) => setNote(e.target.value)} />
      </label>
      <button
        type="submit"
        className="btn w-fit"
        disabled={!open || wallMm === null || thin || shop.trim().length < 2 || saving.kind === 'saving'}
      >
        Sent out
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </form>
  );
}

function Out({ target, out, nominalMm, units, open, now, back }: Props & { readonly out: Sleeving }) {
  const { save, saving, acceptTheirs } = useSave(back, target);
  const [note, setNote] = useState('');
  const late = out.promisedAt < now;
  return (
    <div className="grid max-w-xl gap-3 border border-line bg-sheet p-4">
      <p className="text-lg">
        At <b>{out.shop}</b> since {sayWhen(out.sentAt, now)},{' '}
        <span className={late ? 'font-bold text-amber' : ''} title={sayFullDate(out.promisedAt)}>
          promised {sayWhen(out.promisedAt, now)}
        </span>
        .
      </p>
      <p className="text-ink2">
        {MATERIAL_WORDS[out.material]}; wall {sayLength(out.wallMm, units)} {units.length} when it went. {out.note}
      </p>
      <label className="label mb-0">
        What they did
        <textarea className="field min-h-16 py-2 text-ink" value={note} maxLength={1000} onChange={(e) => setNote(e.target.value)} />
      </label>
      <button type="button" className="btn w-fit" disabled={!open || saving.kind === 'saving'} onClick={() => void save({ note })}>
        Back with its sleeve: gauge it against {sayDia(nominalMm, units)} {units.length}
      </button>
      <SaveNote saving={saving} onAcceptTheirs={acceptTheirs} />
    </div>
  );
}

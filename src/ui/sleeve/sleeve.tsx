'use client';

import { useWatch } from 'react-hook-form';
import { backFromSleevingAction, sendOutAction } from '@/app/actions/sleeve';
import { MATERIAL_WORDS, type Material } from '@/core/family/material';
import { sayDia, sayLength } from '@/core/quantity/say';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import type { Sleeving } from '@/core/sleeve/sleeving';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useUnitForm } from '../form/use-action-form';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

const SLEEVES: readonly Material[] = ['sleeve-stainless', 'sleeve-brass', 'sleeve-steel'];
const DAY_MS = 86_400_000;
const USUAL_MS = 7 * DAY_MS;

type Props = {
  readonly nominalMm: number;
  readonly minWallMm: number;
  /** When the customer has been promised it. */
  readonly dueAt: number;
  readonly sleevings: readonly Sleeving[];
  /** Which of several bores get one; empty where there is one bore. */
  readonly bores: readonly string[];
};

/** Sleeving, which another shop does: the wall is checked, the body is sent, promised, and back to be gauged against nominal. */
export function Sleeve(props: Props) {
  const units = useUnits();
  const { now } = useStation();
  const { sleevings } = props;
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

/** In a week, or a day before the customer is to have it. */
const backBy = (now: number, dueAt: number): number => Math.max(Math.min(now + USUAL_MS, dueAt - DAY_MS), Math.min(now + DAY_MS, dueAt));

type Sending = {
  readonly wallMm: number | null;
  readonly shop: string;
  readonly material: Material;
  readonly promisedAt: number | null;
  readonly note: string;
};
const { Length, Text, Select, Moment } = fieldsOf<Sending>();

function SendOut({ minWallMm, dueAt, bores }: Props) {
  const units = useUnits();
  const { now, open } = useStation();
  const start: Sending = { wallMm: null, shop: '', material: 'sleeve-stainless', promisedAt: backBy(now, dueAt), note: '' };
  const sending = useUnitForm(sendOutAction, start, (v) => v);
  const wallMm = useWatch({ control: sending.form.control, name: 'wallMm' });
  const thin = wallMm !== null && wallMm < minWallMm;
  return (
    <ActionFormFrame of={sending} submit="Sent out" may={open && !thin} className="grid max-w-xl gap-3">
      {bores.length > 0 && <p>Sleeved in this body: {bores.join(' and ')}. The thinnest wall of them counts.</p>}
      <div>
        <Length name="wallMm" label={`Thinnest wall, ${units.length}, measured now`} className="w-44" say="typing" />
        <p className={thin ? 'mt-1 text-red' : 'mt-1 text-[13px] text-ink2'}>
          {thin
            ? `A sleeve needs ${sayLength(minWallMm, units)} ${units.length}: this body cannot be sleeved. Judge it again with this wall.`
            : `A sleeve needs at least ${sayLength(minWallMm, units)} ${units.length}, also where ports and stud holes come near the bore.`}
        </p>
      </div>
      <div className="flex flex-wrap gap-3">
        <Text name="shop" label="Sent to" className="min-w-48 flex-1" maxLength={100} />
        <Select name="material" label="Sleeve" options={SLEEVES} say={MATERIAL_WORDS} />
        <Moment name="promisedAt" label="Promised back" />
      </div>
      <Text name="note" label="To say to them: size, ports to keep clear" rows={3} maxLength={1000} />
    </ActionFormFrame>
  );
}

const Back = fieldsOf<{ readonly note: string }>();

function Out({ out, nominalMm }: Props & { readonly out: Sleeving }) {
  const units = useUnits();
  const { now, open } = useStation();
  const back = useUnitForm(backFromSleevingAction, { note: '' }, (v) => v);
  return (
    <div className="grid max-w-xl gap-3 border border-line bg-sheet p-4">
      <p className="text-lg">
        At <b>{out.shop}</b> since {sayWhen(out.sentAt, now)},{' '}
        <span className={out.promisedAt < now ? 'font-bold text-amber' : ''} title={sayFullDate(out.promisedAt)}>
          promised {sayWhen(out.promisedAt, now)}
        </span>
        .
      </p>
      <p className="text-ink2">
        {MATERIAL_WORDS[out.material]}; wall {sayLength(out.wallMm, units)} {units.length} when it went. {out.note}
      </p>
      <ActionFormFrame of={back} submit={`Back with its sleeve: gauge it against ${sayDia(nominalMm, units)} ${units.length}`} may={open}>
        <Back.Text name="note" label="What they did" rows={3} maxLength={1000} />
      </ActionFormFrame>
    </div>
  );
}

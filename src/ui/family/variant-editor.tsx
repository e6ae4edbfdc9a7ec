'use client';

import { X } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { saveVariantAction } from '@/app/actions/family';
import { familyFaults, sayFamilyFault } from '@/core/family/check-family';
import { geometryAt } from '@/core/family/family';
import { familyOf, type Variant } from '@/core/family/variant-schema';
import { wholeParts } from '@/core/unit/drawn-parts';
import { saySaveError } from '@/core/unit/save-error';
import { SectionDrawing } from '../drawing/section-drawing';
import { LengthField } from '../field/quantity-field';
import { TextField } from '../field/text-field';
import { useUnits } from '../shell/units-context';
import { MoveButtons, moved } from '../unit/move-buttons';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';
import { AddSlot } from './add-slot';
import { SlotRow } from './slot-row';

/** A family copied and changed: parts, their order, their places. The drawing follows, and everything that cannot work is said before it is saved. */
export function VariantEditor({
  start,
  replaces,
}: {
  readonly start: Variant;
  /** The variant that is changed; null: a new one. */
  readonly replaces: string | null;
}) {
  const units = useUnits();
  const router = useRouter();
  const [id] = useState(uuidv7);
  const [variant, setVariant] = useState(start);
  const [refusal, setRefusal] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const { slots, drawing } = variant;
  const family = familyOf(variant.base, variant);
  const faults = familyFaults(family).map(sayFamilyFault);
  const setDrawing = (news: Partial<Variant['drawing']>): void => setVariant({ ...variant, drawing: { ...drawing, ...news } });
  const remove = (slotId: string): void => {
    const { [slotId]: _, ...spans } = drawing.spans;
    const seals = drawing.seals.filter((s) => s.id !== slotId);
    setVariant({ ...variant, slots: slots.filter((s) => s.id !== slotId), drawing: { ...drawing, spans, seals } });
  };
  const submit = async (): Promise<void> => {
    setBusy(true);
    try {
      const result = await saveVariantAction({ id, replaces, variant });
      if (!result.ok) return setRefusal(saySaveError(result.error));
      router.push(`/rules/families/${result.value.id}`);
    } catch {
      setRefusal(['No connection. Everything is still here: save it again when it is back.']);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="px-4 py-4">
      <h1 className="mb-3 text-xl font-bold">{replaces === null ? 'A new variant' : 'Change a variant'}</h1>
      <div className="mb-3 grid items-start gap-4 lg:grid-cols-[1fr_24rem]">
        <div className="section-together border border-line bg-sheet p-3">
          <SectionDrawing
            family={family}
            geometry={geometryAt(drawing, drawing.atMm)}
            units={units}
            parts={wholeParts(variant)}
            view="together"
            trayHref={null}
          />
        </div>
        <div className="grid content-start gap-2">
          <TextField label="Name" value={variant.label} maxLength={60} onSay={(text) => setVariant({ ...variant, label: text })} />
          <div className="grid grid-cols-3 gap-2">
            <LengthField label="Bore" fine value={drawing.atMm} onSay={(mm) => mm !== null && setDrawing({ atMm: mm })} />
            <LengthField label="Length" value={drawing.lengthMm} onSay={(mm) => mm !== null && setDrawing({ lengthMm: mm })} />
            <LengthField label="Wall" value={drawing.wallMm} onSay={(mm) => mm !== null && setDrawing({ wallMm: mm })} />
          </div>
          {drawing.ports.map((p, i) => (
            <div key={p.id} className="grid grid-cols-[1fr_5rem_5rem] items-center gap-2">
              <span>{p.id.replaceAll('-', ' ')} port, at and ⌀</span>
              <LengthField
                hideLabel
                label={`${p.id} port at`}
                value={p.xMm}
                onSay={(xMm) => xMm !== null && setDrawing({ ports: drawing.ports.with(i, { ...p, xMm }) })}
              />
              <LengthField
                hideLabel
                label={`${p.id} port diameter`}
                value={p.diaMm}
                onSay={(diaMm) => diaMm !== null && setDrawing({ ports: drawing.ports.with(i, { ...p, diaMm }) })}
              />
            </div>
          ))}
          {drawing.grooves.map((g, i) => (
            <div key={g.id} className="grid grid-cols-[1fr_5rem_5rem] items-center gap-2">
              <span>groove {g.id}, at and wide</span>
              <LengthField
                hideLabel
                label={`groove ${g.id} at`}
                value={g.xMm}
                onSay={(xMm) => xMm !== null && setDrawing({ grooves: drawing.grooves.with(i, { ...g, xMm }) })}
              />
              <LengthField
                hideLabel
                label={`groove ${g.id} width`}
                value={g.widthMm}
                onSay={(widthMm) => widthMm !== null && setDrawing({ grooves: drawing.grooves.with(i, { ...g, widthMm }) })}
              />
            </div>
          ))}
        </div>
      </div>
      <Scroll label="Parts">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['', 'Part', 'Kind', 'Qty', 'Some', 'Parts the chambers', 'Lies from', 'to', 'Rests at', 'Travels', '']} />
          <tbody>
            {slots.map((slot, i) => (
              <tr key={slot.id}>
                <td className="cell whitespace-nowrap">
                  <MoveButtons
                    at={i}
                    of={slots.length}
                    earlier={`${slot.name}: nearer the open end`}
                    later={`${slot.name}: further in`}
                    onMove={(by) => setVariant({ ...variant, slots: [...moved(slots, i, by)] })}
                  />
                </td>
                <SlotRow slot={slot} variant={variant} chambers={family.chambers} onChange={setVariant} />
                <td className="cell">
                  <button type="button" className="size-9 text-act" aria-label={`Drop the ${slot.name}`} onClick={() => remove(slot.id)}>
                    <X size={18} className="mx-auto" />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <AddSlot variant={variant} chambers={family.chambers} onAdd={setVariant} />
      <div role="alert" className="mt-4">
        {[...faults, ...refusal].length > 0 && (
          <div className="mb-3 border-l-4 border-red bg-sheet px-3 py-2 text-red">
            {[...faults, ...refusal].map((f) => (
              <p key={f}>{f}</p>
            ))}
          </div>
        )}
      </div>
      <button type="button" className="btn" disabled={faults.length > 0 || busy} onClick={() => void submit()}>
        {busy ? 'Saving' : 'Save the variant'}
      </button>
      {replaces !== null && <p className="mt-1 text-[13px] text-ink2">Units that came in by the earlier form keep it.</p>}
    </div>
  );
}

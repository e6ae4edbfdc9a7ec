'use client';

import { ChevronUp } from 'lucide-react';
import { ORDERS, WIRE_FLUIDS } from '@/core/bleed/bleed-wire';
import { earlier, inOrderOf } from '@/core/bleed/edit-system';
import { MASTER_KIND_NAMES, MASTER_KINDS } from '@/core/bleed/end-kind';
import { ORDER_SCHOOLS } from '@/core/bleed/order-school';
import type { System } from '@/core/bleed/system';
import { FLUID_OF } from '@/core/bleed/wire-fluid';
import { FLUIDS } from '@/core/fluid/fluid';
import { LengthField, NumberField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { useUnits } from '../shell/units-context';

/** Master, reservoir, fluids, and the order that is kept to. @param order the ends as they are done now */
export function SystemFields({
  system,
  order,
  onSay,
}: {
  readonly system: System;
  readonly order: readonly string[];
  readonly onSay: (system: System) => void;
}) {
  const units = useUnits();
  const { master } = system;
  const say = (more: Partial<System['master']>): void => onSay({ ...system, master: { ...master, ...more } });
  const fluid = (which: 'fluidIn' | 'fluidFresh', label: string) => (
    <SelectField
      label={label}
      className="w-48"
      value={system[which] ?? null}
      none="not known"
      options={WIRE_FLUIDS}
      say={(f) => FLUIDS[FLUID_OF[f]].label}
      onSay={(f) => onSay({ ...system, [which]: f })}
    />
  );
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap items-end gap-3">
        <SelectField
          label="Worked by"
          className="w-48"
          value={master.kind}
          options={MASTER_KIND_NAMES}
          say={(k) => MASTER_KINDS[k]}
          onSay={(kind) => say({ kind })}
        />
        <LengthField
          label={`Master bore, ${units.length}`}
          className="w-32"
          fine
          value={master.boreMm}
          onSay={(mm) => mm !== null && mm > 0 && say({ boreMm: mm })}
        />
        <LengthField
          label={`Stroke of a circuit, ${units.length}`}
          className="w-48"
          value={master.strokeMm}
          onSay={(mm) => mm !== null && mm > 0 && say({ strokeMm: mm })}
        />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <NumberField
          label="Reservoir holds, ml"
          value={master.reservoirMl}
          onSay={(ml) => ml !== null && say({ reservoirMl: ml, reservoirMinMl: Math.min(master.reservoirMinMl, ml * 0.9) })}
        />
        <NumberField
          label="Must stay in it, ml"
          above={-1e-9}
          value={master.reservoirMinMl}
          onSay={(ml) => ml !== null && ml < master.reservoirMl && say({ reservoirMinMl: Math.max(0, ml) })}
        />
      </div>
      <div className="flex flex-wrap items-end gap-3">
        {fluid('fluidIn', 'Fluid that is in it')}
        {fluid('fluidFresh', 'Fluid that goes in')}
        <label className="flex min-h-[44px] items-center gap-2">
          <input
            type="checkbox"
            className="size-5"
            checked={system.renewReservoir}
            onChange={(e) => onSay({ ...system, renewReservoir: e.target.checked })}
          />
          Old fluid is drawn out of the reservoir first
        </label>
      </div>
      <div>
        <SelectField
          label="In which order"
          className="w-64"
          value={system.order}
          options={ORDERS}
          say={(o) => ORDER_SCHOOLS[o].label}
          onSay={(o) => onSay(inOrderOf(system, o, order))}
        />
        <p className="mt-1 text-[13px] text-ink2">{ORDER_SCHOOLS[system.order].why}</p>
        {system.order === 'given' && (
          <ol className="mt-1">
            {order.map((id, i) => (
              <li key={id} className="flex items-center gap-2">
                <span className="w-44">
                  {i + 1}. {id}
                </span>
                {i > 0 && (
                  <button type="button" className="btn-quiet px-3" aria-label={`${id} earlier`} onClick={() => onSay(earlier(system, id))}>
                    <ChevronUp size={16} aria-hidden />
                  </button>
                )}
              </li>
            ))}
          </ol>
        )}
      </div>
    </div>
  );
}

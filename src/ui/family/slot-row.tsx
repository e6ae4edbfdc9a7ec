'use client';

import type { Chamber } from '@/core/family/facing';
import type { Slot } from '@/core/family/family';
import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { Variant } from '@/core/family/variant-schema';
import { CountField, LengthField } from '../field/quantity-field';

export const KINDS_BY_LABEL: readonly PartKind[] = [...PART_KIND_NAMES].sort((a, b) =>
  PART_KINDS[a].label.localeCompare(PART_KINDS[b].label),
);

/** Two neighbouring chambers as a list offers them. */
export const neighbours = (chambers: readonly Chamber[]): readonly (readonly [string, string])[] =>
  chambers.slice(1).map((blind, i) => [(chambers[i] as Chamber).id, blind.id]);

type VariantSlot = Variant['slots'][number];

/** One part of a variant: what it is, what it parts, where it lies, and for a seal where it rests and how far it travels. */
export function SlotRow({
  slot,
  variant,
  chambers,
  onChange,
}: {
  readonly slot: VariantSlot;
  readonly variant: Variant;
  readonly chambers: readonly Chamber[];
  readonly onChange: (variant: Variant) => void;
}) {
  const { slots, drawing } = variant;
  const span = drawing.spans[slot.id];
  const seal = drawing.seals.find((s) => s.id === slot.id);
  const tell = (news: Partial<VariantSlot>): void =>
    onChange({ ...variant, slots: slots.map((s) => (s.id === slot.id ? { ...s, ...news } : s)) });
  const place = (news: Partial<NonNullable<typeof span>>): void =>
    onChange({ ...variant, drawing: { ...drawing, spans: { ...drawing.spans, [slot.id]: { x0Mm: 0, x1Mm: 0, ...span, ...news } } } });
  const rest = (news: Partial<NonNullable<typeof seal>>): void =>
    onChange({ ...variant, drawing: { ...drawing, seals: drawing.seals.map((s) => (s.id === slot.id ? { ...s, ...news } : s)) } });
  return (
    <>
      <td className="cell">
        <input className="field w-40" aria-label="Name" value={slot.name} maxLength={60} onChange={(e) => tell({ name: e.target.value })} />
      </td>
      <td className="cell">
        <select
          className="field w-40"
          aria-label={`Kind of the ${slot.name}`}
          value={slot.kind}
          onChange={(e) => tell({ kind: e.target.value as PartKind })}
        >
          {KINDS_BY_LABEL.map((k) => (
            <option key={k} value={k}>
              {PART_KINDS[k].label}
            </option>
          ))}
        </select>
      </td>
      <td className="cell">
        <CountField
          label={`How many of the ${slot.name}`}
          hideLabel
          className="w-16"
          to={20}
          value={slot.qty}
          onSay={(qty) => qty !== null && tell({ qty })}
        />
      </td>
      <td className="cell text-center">
        <input
          type="checkbox"
          className="size-5"
          aria-label={`Some have no ${slot.name}`}
          checked={slot.optional}
          onChange={(e) => tell({ optional: e.target.checked })}
        />
      </td>
      <td className="cell">
        <Between slot={slot} chambers={chambers} onPick={(between) => tell({ between })} />
      </td>
      <td className="cell">
        <LengthField
          hideLabel
          label={`${slot.name} lies from`}
          className="w-20"
          value={span?.x0Mm ?? null}
          onSay={(mm) => mm !== null && place({ x0Mm: mm })}
        />
      </td>
      <td className="cell">
        <LengthField
          hideLabel
          label={`${slot.name} lies to`}
          className="w-20"
          value={span?.x1Mm ?? null}
          onSay={(mm) => mm !== null && place({ x1Mm: mm })}
        />
      </td>
      <td className="cell">
        {seal !== undefined && (
          <LengthField
            hideLabel
            label={`${slot.name} rests at`}
            className="w-20"
            value={seal.restXMm}
            onSay={(mm) => mm !== null && rest({ restXMm: mm })}
          />
        )}
      </td>
      <td className="cell">
        {seal !== undefined && (
          <LengthField
            hideLabel
            label={`${slot.name} travels`}
            className="w-20"
            value={seal.travelMm}
            onSay={(mm) => mm !== null && rest({ travelMm: mm })}
          />
        )}
      </td>
    </>
  );
}

/** Which two chambers a seal parts; nothing for parts that seal nothing. */
export function Between({
  slot,
  chambers,
  onPick,
}: {
  readonly slot: Pick<Slot, 'name'> & { readonly between?: readonly [string, string] | undefined };
  readonly chambers: readonly Chamber[];
  readonly onPick: (between: [string, string] | undefined) => void;
}) {
  return (
    <select
      className="field w-44"
      aria-label={`Chambers that the ${slot.name} parts`}
      value={slot.between?.join('|') ?? ''}
      onChange={(e) => {
        const [open, blind] = e.target.value.split('|');
        onPick(open === undefined || blind === undefined ? undefined : [open, blind]);
      }}
    >
      <option value="">none</option>
      {neighbours(chambers).map(([open, blind]) => (
        <option key={open} value={`${open}|${blind}`}>
          {open.replaceAll('-', ' ')} from {blind.replaceAll('-', ' ')}
        </option>
      ))}
    </select>
  );
}

'use client';

import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { TrayPart } from '@/core/strip/tray-door';

/** A part that the tray does not list: its kind, what it is called (empty: as its kind), and what it lies behind (null: nothing). */
export type UnlistedPart = { readonly kind: PartKind; readonly name: string; readonly behindId: string | null };
export const nameOf = (p: UnlistedPart): string => (p.name.trim() === '' ? PART_KINDS[p.kind].label : p.name.trim());

const KINDS = [...PART_KIND_NAMES].sort((a, b) => PART_KINDS[a].label.localeCompare(PART_KINDS[b].label));

/** What a part is that the family knows none such of, and where it lies. */
export const NewPartFields = ({
  part,
  tray,
  onSay,
}: {
  readonly part: UnlistedPart;
  readonly tray: readonly TrayPart[];
  readonly onSay: (part: UnlistedPart) => void;
}) => (
  <>
    <label className="label mb-0">
      What it is
      <select className="field mt-1 w-44" value={part.kind} onChange={(e) => onSay({ ...part, kind: e.target.value as PartKind })}>
        {KINDS.map((k) => (
          <option key={k} value={k}>
            {PART_KINDS[k].label}
          </option>
        ))}
      </select>
    </label>
    <label className="label mb-0">
      Called
      <input
        className="field mt-1 w-44"
        value={part.name}
        onChange={(e) => onSay({ ...part, name: e.target.value })}
        placeholder={PART_KINDS[part.kind].label}
        maxLength={60}
      />
    </label>
    <label className="label mb-0">
      Lay behind
      <select
        className="field mt-1 w-44"
        value={part.behindId ?? ''}
        onChange={(e) => onSay({ ...part, behindId: e.target.value === '' ? null : e.target.value })}
      >
        <option value="">the mouth: it came first</option>
        {tray.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </select>
    </label>
  </>
);

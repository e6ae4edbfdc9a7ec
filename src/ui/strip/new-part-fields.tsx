'use client';

import { PART_KIND_NAMES, PART_KINDS, type PartKind } from '@/core/family/part-kind';
import type { TrayPart } from '@/core/strip/tray-schema';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';

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
    <SelectField
      label="What it is"
      className="w-44"
      value={part.kind}
      options={KINDS}
      say={(k) => PART_KINDS[k].label}
      onSay={(value) => onSay({ ...part, kind: value })}
    />
    <TextField
      label="Called"
      className="w-44"
      value={part.name}
      placeholder={PART_KINDS[part.kind].label}
      maxLength={60}
      onSay={(text) => onSay({ ...part, name: text })}
    />
    <SelectField
      label="Lay behind"
      className="w-44"
      value={part.behindId}
      options={tray.map((p) => p.id)}
      say={(id) => tray.find((p) => p.id === id)?.name ?? ''}
      none="the mouth: it came first"
      onSay={(value) => onSay({ ...part, behindId: value })}
    />
  </>
);

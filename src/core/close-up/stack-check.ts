import { type Chamber, expectedFacing, type Faces } from '../family/facing';
import { neverReused } from '../family/part-kind';
import type { Fate } from '../strip/tray-schema';

/** A seal between two neighbouring chambers, the open-end one first. `faces` is where its lip opens, as found. */
export type StackSeal = {
  readonly id: string;
  readonly kind: string;
  readonly between: readonly [string, string];
  readonly faces?: Faces | null | undefined;
};

export type StackInput = {
  readonly chambers: readonly Chamber[];
  readonly seals: readonly StackSeal[];
  readonly slots?: readonly string[] | null | undefined;
  readonly removed?:
    | readonly { readonly id: string; readonly kind?: string | null | undefined; readonly fate?: Fate | null | undefined }[]
    | null
    | undefined;
  readonly fitted?: readonly { readonly id: string; readonly slot: string }[] | null | undefined;
};

export type SealFacing = {
  readonly id: string;
  readonly expected: ReturnType<typeof expectedFacing>;
  readonly given: Faces | null;
  readonly ok: boolean;
  readonly reason: string;
};

export type StackCheck = {
  readonly seals: readonly SealFacing[];
  readonly leftover: readonly string[];
  readonly refused: readonly string[];
  readonly missing: readonly string[];
  readonly ok: boolean;
  readonly rulesUsed: Record<string, never>;
};

/**
 * Is every seal facing the pressure it must hold, is nothing left over, nothing missing, and no rubber used twice?
 * @param input seals lie between neighbours in `chambers`, open-end side first
 * @source design, chapter 4
 */
export function stackCheck(input: StackInput): StackCheck {
  const pressures = new Map(input.chambers.map((c) => [c.id, c.pressure]));
  const seals = input.seals.map((s) => facingOf(s, pressures));
  const [removed, fitted] = [input.removed ?? [], input.fitted ?? []];
  const fittedIds = new Set(fitted.map((f) => f.id));
  const filled = new Set(fitted.map((f) => f.slot));
  const leftover = removed.filter((r) => r.fate == null && !fittedIds.has(r.id)).map((r) => r.id);
  const refused = removed.filter((r) => r.fate === 'refitted' && r.kind != null && neverReused(r.kind)).map((r) => r.id);
  const missing = (input.slots ?? []).filter((slot) => !filled.has(slot));
  const ok = seals.every((s) => s.ok) && leftover.length === 0 && refused.length === 0 && missing.length === 0;
  return { seals, leftover, refused, missing, ok, rulesUsed: {} };
}

const facingOf = (seal: StackSeal, pressures: ReadonlyMap<string, Chamber['pressure']>): SealFacing => {
  const expected = expectedFacing(seal.kind, pressures.get(seal.between[0]) ?? 'none', pressures.get(seal.between[1]) ?? 'none');
  const given = seal.faces ?? null;
  const ok = expected === 'none' || (expected === 'either' ? given !== null : given === expected);
  return { id: seal.id, expected, given, ok, reason: sayFacing(expected, given) };
};

const sayFacing = (expected: SealFacing['expected'], given: Faces | null): string => {
  if (expected === 'none') return 'No lip: it has no facing.';
  if (given === null)
    return expected === 'either' ? 'Facing not seen; note it.' : `Facing not seen; it must face ${expected}, where the higher pressure is.`;
  if (expected === 'either') return `Faces ${given}; the pressure is the same on both sides, so either will do.`;
  return given === expected ? `Faces ${given}, as its chambers ask.` : `Faces ${given}; the higher pressure is on the ${expected} side.`;
};

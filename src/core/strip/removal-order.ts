import type { Family } from '../family/family';
import { isStop, PART_KINDS, ridesOnPiston } from '../family/part-kind';
import type { TrayPart } from './tray-schema';

/** Parts that come out in one piece: the one that carries first, then what sits on it. */
export type Group = readonly TrayPart[];

/** Parts in the order of taking them out; those that come out in one piece together. */
export const removalOrder = (family: Family, tray: readonly TrayPart[]): readonly Group[] => {
  const known = tray.filter((p) => family.slots.some((s) => s.id === p.slotId));
  const inTurn = (when: (out: number) => boolean): readonly TrayPart[] =>
    known
      .flatMap((part) => {
        const { out } = PART_KINDS[part.kind];
        return family.bore !== 'none' && out !== 'stop' && when(out) ? [{ part, out }] : [];
      })
      .sort((a, b) => a.out - b.out)
      .map(({ part }) => part);
  const first = inTurn((out) => out < 0);
  const last = inTurn((out) => out > 0);
  const stops = known.filter((p) => family.bore !== 'none' && isStop(p.kind));
  const axial = known.filter((p) => !first.includes(p) && !last.includes(p) && !stops.includes(p));
  const boots = family.bore === 'through' ? axial.filter((p) => p.kind === 'boot') : [];
  const inline = innerFirst(axial.filter((p) => !boots.includes(p)));
  const groups = [...[...first, ...boots].map((p) => [p]), ...together(family, inline)];
  const stopped = stops.reduce<readonly Group[]>((done, stop) => insertStop(family, done, stop), groups);
  return [...stopped, ...last.map((p) => [p])];
};

/** What holds another comes off before it, though it lies further in: the ring round a boot's neck, the stem that a spring is hooked on by. */
const innerFirst = (parts: readonly TrayPart[]): readonly TrayPart[] => {
  const ahead = (list: readonly TrayPart[], mover: TrayPart | undefined, of: TrayPart | undefined): readonly TrayPart[] =>
    mover === undefined || of === undefined ? list : list.filter((p) => p !== mover).flatMap((p) => (p === of ? [mover, p] : [p]));
  const find = (test: (p: TrayPart) => boolean): TrayPart | undefined => parts.find(test);
  const clipped = ahead(
    parts,
    find((p) => p.slotId === 'boot-clip'),
    find((p) => p.kind === 'boot'),
  );
  return ahead(
    clipped,
    find((p) => p.kind === 'valve-stem'),
    find((p) => p.kind === 'spring'),
  );
};

/** Seals that sit on a piston come out on it. */
const together = (family: Family, parts: readonly TrayPart[]): readonly Group[] => {
  const spanOf = (p: TrayPart) => family.drawing?.spans[p.slotId];
  const carrier = (p: TrayPart): TrayPart | undefined => {
    const mine = spanOf(p);
    if (mine === undefined || !ridesOnPiston(p.kind)) return undefined;
    return parts.find((q) => {
      const span = spanOf(q);
      return (
        PART_KINDS[q.kind].carries !== null &&
        span !== undefined &&
        (span.x0Mm + span.x1Mm) / 2 > 0 &&
        mine.x0Mm < span.x1Mm - 1 &&
        mine.x1Mm > span.x0Mm + 1
      );
    });
  };
  return parts.filter((p) => carrier(p) === undefined).map((p) => [p, ...parts.filter((q) => carrier(q) === p)]);
};

/** A stop comes out just before the piston that it holds. */
const insertStop = (family: Family, groups: readonly Group[], stop: TrayPart): readonly Group[] => {
  const held = heldBy(family, stop, groups);
  const place = Math.max(
    0,
    groups.findIndex((g) => g[0] === held),
  );
  return [...groups.slice(0, place), [stop], ...groups.slice(place)];
};

/** The piston that a stop stands in the way of: the one at whose place in the bore it sits. */
export const heldBy = (family: Family, stop: TrayPart, groups: readonly Group[]): TrayPart | undefined => {
  const spans = family.drawing?.spans ?? {};
  const x = spans[stop.slotId];
  return groups
    .map((g) => g[0])
    .find((p) => {
      const held = spans[p?.slotId ?? ''];
      const runs = p?.kind === 'piston' || p?.kind === 'plunger';
      return runs && x !== undefined && held !== undefined && held.x0Mm < x.x1Mm && held.x1Mm > x.x0Mm;
    });
};

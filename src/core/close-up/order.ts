import type { Family } from '../family/family';
import { isRadial, isStop } from '../family/part-kind';
import { isForeign } from '../strip/part-state';
import { removalOrder } from '../strip/removal-order';
import type { TrayPart } from '../strip/tray-schema';

/** Does this part go back in, the same or a new one? What was binned, or what an optional place never held, does not. */
export const goesBack = (family: Family, p: TrayPart): boolean =>
  p.fate !== 'binned' && !(p.found === 'absent' && family.slots.find((s) => s.id === p.slotId)?.optional !== false);

/**
 * Parts in the order in which they go in: the order of taking out reversed, seals onto what carries them first.
 * A part that the family knows none of goes in just before the one that lay in front of it.
 * @returns every part of the tray that goes back, once
 */
export const assemblyOrder = (family: Family, tray: readonly TrayPart[]): readonly TrayPart[] => {
  const groups = removalOrder(family, tray).map(([carrier, ...riders]) => [...riders.reverse(), carrier as TrayPart]);
  const known = byEnds(family, tray, groups.reverse().flat());
  const order = tray.reduceRight<readonly TrayPart[]>((done, part, at) => {
    if (!isForeign(family, part)) return done;
    const infront = tray[at - 1];
    const place = infront === undefined ? done.length : Math.max(0, done.indexOf(infront));
    return [...done.slice(0, place), part, ...done.slice(place)];
  }, known);
  return order.filter((p) => goesBack(family, p));
};

/** A bore that is open at both ends is filled from its middle: each cup by its own end, before the piston that pushes it. */
const byEnds = (family: Family, tray: readonly TrayPart[], order: readonly TrayPart[]): readonly TrayPart[] => {
  if (family.bore !== 'through') return order;
  const row = tray.filter((p) => order.includes(p) && !isRadial(p.kind) && p.kind !== 'boot');
  const fromMiddle = (p: TrayPart): number => Math.abs(row.indexOf(p) - (row.length - 1) / 2);
  const filled = [...row].sort((a, b) => fromMiddle(a) - fromMiddle(b))[Symbol.iterator]();
  return order.map((p) => (row.includes(p) ? (filled.next().value ?? p) : p));
};

/** What stands on or over a part outside the bore, by kind. */
const OVER: { readonly [kind: string]: readonly string[] } = {
  grommet: ['roll-pin', 'reservoir'],
  reservoir: ['roll-pin'],
  screen: ['reservoir-cap', 'cap-seal'],
  'cap-seal': ['reservoir-cap'],
  'sealing-washer': ['banjo-bolt', 'end-plug'],
  'bleed-screw': ['bleed-cap'],
};

/**
 * Parts that must come out again so that one can still be put in its place: no more than stand in its way.
 * Seals on a piston that comes out stay on it. A stop screw or pin is put in with the piston pressed: nothing comes out for it.
 * @returns in the order of taking out, without the part itself
 */
export const inTheWay = (family: Family, tray: readonly TrayPart[], part: TrayPart): readonly TrayPart[] => {
  const groups = removalOrder(family, tray);
  if (OVER[part.kind] !== undefined) return groups.flatMap(([p]) => (p !== undefined && OVER[part.kind]?.includes(p.kind) ? [p] : []));
  if (family.bore === 'none' || isStop(part.kind) || isRadial(part.kind) || part.kind === 'banjo-bolt') return [];
  const potOf = (p: TrayPart): number | undefined => family.slots.find((s) => s.id === p.slotId)?.pot?.no;
  const axial = groups.filter(
    ([p]) =>
      p !== undefined && potOf(p) === potOf(part) && (isStop(p.kind) || !(isRadial(p.kind) || p.kind in OVER || p.kind === 'banjo-bolt')),
  );
  if (family.bore === 'through')
    return nearerEnd(
      tray,
      axial.flatMap(([p]) => (p === undefined ? [] : [p])),
      part,
    );
  const own = axial.findIndex((g) => g.includes(part));
  const until = own !== -1 ? own : axial.findIndex(([p]) => p !== undefined && p.seq > part.seq);
  const ahead = (until === -1 ? axial : axial.slice(0, until)).map(([p]) => p as TrayPart);
  const carrier = own === -1 ? undefined : axial[own]?.[0];
  return carrier === undefined || carrier === part ? ahead : [...ahead, carrier];
};

/** In a bore that is open at both ends: what lies between the part and the end that is nearer. */
const nearerEnd = (tray: readonly TrayPart[], axial: readonly TrayPart[], part: TrayPart): readonly TrayPart[] => {
  const row = tray.filter((p) => axial.includes(p) || p === part);
  const at = row.indexOf(part);
  return at <= (row.length - 1) / 2 ? row.slice(0, at) : row.slice(at + 1).reverse();
};

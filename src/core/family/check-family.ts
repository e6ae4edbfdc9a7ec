import { NOISE } from '../statistics/compare';
import type { Drawing, Family, Slot } from './family';
import { laneOf } from './lane';
import { isBoreSeal, partsChambers } from './part-kind';

/** Why a family cannot be worked with. */
export type FamilyFault =
  | { readonly code: 'same-id' | 'same-name' | 'no-chambers' | 'no-place' | 'no-span' | 'backward' | 'no-groove'; readonly slot: string }
  | { readonly code: 'no-seal'; readonly open: string; readonly blind: string }
  | { readonly code: 'not-neighbours'; readonly slot: string; readonly open: string; readonly blind: string }
  | { readonly code: 'outside-bore'; readonly what: string; readonly x0Mm: number; readonly x1Mm: number; readonly lengthMm: number }
  | { readonly code: 'out-of-order'; readonly slot: string; readonly before: string }
  | { readonly code: 'no-part'; readonly seal: string }
  | { readonly code: 'port-covered' | 'port-never-closed'; readonly port: string; readonly seal: string };

/**
 * Everything wrong with a family or a variant of one; empty when it can be worked with.
 * Every two neighbouring chambers need a seal between them; seals lie in the bore, in the order of the chambers; a compensating port opens ahead of its resting cup and is closed by it.
 */
export const familyFaults = (family: Family): readonly FamilyFault[] => {
  const { chambers, slots, drawing } = family;
  const faults: FamilyFault[] = [...twice(slots, (s) => s.id, 'same-id'), ...twice(slots, (s) => s.name, 'same-name')];
  for (const s of slots) {
    if (partsChambers(s.kind) && s.between === undefined && family.bore !== 'none') faults.push({ code: 'no-chambers', slot: s.name });
    if (s.between === undefined) continue;
    const [open, blind] = s.between;
    const at = chambers.findIndex((c) => c.id === open);
    if (at === -1 || chambers[at + 1]?.id !== blind) faults.push({ code: 'not-neighbours', slot: s.name, open, blind });
  }
  chambers.slice(1).forEach((blind, i) => {
    const open = chambers[i]?.id as string;
    if (!slots.some((s) => !s.optional && s.between?.[0] === open && s.between[1] === blind.id))
      faults.push({ code: 'no-seal', open, blind: blind.id });
  });
  return drawing === null ? faults : [...faults, ...placeFaults(slots, drawing), ...orderFaults(family, drawing), ...portFaults(drawing)];
};

const twice = (slots: readonly Slot[], by: (s: Slot) => string, code: 'same-id' | 'same-name'): readonly FamilyFault[] =>
  slots.filter((s, i) => slots.findIndex((x) => by(x) === by(s)) < i).map((s) => ({ code, slot: by(s) }));

/** Margin that a lane keeps from the ends of the bore, mm: none; the seal itself must lie in it. */
const placeFaults = (slots: readonly Slot[], d: Drawing): readonly FamilyFault[] => {
  const faults: FamilyFault[] = [];
  const outside = (what: string, x0Mm: number, x1Mm: number): void => {
    const inside = x0Mm >= -NOISE && x1Mm <= d.lengthMm + NOISE;
    if (!inside) faults.push({ code: 'outside-bore', what, x0Mm, x1Mm, lengthMm: d.lengthMm });
  };
  for (const s of slots) {
    const span = d.spans[s.id];
    if (span === undefined) faults.push({ code: 'no-span', slot: s.name });
    else if (!(span.x0Mm < span.x1Mm)) faults.push({ code: 'backward', slot: s.name });
    if (isBoreSeal(s.kind) && !d.seals.some((x) => x.id === s.id)) faults.push({ code: 'no-place', slot: s.name });
    if (s.groove !== undefined && !d.grooves.some((g) => g.id === s.groove)) faults.push({ code: 'no-groove', slot: s.name });
  }
  for (const seal of d.seals) {
    const slot = slots.find((s) => s.id === seal.id);
    if (slot === undefined) faults.push({ code: 'no-part', seal: seal.id });
    const lane = laneOf(seal, 0);
    outside(slot?.name ?? seal.id, lane.x0Mm, lane.x1Mm);
  }
  for (const p of d.ports)
    outside(`${p.id} port`, p.xMm - (p.side === 'end' ? 0 : p.diaMm / 2), p.xMm + (p.side === 'end' ? 0 : p.diaMm / 2));
  for (const g of d.grooves) outside(`groove ${g.id}`, g.xMm, g.xMm + g.widthMm);
  return faults;
};

/** Seals must rest in the order of the chambers that they part. */
const orderFaults = ({ chambers, slots }: Family, d: Drawing): readonly FamilyFault[] => {
  const resting = d.seals
    .flatMap((seal) => {
      const slot = slots.find((s) => s.id === seal.id);
      const rank = chambers.findIndex((c) => c.id === slot?.between?.[0]);
      return slot === undefined || rank === -1 ? [] : [{ name: slot.name, rank, x: seal.restXMm }];
    })
    .sort((a, b) => a.x - b.x);
  return resting.flatMap((s, i): readonly FamilyFault[] => {
    const next = resting[i + 1];
    return next !== undefined && next.rank < s.rank ? [{ code: 'out-of-order', slot: s.name, before: next.name }] : [];
  });
};

/** The nearest pressure seal on the open side of a compensating port must leave it open at rest, and pass it. */
const portFaults = (d: Drawing): readonly FamilyFault[] =>
  d.ports
    .filter((p) => p.kind === 'compensating')
    .flatMap((p): readonly FamilyFault[] => {
      const seal = d.seals
        .filter((s) => s.role === 'pressure' && s.travelMm > 0 && s.restXMm < p.xMm)
        .sort((a, b) => b.restXMm - a.restXMm)[0];
      if (seal === undefined) return [];
      const front = seal.restXMm + seal.contactMm / 2;
      if (!(front <= p.xMm - p.diaMm / 2 + NOISE)) return [{ code: 'port-covered', port: p.id, seal: seal.id }];
      return front + seal.travelMm > p.xMm + p.diaMm / 2 ? [] : [{ code: 'port-never-closed', port: p.id, seal: seal.id }];
    });

/** The one place that words what is wrong with a family. */
export const sayFamilyFault = (f: FamilyFault): string => {
  switch (f.code) {
    case 'same-id':
      return `Two places are called ${f.slot}: each needs an id of its own.`;
    case 'same-name':
      return `Two places have the name “${f.slot}”: nobody could tell them apart on the tray.`;
    case 'no-chambers':
      return `The ${f.slot} is a seal: say which two chambers it parts.`;
    case 'no-place':
      return `The ${f.slot} seals in the bore: say where it rests and how far it travels.`;
    case 'no-span':
      return `The ${f.slot} has no place in the drawing: say from where to where it lies.`;
    case 'backward':
      return `The ${f.slot} ends before it starts.`;
    case 'no-groove':
      return `The ${f.slot} sits in a groove that this bore does not have.`;
    case 'no-seal':
      return `Nothing seals between ${words(f.open)} and ${words(f.blind)}: one would run into the other.`;
    case 'not-neighbours':
      return `The ${f.slot} cannot part ${words(f.open)} from ${words(f.blind)}: they are not neighbours in this order.`;
    case 'outside-bore':
      return `The ${f.what} would lie from ${mm(f.x0Mm)} to ${mm(f.x1Mm)} mm; the bore runs from 0 to ${mm(f.lengthMm)} mm.`;
    case 'out-of-order':
      return `The ${f.slot} rests nearer the open end than the ${f.before}, but its chambers lie further in.`;
    case 'no-part':
      return `A seal is placed for ${words(f.seal)}, but no part of that id is on the list.`;
    case 'port-covered':
      return `The resting ${words(f.seal)} cup covers the ${words(f.port)} port: fluid could not come back, and the brakes would lock on as they warm.`;
    case 'port-never-closed':
      return `The ${words(f.seal)} cup never passes the ${words(f.port)} port: it would push fluid back to the reservoir and build no pressure.`;
  }
};

const words = (id: string): string => id.replaceAll('-', ' ');
const mm = (value: number): string => String(Math.round(value * 10) / 10);

import type { Family } from '../family/family';
import type { Geometry } from '../family/geometry';
import { sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { TrayPart } from '../strip/tray-schema';
import type { Side } from './side';

/** An edge in the bore wall that a seal is pushed past on its way in; mm from the open end. */
export type Edge = { readonly name: string; readonly xMm: number };

/** Ports and grooves between a seal's seat and the end it goes in by, in the order in which it meets them. */
export const edgesOnTheWay = (family: Family, g: Geometry, slotId: string): readonly Edge[] => {
  const seat = g.spans[slotId];
  if (seat === undefined) return [];
  const own = family.slots.find((s) => s.id === slotId)?.groove;
  const edges = [
    ...g.grooves.filter((x) => x.id !== own).map((x) => ({ name: `${x.id.replaceAll('-', ' ')} groove`, xMm: x.xMm + x.widthMm / 2 })),
    ...g.ports.map((p) => ({ name: `${p.id.replaceAll('-', ' ')} port`, xMm: p.xMm })),
  ];
  const [from, to] = [(seat.x0Mm + seat.x1Mm) / 2, g.lengthMm / 2];
  const byRight = family.bore === 'through' && from > to;
  return edges.filter((e) => (byRight ? e.xMm > seat.x1Mm : e.xMm < seat.x0Mm)).sort((a, b) => (byRight ? b.xMm - a.xMm : a.xMm - b.xMm));
};

/** How a lip is brought past the edges on its way without a cut. */
export const sayPassing = (edges: readonly Edge[], units: Units): string | null =>
  edges.length === 0
    ? null
    : `Past the ${edges.map((e) => `${e.name} at ${sayLength(e.xMm, units)} ${units.length}`).join(', the ')}: an edge cuts a lip. Line the bore with a slip sleeve or a rolled 0.05 mm shim, or work the lip in with blunt plastic.`;

/** Does a lip go first into the bore, or follow? One that goes first turns over at every edge. */
export const lipLeads = (family: Family, g: Geometry, part: Pick<TrayPart, 'slotId'>, side: Side): boolean => {
  const seat = g.spans[part.slotId];
  const byRight = family.bore === 'through' && seat !== undefined && seat.x0Mm + seat.x1Mm > g.lengthMm;
  return side.toward === (byRight ? 'open' : 'blind');
};

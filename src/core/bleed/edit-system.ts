import { endOf } from './shapes';
import type { System, SystemEnd, SystemLine } from './system';
import { treeOf } from './tree';

/** The first of a kind of name that is free: `tee 3`. */
const freeName = (kind: string, taken: ReadonlySet<string>): string => {
  for (let n = 1; ; n++) if (!taken.has(`${kind} ${n}`)) return `${kind} ${n}`;
};

/** Every place of a system: where lines meet, and where ends sit without a line. */
export const placesOf = (s: Pick<System, 'lines' | 'ends'>): readonly string[] => [
  ...new Set([...treeOf(s.lines).nodes, ...s.ends.map((e) => e.at)]),
];

const lineTo = (s: System, from: string, to: string): SystemLine => ({
  id: freeName('line', new Set(s.lines.map((l) => l.id))),
  from,
  to,
  lengthMm: 1000,
  innerMm: s.lines[0]?.innerMm ?? 3.4,
});

/** A line from a place to a new tee. */
export const withTee = (s: System, from: string): { readonly system: System; readonly place: string } => {
  const place = freeName('tee', new Set(placesOf(s)));
  return { system: { ...s, lines: [...s.lines, lineTo(s, from, place)] }, place };
};

/** A line from a place to a new cylinder with its bleed screw, of the kind that the last one was. */
export const withEnd = (s: System, from: string): { readonly system: System; readonly place: string } => {
  const place = freeName('end', new Set([...placesOf(s), ...s.ends.map((e) => e.id)]));
  const end = endOf(place, s.ends.at(-1)?.kind ?? 'drum');
  return {
    system: {
      ...s,
      lines: [...s.lines, lineTo(s, from, place)],
      ends: [...s.ends, end],
      given: s.given == null ? null : [...s.given, end.id],
    },
    place,
  };
};

/** Another bleed screw on the body that sits at a place. */
export const withScrew = (s: System, place: string): System => {
  const id = freeName(`${place}, screw`, new Set(s.ends.map((e) => e.id)));
  const end: SystemEnd = { ...endOf(id, s.ends.find((e) => e.at === place)?.kind ?? 'drum', place), odd: ['two-screws'] };
  return { ...s, ends: [...s.ends, end], given: s.given == null ? null : [...s.given, id] };
};

/** A second circuit of the master, with an end. */
export const withCircuit = (s: System): { readonly system: System; readonly place: string } =>
  withEnd(s, freeName('outlet', new Set(placesOf(s))));

/** Without a place and all that hangs on it; undefined where no bleed screw would be left. */
export const without = (s: System, place: string): System | undefined => {
  const gone = new Set([place]);
  // A set goes on to what is added to it.
  for (const node of gone) for (const l of s.lines) if (l.from === node) gone.add(l.to);
  const ends = s.ends.filter((e) => !gone.has(e.at));
  if (ends.length === 0) return undefined;
  const kept = new Set(ends.map((e) => e.id));
  return {
    ...s,
    ends,
    lines: s.lines.filter((l) => !gone.has(l.to)),
    given: s.given == null ? null : s.given.filter((id) => kept.has(id)),
  };
};

export const withLine = (s: System, id: string, more: Partial<Pick<SystemLine, 'lengthMm' | 'innerMm'>>): System => ({
  ...s,
  lines: s.lines.map((l) => (l.id === id ? { ...l, ...more } : l)),
});

export const withEndSaid = (s: System, id: string, more: Partial<Omit<SystemEnd, 'id' | 'at'>>): System => ({
  ...s,
  ends: s.ends.map((e) => (e.id === id ? { ...e, ...more } : e)),
});

/** An end, or a place, called otherwise; as it was where the name is another’s. */
export const renamed = (s: System, from: string, to: string): System => {
  if (to === '' || placesOf(s).includes(to) || s.ends.some((e) => e.id === to)) return s;
  const name = (n: string): string => (n === from ? to : n);
  return {
    ...s,
    lines: s.lines.map((l) => ({ ...l, from: name(l.from), to: name(l.to) })),
    ends: s.ends.map((e) => ({ ...e, id: name(e.id), at: name(e.at) })),
    given: s.given?.map(name) ?? null,
  };
};

/** Done in another order: a maker’s starts as the one that stood. */
export const inOrderOf = (s: System, order: System['order'], now: readonly string[]): System => ({
  ...s,
  order,
  given: order === 'given' ? [...now] : null,
});

/** An end one place earlier in a maker’s order. */
export const earlier = (s: System, id: string): System => {
  const given = [...(s.given ?? [])];
  const i = given.indexOf(id);
  if (i < 1) return s;
  given.splice(i - 1, 2, id, given[i - 1] as string);
  return { ...s, given };
};

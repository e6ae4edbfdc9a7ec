/** The part of the bore that the map shows. */
export type MapView = { readonly x0Mm: number; readonly x1Mm: number; readonly clock0Deg: number; readonly clock1Deg: number };

/** Where places of the bore lie on the map, in its own px, and back. */
export type MapScale = {
  readonly view: MapView;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  readonly x: (mm: number) => number;
  readonly y: (deg: number) => number;
  readonly mmAt: (px: number) => number;
  readonly degAt: (px: number) => number;
};

export const MAP_WIDTH = 830;
/** Room beside the plot for its figures, px. */
const [LEFT, TOP, RIGHT, BOTTOM] = [52, 18, 10, 40];
const SCREEN_PLOT_PX = 204;

export const wholeBore = (lengthMm: number): MapView => ({ x0Mm: 0, x1Mm: lengthMm, clock0Deg: 0, clock1Deg: 360 });

/** @param plotPx height of the plot without its margins */
export const mapScale = (view: MapView, plotPx = SCREEN_PLOT_PX): MapScale => {
  const [left, right, top, bottom] = [LEFT, MAP_WIDTH - RIGHT, TOP, TOP + plotPx];
  const perMm = (right - left) / (view.x1Mm - view.x0Mm);
  const perDeg = plotPx / (view.clock1Deg - view.clock0Deg);
  return {
    view,
    height: bottom + BOTTOM,
    left,
    right,
    top,
    bottom,
    x: (mm) => left + (mm - view.x0Mm) * perMm,
    y: (deg) => top + (deg - view.clock0Deg) * perDeg,
    mmAt: (px) => view.x0Mm + (px - left) / perMm,
    degAt: (px) => view.clock0Deg + (px - top) / perDeg,
  };
};

/** A map whose millimetres are millimetres, and how many px each is. */
export const trueScale = (lengthMm: number, nominalMm: number): { readonly scale: MapScale; readonly pxPerMm: number } => {
  const pxPerMm = (MAP_WIDTH - LEFT - RIGHT) / lengthMm;
  return { scale: mapScale(wholeBore(lengthMm), Math.PI * nominalMm * pxPerMm), pxPerMm };
};

/** Least of the bore that is shown, mm. */
const CLOSEST_MM = 3;

/** The view made larger or smaller about a place, never beyond the bore. @param by above 1 shows less of it, larger */
export const zoomed = (v: MapView, lengthMm: number, by: number, aboutMm: number, aboutDeg: number): MapView => {
  const wide = Math.min(lengthMm, Math.max(Math.min(CLOSEST_MM, lengthMm), (v.x1Mm - v.x0Mm) / by));
  const high = (360 * wide) / lengthMm;
  const x0 = aboutMm - ((aboutMm - v.x0Mm) * wide) / (v.x1Mm - v.x0Mm);
  const c0 = aboutDeg - ((aboutDeg - v.clock0Deg) * high) / (v.clock1Deg - v.clock0Deg);
  return within({ x0Mm: x0, x1Mm: x0 + wide, clock0Deg: c0, clock1Deg: c0 + high }, lengthMm);
};

/** The view moved, never beyond the bore. */
export const panned = (v: MapView, lengthMm: number, byMm: number, byDeg: number): MapView =>
  within({ x0Mm: v.x0Mm + byMm, x1Mm: v.x1Mm + byMm, clock0Deg: v.clock0Deg + byDeg, clock1Deg: v.clock1Deg + byDeg }, lengthMm);

const within = (v: MapView, lengthMm: number): MapView => {
  const dx = Math.max(0, -v.x0Mm) - Math.max(0, v.x1Mm - lengthMm);
  const dc = Math.max(0, -v.clock0Deg) - Math.max(0, v.clock1Deg - 360);
  return { x0Mm: v.x0Mm + dx, x1Mm: v.x1Mm + dx, clock0Deg: v.clock0Deg + dc, clock1Deg: v.clock1Deg + dc };
};

/** A place as it is kept: to 0.1 mm and 1°, in the bore. */
export const snapped = (mm: number, deg: number, lengthMm: number): readonly [number, number] => [
  Math.round(Math.min(lengthMm, Math.max(0, mm)) * 10) / 10,
  Math.round(Math.min(359, Math.max(0, deg))),
];

/** A view so many times as large as the whole bore, with a place in its middle, as far as the bore goes. */
const about = (m: MapView, lengthMm: number, by: number): MapView => {
  const wide = Math.max(Math.min(CLOSEST_MM, lengthMm), lengthMm / Math.max(1, by));
  const high = (360 * wide) / lengthMm;
  const [x0Mm, clock0Deg] = [(m.x0Mm + m.x1Mm - wide) / 2, (m.clock0Deg + m.clock1Deg - high) / 2];
  return within({ x0Mm, x1Mm: x0Mm + wide, clock0Deg, clock1Deg: clock0Deg + high }, lengthMm);
};

/** A view in which a place of the bore takes about a third. */
export const closeTo = (m: MapView, lengthMm: number): MapView => about(m, lengthMm, lengthMm / Math.max(6, 3 * (m.x1Mm - m.x0Mm)));

/** Size of the loupe, px of the map. */
export const LOUPE = { width: 260, height: 118 };
/** Most that the loupe makes larger: past that a mark is a pattern. */
const LOUPE_MOST = 12;

/** The view whose middle the loupe shows: the place takes a third of it along, or half of it around, whichever comes first. */
export const loupeView = (m: MapView, lengthMm: number): MapView => {
  const whole = mapScale(wholeBore(lengthMm));
  const [wide, high] = [whole.x(m.x1Mm) - whole.x(m.x0Mm), Math.abs(whole.y(m.clock1Deg) - whole.y(m.clock0Deg))];
  return about(m, lengthMm, Math.min(LOUPE.width / (3 * Math.max(wide, 1e-6)), LOUPE.height / (2 * Math.max(high, 1e-6)), LOUPE_MOST));
};

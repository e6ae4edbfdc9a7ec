import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { closeTo, LOUPE, loupeView, MAP_WIDTH, type MapView, mapScale, panned, snapped, trueScale, wholeBore, zoomed } from './map-scale';
import { piecesOf } from './patch';

const LENGTH = 62;
const share = fc.double({ min: 0, max: 1, noNaN: true });
const inBore = (v: MapView): void => {
  expect(v.x0Mm).toBeGreaterThanOrEqual(-1e-9);
  expect(v.x1Mm).toBeLessThanOrEqual(LENGTH + 1e-9);
  expect(v.clock0Deg).toBeGreaterThanOrEqual(-1e-9);
  expect(v.clock1Deg).toBeLessThanOrEqual(360 + 1e-9);
};

describe('a map that is zoomed and moved', () => {
  property.prop([fc.array(fc.tuple(fc.double({ min: 0.3, max: 4, noNaN: true }), share, share), { maxLength: 12 })])(
    'never shows what is not bore, nor nothing, and keeps its shape',
    (steps) => {
      let view = wholeBore(LENGTH);
      for (const [by, x, c] of steps) {
        view = zoomed(view, LENGTH, by, x * LENGTH, c * 360);
        inBore(view);
        view = panned(view, LENGTH, (x - 0.5) * 40, (c - 0.5) * 200);
        inBore(view);
        expect(view.x1Mm - view.x0Mm).toBeGreaterThan(2.9);
        expect((view.x1Mm - view.x0Mm) / LENGTH).toBeCloseTo((view.clock1Deg - view.clock0Deg) / 360, 9);
      }
    },
  );

  property.prop([fc.double({ min: 1.01, max: 3, noNaN: true }), share, share])(
    'keeps the place under the pointer where it is',
    (by, x, c) => {
      const start = zoomed(wholeBore(LENGTH), LENGTH, 2, LENGTH / 2, 180);
      const about = [start.x0Mm + x * (start.x1Mm - start.x0Mm), start.clock0Deg + c * (start.clock1Deg - start.clock0Deg)] as const;
      const [before, after] = [mapScale(start), mapScale(zoomed(start, LENGTH, by, ...about))];
      expect(after.x(about[0])).toBeCloseTo(before.x(about[0]), 6);
      expect(after.y(about[1])).toBeCloseTo(before.y(about[1]), 6);
    },
  );

  property.prop([share, share])('a place and its px are each other’s', (x, c) => {
    const scale = mapScale(zoomed(wholeBore(LENGTH), LENGTH, 3, x * LENGTH, c * 360));
    expect(scale.mmAt(scale.x(x * LENGTH))).toBeCloseTo(x * LENGTH, 9);
    expect(scale.degAt(scale.y(c * 360))).toBeCloseTo(c * 360, 9);
  });
});

test('places are kept to a tenth of a millimetre and a degree, in the bore', () => {
  expect(snapped(12.3456, 89.6, LENGTH)).toEqual([12.3, 90]);
  expect([snapped(-4, -1, LENGTH), snapped(99, 400, LENGTH)]).toEqual([
    [0, 0],
    [62, 359],
  ]);
});

test('on paper a millimetre along and around the bore is a millimetre', () => {
  const { scale, pxPerMm } = trueScale(LENGTH, 22.225);
  expect(scale.x(31) - scale.x(21)).toBeCloseTo(10 * pxPerMm, 9);
  expect(scale.y(360) - scale.y(0)).toBeCloseTo(Math.PI * 22.225 * pxPerMm, 9);
  expect(scale.right).toBeLessThan(MAP_WIDTH);
});

test('a mark across the top is drawn in two, any other in one', () => {
  const mark = { x0Mm: 1, x1Mm: 2, clock0Deg: 330, clock1Deg: 25 };
  expect(piecesOf(mark).map((p) => [p.clock0Deg, p.clock1Deg])).toEqual([
    [330, 360],
    [0, 25],
  ]);
  expect(piecesOf({ ...mark, clock0Deg: 370, clock1Deg: 385 }).map((p) => [p.clock0Deg, p.clock1Deg])).toEqual([[10, 25]]);
});

describe('the loupe', () => {
  const place = fc
    .tuple(share, share, fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 0.01, max: 1, noNaN: true }))
    .map(([x, c, w, h]) => ({
      x0Mm: x * LENGTH * 0.9,
      x1Mm: Math.min(LENGTH, x * LENGTH * 0.9 + w * 8),
      clock0Deg: c * 300,
      clock1Deg: Math.min(360, c * 300 + h * 50),
    }));

  property.prop([place])('shows the whole of a mark of usual size, larger than the map does, and nothing beyond the bore', (m) => {
    const view = loupeView(m, LENGTH);
    inBore(view);
    const [near, whole] = [mapScale(view), mapScale(wholeBore(LENGTH))];
    const [wide, high] = [near.x(m.x1Mm) - near.x(m.x0Mm), near.y(m.clock1Deg) - near.y(m.clock0Deg)];
    expect(wide).toBeLessThanOrEqual(LOUPE.width + 1e-6);
    expect(high).toBeLessThanOrEqual(LOUPE.height + 1e-6);
    expect(wide).toBeGreaterThanOrEqual(whole.x(m.x1Mm) - whole.x(m.x0Mm) - 1e-6);
  });

  property.prop([place])('a view close to a mark holds all of it', (m) => {
    const view = closeTo(m, LENGTH);
    inBore(view);
    expect(view.x0Mm).toBeLessThanOrEqual(m.x0Mm + 1e-6);
    expect(view.x1Mm).toBeGreaterThanOrEqual(m.x1Mm - 1e-6);
  });

  test('a speck is shown a dozen times as large, no more', () => {
    const speck = { x0Mm: 30, x1Mm: 30.1, clock0Deg: 180, clock1Deg: 181 };
    const view = loupeView(speck, LENGTH);
    expect(LENGTH / (view.x1Mm - view.x0Mm)).toBeCloseTo(12, 6);
  });
});

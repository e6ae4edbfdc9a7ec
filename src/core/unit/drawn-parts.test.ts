import { describe, expect, test } from 'vitest';
import { wheelSingle } from '../family/anatomy/wheel-single';
import { putIn } from '../strip/part-news';
import { emptyTray } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { drawnParts, wholeParts } from './drawn-parts';
import type { Photo } from './photo';
import { hungPhotos, newestPhotos } from './shown-photos';
import type { UnitRecord } from './unit-record';

const tray = emptyTray(wheelSingle, (s) => s.id);
const record = (parts: readonly TrayPart[], stations: readonly string[] = []): UnitRecord =>
  ({ tray: parts, steps: stations.map((station) => ({ station })) }) as unknown as UnitRecord;
const states = (r: UnitRecord) => Object.fromEntries(drawnParts(r).map((p) => [p.id, p.state]));

describe('a drawing follows its tray', () => {
  test('all in while nobody has touched it', () => {
    expect(drawnParts(record(tray))).toEqual(wholeParts(wheelSingle));
  });

  test('out as they come out, absent where there was none', () => {
    const parts = tray.map((p) => ({
      ...p,
      found: p.slotId === 'spring' ? ('absent' as const) : p.slotId === 'boot' ? ('present' as const) : null,
    }));
    expect(states(record(parts))).toEqual({
      boot: 'out',
      piston: 'in',
      cup: 'in',
      spring: 'absent',
      'bleed-screw': 'in',
      'bleed-cap': 'in',
    });
  });

  test('once its kit is there, only what went in is in', () => {
    const goesIn = putIn({ piece: 'new', faces: null }, 1);
    const parts = tray.map((p) => ({ ...p, found: 'present' as const, goesIn: p.slotId === 'cup' ? goesIn : null }));
    const shown = states(record(parts, ['strip', 'kit']));
    expect([shown.cup, shown.piston, shown.boot]).toEqual(['in', 'out', 'out']);
    expect(
      states(
        record(
          tray.map((p) => ({ ...p, found: 'present' as const })),
          ['strip', 'kit'],
        ),
      ).cup,
    ).toBe('out');
  });

  test('a part that was absent and is fitted now is in', () => {
    const parts = tray.map((p) => ({
      ...p,
      found: 'absent' as const,
      goesIn: p.slotId === 'boot' ? putIn({ piece: 'new', faces: null }, 1) : null,
    }));
    expect([states(record(parts)).boot, states(record(parts)).cup]).toEqual(['in', 'absent']);
  });
});

test('a page sends six photos for its ledger, and those that hang on something where they hang', () => {
  const photo = (i: number, onKind: Photo['onKind']): Photo => ({ id: String(i), caption: '', at: i, onKind, onId: 'x', phase: 'out' });
  const photos = Array.from({ length: 20 }, (_, i) => photo(i, i % 4 === 0 ? 'part' : 'unit'));
  expect(newestPhotos({ photos }).map((p) => p.id)).toEqual(['14', '15', '16', '17', '18', '19']);
  expect(hungPhotos({ photos }).map((p) => p.id)).toEqual(['0', '4', '8', '12', '16']);
  expect(newestPhotos({ photos: photos.slice(0, 2) })).toHaveLength(2);
});

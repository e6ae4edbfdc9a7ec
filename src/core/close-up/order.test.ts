import { fc, test as property } from '@fast-check/vitest';
import { describe, expect, test } from 'vitest';
import { FAMILIES } from '../family/families';
import { type Drawing, type Family, geometryAt } from '../family/family';
import { UNIT_KINDS } from '../family/family-name';
import { METRIC } from '../quantity/units';
import { putIn } from '../strip/part-news';
import { bareRow, emptyTray } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { bearsOnGap, bearsOnProof, lastIn, reopenedByParts } from './bearing';
import { fittingOf } from './fitting';
import { assemblyOrder, inTheWay } from './order';
import { edgesOnTheWay, lipLeads, sayPassing } from './passing';
import { sideOf, wrongSide } from './side';

/** A tray on which everything came out and goes back, or is in. */
const trayOf = (family: Family, more: Partial<TrayPart> = {}): readonly TrayPart[] =>
  emptyTray(family, (s) => s.id).map((p) => ({ ...p, found: 'present', condition: 'good', fate: 'replaced', ...more }));
const order = (family: Family, tray = trayOf(family)): readonly string[] => assemblyOrder(family, tray).map((p) => p.slotId);
const way = (family: Family, slotId: string, tray = trayOf(family)): readonly string[] =>
  inTheWay(family, tray, tray.find((p) => p.slotId === slotId) as TrayPart).map((p) => p.slotId);

describe('the order of going in', () => {
  test.each(UNIT_KINDS)('%s: every part of the tray once', (name) => {
    const family = FAMILIES[name];
    expect([...order(family)].sort()).toEqual(family.slots.map((s) => s.id).sort());
  });

  test('a tandem: front before rear, a seal before the piston that carries it, the stop screw behind its piston, the clip last but the boot', () => {
    const tandem = order(FAMILIES['master-tandem']);
    const inOrder = (a: string, b: string) => expect([a, b, tandem.indexOf(a) < tandem.indexOf(b)]).toEqual([a, b, true]);
    inOrder('front-spring', 'front-primary');
    inOrder('floating-rear', 'floating-piston');
    inOrder('floating-piston', 'stop-screw');
    inOrder('stop-screw', 'rear-piston');
    inOrder('rear-primary', 'protector');
    inOrder('rear-piston', 'circlip');
    inOrder('grommets', 'roll-pins');
    expect(tandem.indexOf('circlip')).toBeLessThan(tandem.indexOf('boot'));
  });

  test('a wheel cylinder: from the middle, each cup before the piston at its own end, boots last', () => {
    const wheel = order(FAMILIES['wheel-double']);
    expect(wheel.filter((s) => !s.startsWith('bleed'))).toEqual([
      'expander',
      'left-cup',
      'right-cup',
      'left-piston',
      'right-piston',
      'right-boot',
      'left-boot',
    ]);
  });

  property.prop([fc.constantFrom(...UNIT_KINDS), fc.nat()])('what comes out again for a part goes in after it', (name, pick) => {
    const family = FAMILIES[name];
    const tray = trayOf(family);
    const part = tray[pick % tray.length] as TrayPart;
    const going = order(family, tray);
    for (const other of inTheWay(family, tray, part)) {
      // A stop is put in with the piston pressed, so it may follow or come before.
      if (other.kind === 'set-screw' || other.kind === 'stop-pin') continue;
      expect([part.slotId, other.slotId, going.indexOf(other.slotId) > going.indexOf(part.slotId)]).toEqual([
        part.slotId,
        other.slotId,
        true,
      ]);
    }
  });

  test('what was binned or never there does not go in; a part the family knows none of goes in before the one in front of it', () => {
    const family = FAMILIES['master-single'];
    const tray = trayOf(family).map((p) =>
      p.slotId === 'residual-valve' ? { ...p, found: 'absent' as const } : p.slotId === 'boot' ? { ...p, fate: 'binned' as const } : p,
    );
    expect(order(family, tray)).not.toContain('residual-valve');
    expect(order(family, tray)).not.toContain('boot');
    const at = tray.findIndex((p) => p.slotId === 'stop-washer');
    const shim: TrayPart = {
      ...bareRow({ id: 'x', slotId: 'added-x', kind: 'stop-washer', name: 'shim', qty: 1 }, 2.5),
      found: 'present',
      fate: 'refitted',
    };
    const with1 = order(family, [...tray.slice(0, at + 1), shim, ...tray.slice(at + 1)]);
    expect(with1.indexOf('added-x')).toBe(with1.indexOf('stop-washer') - 1);
  });
});

describe('what comes out again for a forgotten part', () => {
  const tandem = FAMILIES['master-tandem'];
  test.each([
    ['boot', []],
    ['circlip', ['boot']],
    ['protector', ['boot', 'circlip', 'stop-washer', 'rear-piston']],
    ['secondary', ['boot', 'circlip', 'stop-washer', 'rear-piston']],
    [
      'front-spring',
      [
        'boot',
        'circlip',
        'stop-washer',
        'rear-piston',
        'protector',
        'rear-primary',
        'rear-spring',
        'stop-screw',
        'floating-piston',
        'front-primary',
      ],
    ],
    ['stop-screw', []],
    ['grommets', ['roll-pins']],
    ['check-valves', []],
  ])('a tandem’s %s', (slotId, out) => expect(way(tandem, slotId)).toEqual(out));

  test('a wheel cylinder: only the nearer end', () => {
    const wheel = FAMILIES['wheel-double'];
    expect(way(wheel, 'left-cup')).toEqual(['left-boot', 'left-piston']);
    expect(way(wheel, 'right-cup')).toEqual(['right-boot', 'right-piston']);
    expect(way(wheel, 'bleed-screw')).toEqual(['bleed-cap']);
  });

  test('just the stations that those parts bear on open again', () => {
    const opened = (...kinds: readonly TrayPart['kind'][]) =>
      reopenedByParts(
        tandem,
        kinds.map((kind) => ({ kind })),
      );
    expect(opened('boot')).toEqual(['close-up', 'release']);
    expect(opened('check-valve')).toEqual(['close-up', 'prove', 'release']);
    expect(opened('boot', 'circlip')).toEqual(['close-up', 'set', 'prove', 'release']);
    expect(reopenedByParts(FAMILIES.linkage, [{ kind: 'split-pin' }])).toEqual(['close-up', 'release']);
    expect([bearsOnGap('bleed-screw'), bearsOnProof('bleed-screw'), bearsOnProof('bleed-cap')]).toEqual([false, true, false]);
  });

  test('the last part in counts; one that nobody said was put in counts from the sign-off', () => {
    const tray = trayOf(tandem, { goesIn: putIn({ piece: 'new', faces: null }, 10) });
    const later = tray.map((p) => ({
      ...p,
      goesIn: putIn({ piece: 'new', faces: null }, p.kind === 'boot' ? 90 : p.kind === 'cup' ? 40 : 10),
    }));
    expect([lastIn(later, bearsOnProof, 500), lastIn(later, () => true, 500)]).toEqual([40, 90]);
    expect(
      lastIn(
        later.map((p) => (p.kind === 'spring' ? { ...p, goesIn: null } : p)),
        bearsOnProof,
        500,
      ),
    ).toBe(500);
  });

  property.prop([fc.constantFrom(...UNIT_KINDS), fc.nat()])(
    'never the part itself, never twice, always parts of its tray',
    (name, pick) => {
      const tray = trayOf(FAMILIES[name]);
      const part = tray[pick % tray.length] as TrayPart;
      const out = inTheWay(FAMILIES[name], tray, part);
      expect(out).not.toContain(part);
      expect(new Set(out).size).toBe(out.length);
      expect(out.every((p) => tray.includes(p))).toBe(true);
    },
  );
});

describe('which way round', () => {
  const side = (family: Family, slotId: string, tray = trayOf(family)) =>
    sideOf(family, tray, tray.find((p) => p.slotId === slotId) as TrayPart);
  test('lips to the pressure, the small end of a spring to its piston', () => {
    expect(side(FAMILIES['master-tandem'], 'floating-rear')).toMatchObject({ what: 'lip', toward: 'open' });
    expect(side(FAMILIES['master-single'], 'primary')).toMatchObject({ what: 'lip', toward: 'blind' });
    expect(side(FAMILIES['master-single'], 'spring')).toMatchObject({ what: 'small-end', toward: 'open' });
    expect(side(FAMILIES['wheel-double'], 'expander')).toBeUndefined();
    expect(side(FAMILIES['master-single'], 'circlip')).toBeUndefined();
  });

  test('the bowl of a concave washer to the seal that it backs', () => {
    const family = FAMILIES['master-single'];
    const tray = trayOf(family).map((p) => (p.slotId === 'protector' ? { ...p, kind: 'concave-washer' as const } : p));
    expect(side(family, 'protector', tray)).toMatchObject({ what: 'bowl', toward: 'blind' });
  });

  test('wrong is told with its reason; a spring may be the same at both ends, a cup may not', () => {
    const family = FAMILIES['master-single'];
    const [cup, spring] = ['primary', 'spring'].map((id) => trayOf(family).find((p) => p.slotId === id) as TrayPart) as [
      TrayPart,
      TrayPart,
    ];
    expect(wrongSide(side(family, 'primary'), cup, 'open')).toMatch(
      /^The primary cup faces the wrong way: turn it round\. It holds the pressure/,
    );
    expect(wrongSide(side(family, 'primary'), cup, null)).toBe('Say which way the lip of the primary cup faces.');
    expect([wrongSide(side(family, 'primary'), cup, 'blind'), wrongSide(side(family, 'spring'), spring, null)]).toEqual([
      undefined,
      undefined,
    ]);
  });
});

describe('past the edges', () => {
  const family = FAMILIES['master-tandem'];
  const g = geometryAt(family.drawing as Drawing, 22.225);
  test('ports and grooves between the mouth and the seat, the nearest first; none for the seal by the mouth but its clip’s groove', () => {
    expect(edgesOnTheWay(family, g, 'front-primary').map((e) => e.name)).toEqual([
      'clip groove',
      'rear feed port',
      'rear compensating port',
      'rear outlet port',
      'front feed port',
    ]);
    expect(edgesOnTheWay(family, g, 'secondary').map((e) => e.name)).toEqual(['clip groove']);
    expect(sayPassing([], METRIC)).toBeNull();
    expect(sayPassing(edgesOnTheWay(family, g, 'secondary'), METRIC)).toMatch(/^Past the clip groove at 3\.1 mm: an edge cuts a lip\./);
  });

  test('of a through bore, from the end that it goes in by', () => {
    const wheel = FAMILIES['wheel-double'];
    const w = geometryAt(wheel.drawing as Drawing, 22.225);
    const [left, right] = ['left-cup', 'right-cup'].map((slotId) => {
      const part = trayOf(wheel).find((p) => p.slotId === slotId) as TrayPart;
      return [edgesOnTheWay(wheel, w, slotId), lipLeads(wheel, w, part, sideOf(wheel, trayOf(wheel), part) as never)];
    });
    expect([left, right]).toEqual([
      [[], true],
      [[], true],
    ]);
  });
});

test.each(UNIT_KINDS)('%s: every part is told how it goes in and what is seen when it is home', (name) => {
  for (const part of trayOf(FAMILIES[name])) {
    const fitting = fittingOf(part, FAMILIES[name], null, false);
    expect([part.slotId, fitting.todo.endsWith('.'), fitting.home.length > 3]).toEqual([part.slotId, true, true]);
    expect(fitting.todo).toContain(part.name);
  }
});

test('a through bore keeps its order whichever parts were never there', () => {
  const family = FAMILIES['wheel-double'];
  const tray = trayOf(family).map((p) => (p.slotId === 'bleed-cap' || p.slotId === 'left-boot' ? { ...p, fate: 'binned' as const } : p));
  const going = order(family, tray);
  expect(going).not.toContain('left-boot');
  for (const end of ['left', 'right']) expect(going.indexOf(`${end}-cup`)).toBeLessThan(going.indexOf(`${end}-piston`));
  expect(new Set(going).size).toBe(going.length);
});

test('a unit without a bore has nothing in the way of anything but what stands over it', () => {
  for (const slot of FAMILIES.linkage.slots) expect([slot.id, way(FAMILIES.linkage, slot.id)]).toEqual([slot.id, []]);
  expect(way(FAMILIES['distribution-valve'], 'plug-washer')).toEqual(['end-plug']);
});

import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { putIn } from '../strip/part-news';
import { partState } from '../strip/part-state';
import { bareRow, emptyTray } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { familyFaults, sayFamilyFault } from './check-family';
import { FAMILIES } from './families';
import { type Drawing, type Family, geometryAt, slotFacing } from './family';
import { FAMILY_NAMES } from './family-name';
import { PART_KIND_NAMES } from './part-kind';
import { sectionOf } from './section';
import { familyOf, type Variant } from './variant-schema';

const variantOf = (name: (typeof FAMILY_NAMES)[number], change: (f: Family & { readonly drawing: Drawing }) => Partial<Family>): Family => {
  const family = FAMILIES[name] as Family & { readonly drawing: Drawing };
  return { ...family, ...change(family) };
};
const moved = (d: Drawing, id: string, news: Partial<Drawing['seals'][number]>): Drawing => ({
  ...d,
  seals: d.seals.map((s) => (s.id === id ? { ...s, ...news } : s)),
});

describe('a variant that cannot work is refused, and says why', () => {
  test.each<[string, Family, RegExp]>([
    [
      'two chambers with no seal between',
      variantOf('master-tandem', (f) => ({
        slots: f.slots.filter((s) => s.id !== 'floating-rear'),
        drawing: { ...f.drawing, seals: f.drawing.seals.filter((s) => s.id !== 'floating-rear') },
      })),
      /Nothing seals between rear and front feed/,
    ],
    [
      'a seal outside the bore',
      variantOf('slave', (f) => ({ drawing: moved(f.drawing, 'cup', { restXMm: 66 }) })),
      /The cup would lie from 46.8 to 67.3 mm; the bore runs from 0 to 60 mm/,
    ],
    [
      'a seal that leaves the bore on its way',
      variantOf('slave', (f) => ({ drawing: moved(f.drawing, 'cup', { travelMm: -40 }) })),
      /The cup would lie from -3.2 to 39.3 mm/,
    ],
    [
      'a seal of no chambers',
      variantOf('wheel-single', (f) => ({ slots: f.slots.map((s) => (s.id === 'cup' ? { ...s, between: undefined as never } : s)) })),
      /The cup is a seal: say which two chambers/,
    ],
    [
      'chambers in the wrong order',
      variantOf('wheel-single', (f) => ({
        slots: f.slots.map((s) => (s.id === 'cup' ? { ...s, between: ['pressure', 'outside'] as const } : s)),
      })),
      /cannot part pressure from outside/,
    ],
    [
      'two parts of one name',
      variantOf('wheel-double', (f) => ({ slots: f.slots.map((s) => (s.id === 'right-cup' ? { ...s, name: 'left cup' } : s)) })),
      /Two places have the name “left cup”/,
    ],
    [
      'seals that rest in another order than their chambers',
      variantOf('master-single', (f) => ({ drawing: moved(moved(f.drawing, 'primary', { restXMm: 11 }), 'secondary', { restXMm: 36 }) })),
      /The primary cup rests nearer the open end than the secondary cup/,
    ],
    [
      'a resting cup over its compensating port',
      variantOf('master-single', (f) => ({ drawing: moved(f.drawing, 'primary', { restXMm: 38.5 }) })),
      /covers the compensating port: fluid could not come back/,
    ],
    [
      'a cup that never closes it',
      variantOf('master-single', (f) => ({ drawing: moved(f.drawing, 'primary', { travelMm: 1.2 }) })),
      /never passes the compensating port/,
    ],
    [
      'a clip without its groove',
      variantOf('master-lever', (f) => ({ drawing: { ...f.drawing, grooves: [] } })),
      /The circlip sits in a groove that this bore does not have/,
    ],
    [
      'a port beyond the bottom',
      variantOf('slave', (f) => ({ drawing: { ...f.drawing, lengthMm: 50 } })),
      /The inlet port would lie from 53 to 57 mm/,
    ],
  ])('%s', (_, family, says) => {
    expect(familyFaults(family).map(sayFamilyFault).join('\n')).toMatch(says);
  });

  test('all reasons at once, not the first', () => {
    const broken = variantOf('master-single', (f) => ({
      slots: f.slots.filter((s) => s.kind !== 'cup'),
      drawing: { ...f.drawing, lengthMm: 20 },
    }));
    expect(new Set(familyFaults(broken).map((f) => f.code))).toEqual(new Set(['no-seal', 'no-part', 'outside-bore']));
  });
});

const RANK = { none: 0, reservoir: 1, working: 2 } as const;

test('in any stack of chambers a lip opens toward the higher pressure', () => {
  const pressure = fc.constantFrom<keyof typeof RANK>('none', 'reservoir', 'working');
  fc.assert(
    fc.property(fc.array(pressure, { minLength: 2, maxLength: 8 }), (pressures) => {
      const chambers = pressures.map((p, i) => ({ id: `c${i}`, pressure: p }));
      pressures.slice(1).forEach((blind, i) => {
        const open = pressures[i] as keyof typeof RANK;
        const step = RANK[blind] - RANK[open];
        const facing = slotFacing({ chambers }, { kind: 'cup', between: [`c${i}`, `c${i + 1}`] });
        expect(facing).toBe(step > 0 ? 'blind' : step < 0 ? 'open' : undefined);
      });
    }),
  );
});

/** What shops do to a copy: drop, rename, reorder, move. */
const edit = fc.oneof(
  fc.record({ what: fc.constant('drop' as const), at: fc.nat(20) }),
  fc.record({ what: fc.constant('swap' as const), at: fc.nat(20) }),
  fc.record({ what: fc.constant('shift' as const), at: fc.nat(20), by: fc.integer({ min: -30, max: 30 }) }),
  fc.record({ what: fc.constant('length' as const), by: fc.integer({ min: -40, max: 40 }) }),
);

const apply = (v: Variant, e: Parameters<Parameters<typeof edit.map>[0]>[0]): Variant => {
  const { slots, drawing } = v;
  switch (e.what) {
    case 'drop': {
      const gone = slots[e.at % slots.length]?.id;
      return slots.length < 2
        ? v
        : { ...v, slots: slots.filter((s) => s.id !== gone), drawing: { ...drawing, seals: drawing.seals.filter((s) => s.id !== gone) } };
    }
    case 'swap': {
      const at = e.at % slots.length;
      const rest = slots.filter((_, i) => i !== at);
      return { ...v, slots: [...rest, slots[at] as Variant['slots'][number]] };
    }
    case 'shift': {
      const at = e.at % Math.max(1, drawing.seals.length);
      return { ...v, drawing: { ...drawing, seals: drawing.seals.map((s, i) => (i === at ? { ...s, restXMm: s.restXMm + e.by } : s)) } };
    }
    case 'length':
      return { ...v, drawing: { ...drawing, lengthMm: Math.max(5, drawing.lengthMm + e.by) } };
  }
};

test('random variants: what is let through has every chamber sealed, every seal in the bore, and facings by pressure', () => {
  let passed = 0;
  fc.assert(
    fc.property(fc.constantFrom(...FAMILY_NAMES), fc.array(edit, { maxLength: 3 }), (base, edits) => {
      const { slots, drawing, label } = FAMILIES[base];
      const variant = edits.reduce(apply, { base, label, slots, drawing } as unknown as Variant);
      const family = familyOf(base, variant);
      if (familyFaults(family).length > 0) return;
      passed += 1;
      family.chambers.slice(1).forEach((blind, i) => {
        const open = family.chambers[i];
        const between = family.slots.filter((s) => s.between?.[0] === open?.id && s.between?.[1] === blind.id);
        expect(between.length).toBeGreaterThan(0);
        for (const s of between.filter((x) => x.kind === 'cup' || x.kind === 'plunger-seal'))
          expect(slotFacing(family, s)).toBe(RANK[blind.pressure] > RANK[open?.pressure ?? 'none'] ? 'blind' : 'open');
      });
      for (const s of variant.drawing.seals) {
        expect(Math.min(s.restXMm, s.restXMm + s.travelMm)).toBeGreaterThanOrEqual(0);
        expect(Math.max(s.restXMm, s.restXMm + s.travelMm)).toBeLessThanOrEqual(variant.drawing.lengthMm);
      }
    }),
    { numRuns: 400 },
  );
  expect(passed).toBeGreaterThan(100);
});

/** What happens to a tray at a bench. */
const handling = fc.oneof(
  fc.record({ what: fc.constantFrom('out' as const, 'absent' as const, 'in' as const), at: fc.nat(30) }),
  fc.record({ what: fc.constant('kind' as const), at: fc.nat(30), pick: fc.nat(5) }),
  fc.record({ what: fc.constant('add' as const), at: fc.nat(30), kind: fc.constantFrom(...PART_KIND_NAMES) }),
);

test('tray and drawing always agree, whatever is done to the tray', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...FAMILY_NAMES),
      fc.array(handling, { maxLength: 25 }),
      fc.constantFrom('out' as const, 'in' as const),
      (name, steps, way) => {
        const family = FAMILIES[name];
        let tray: readonly TrayPart[] = emptyTray(family, (s) => s.id);
        for (const [n, step] of steps.entries()) {
          const at = step.at % tray.length;
          const change = (news: Partial<TrayPart>): void => {
            tray = tray.map((p, i) => (i === at ? { ...p, ...news } : p));
          };
          if (step.what === 'out') change({ found: 'present' });
          else if (step.what === 'absent') change({ found: 'absent' });
          else if (step.what === 'in') change({ goesIn: putIn({ piece: 'new', faces: null }, 1) });
          else if (step.what === 'kind') {
            const kinds = family.slots.find((s) => s.id === tray[at]?.slotId)?.oneOf ?? [];
            const kind = kinds[step.pick % Math.max(1, kinds.length)];
            if (kind !== undefined) change({ kind });
          } else if ('kind' in step) {
            const added = bareRow({ id: `a${n}`, slotId: `added-${n}`, kind: step.kind, name: `part ${n}`, qty: 1 }, at + 0.5);
            tray = [...tray.slice(0, at + 1), { ...added, found: 'present' as const }, ...tray.slice(at + 1)];
          }
        }
        const stack = tray.map((p) => ({ id: p.slotId, name: p.name, kind: p.kind }));
        const section = sectionOf(family, geometryAt(family.drawing as Drawing, 22.225), stack);
        expect(section.parts.map((p) => [p.slotId, p.name, p.kind])).toEqual(tray.map((p) => [p.slotId, p.name, p.kind]));
        for (const [i, p] of section.parts.entries()) {
          const points = p.outlines.flatMap((o) => o.points).flat();
          expect([p.slotId, points.length > 0, points.every(Number.isFinite)]).toEqual([p.slotId, true, true]);
          const part = tray[i] as TrayPart;
          const state = partState(part, way);
          if (part.found === 'absent' && part.goesIn === null) expect(state).toBe('absent');
          else expect(state).toBe((way === 'out' ? part.found === null : part.goesIn !== null) ? 'in' : 'out');
        }
      },
    ),
    { numRuns: 300 },
  );
});

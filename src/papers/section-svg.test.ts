import { describe, expect, test } from 'vitest';
import { FAMILIES } from '@/core/family/families';
import { type Drawing, geometryAt } from '@/core/family/family';
import { FAMILY_NAMES } from '@/core/family/family-name';
import { sectionOf } from '@/core/family/section';
import { boreDrawings } from '@/core/unit/bore-drawing';
import { wholeParts } from '@/core/unit/drawn-parts';
import { sectionSvg } from './section-svg';

describe.each(FAMILY_NAMES)('the section of a %s as a file', (name) => {
  const family = FAMILIES[name];
  const geometry = geometryAt(family.drawing as Drawing, 22.225);

  test.each(['together', 'apart'] as const)(
    '%s: one millimetre a millimetre, every part named, nothing of the page in it',
    async (view) => {
      const svg = await sectionSvg({ family, bores: boreDrawings(family, { geometry, morePots: [] }), parts: wholeParts(family), view });
      const [, , width, height] = /viewBox="([^"]+)"/.exec(svg)?.[1]?.split(' ').map(Number) ?? [];
      expect(svg.startsWith(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm"`)).toBe(true);
      const box = sectionOf(family, geometry)[view === 'apart' ? 'apartBox' : 'box'];
      expect(width).toBeGreaterThanOrEqual(Math.floor(box[2]));
      const titles = [...svg.matchAll(/<title>([^<]+)<\/title>/g)].map((m) => m[1]);
      expect(titles.map((t) => t?.replace(/: [-\d.]+ to [-\d.]+ mm$/, ''))).toEqual(family.slots.map((s) => s.name));
      expect(svg).not.toMatch(/<a |href=|class="[^"]*text-/);
      expect(svg).not.toContain('var(');
    },
  );
});

test('a part that is out or never was is told apart without colour', async () => {
  const family = FAMILIES['wheel-single'];
  const geometry = geometryAt(family.drawing as Drawing, 19.05);
  const parts = wholeParts(family).map((p, i) => ({ ...p, state: (['in', 'out', 'absent'] as const)[i % 3] ?? 'in' }));
  const svg = await sectionSvg({ family, bores: boreDrawings(family, { geometry, morePots: [] }), parts, view: 'together' });
  expect(svg.match(/data-state="out"[^>]*stroke-dasharray="1.2 1"/g)).toHaveLength(2);
  expect(svg.match(/data-state="absent"[^>]*stroke-dasharray="0.5 0.9"/g)).toHaveLength(2);
  expect(svg).toContain('<title>piston, out: ');
  expect(svg).toContain('<title>cup, absent: ');
});

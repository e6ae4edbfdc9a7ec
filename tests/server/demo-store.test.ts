import { describe, expect, test } from 'vitest';
import { FAMILY_NAMES } from '@/core/family/family-name';
import { PART_KIND_NAMES } from '@/core/family/part-kind';
import { identify } from '@/core/identify/identify';
import { normalThread, THREADS } from '@/core/quantity/thread';
import { STANDARD_RULES } from '@/core/rules/rule-set';
import { EnteredArticle, EnteredFitment } from '@/core/store/article-schema';
import { FITMENTS } from '../../demo/fitments';
import { asArticle, KITS } from '../../demo/kits';
import { sundries } from '../../demo/sundries';

// The made-up store holds together: what is named exists, and every schema would take it.

const NOW = Date.UTC(2026, 5, 1);
const kits = KITS.map((k) => asArticle(k, NOW));
const drawers = sundries(NOW, () => 3);

describe('the demo’s store', () => {
  test('numbers are its own, once each', () => {
    const numbers = [...kits, ...drawers].map(([a]) => a.number);
    expect(new Set(numbers).size).toBe(110);
    expect(numbers.every((n) => /^[KS]-\d{3}$/.test(n))).toBe(true);
  });

  test('every article and fitment would be taken', () => {
    for (const [{ reorderAt: _, ...article }] of [...kits, ...drawers])
      expect(EnteredArticle.safeParse(article).error?.issues ?? []).toEqual([]);
    for (const fitment of FITMENTS) expect(EnteredFitment.safeParse(fitment).error?.issues ?? []).toEqual([]);
  });

  test('kits that are named are there, and so are successors', () => {
    const known = new Set(kits.map(([a]) => a.number));
    for (const f of FITMENTS) for (const k of f.kits) expect(known.has(k)).toBe(true);
    for (const [a] of kits) if (a.supersededBy !== null) expect(known.has(a.supersededBy)).toBe(true);
  });

  test('three kits of one bore differ in a boot or a clip', () => {
    const masters = kits.filter(([a]) => a.name.startsWith('Single master 13/16') && a.supersededBy === null).map(([a]) => a);
    expect(masters.length).toBe(3);
    expect(new Set(masters.map((a) => a.items[0]?.dims.boreMm)).size).toBe(1);
    expect(new Set(masters.map((a) => JSON.stringify(a.items.slice(1)))).size).toBe(3);
  });

  test('a lot of a faulty kit says so; lots together hold what is on the shelf', () => {
    for (const [i, [article, lots]] of kits.entries()) {
      expect([article.number, lots.reduce((sum, l) => sum + l.qty, 0)]).toEqual([article.number, KITS[i]?.stock]);
      for (const lot of lots) expect(lot.at).toBeLessThan(NOW);
    }
    expect(kits.flatMap(([, lots]) => lots).filter((l) => l.fault !== '').length).toBe(1);
  });

  test('kinds and threads are those the shop knows', () => {
    const kinds = [...kits, ...drawers].flatMap(([a]) => a.items.map((i) => i.kind));
    for (const kind of kinds) expect(PART_KIND_NAMES).toContain(kind);
    const threads = new Set(THREADS.map((t) => normalThread(t.name)));
    for (const f of FITMENTS) for (const t of f.features.portThreads ?? []) expect(threads.has(normalThread(t))).toBe(true);
    for (const f of FITMENTS) expect(FAMILY_NAMES).toContain(f.family);
  });

  test('every fitment is told from the others by all that is known of it', () => {
    for (const f of FITMENTS) {
      const { boreMm, strokeMm, bodyLengthMm, studPitchMm, ...rest } = f.features;
      const lengths = Object.entries({ boreMm, strokeMm, bodyLengthMm, studPitchMm }).flatMap(([k, v]) =>
        v == null ? [] : [[k, { value: v }]],
      );
      const { candidates } = identify({ measured: { ...Object.fromEntries(lengths), ...rest }, fitments: FITMENTS }, STANDARD_RULES);
      expect([f.id, candidates[0]?.id]).toEqual([f.id, f.id]);
    }
  });
});

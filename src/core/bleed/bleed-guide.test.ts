import { describe, expect, test } from 'vitest';
import { STANDARD_RULES } from '../rules/rule-set';
import type { BleedEvent } from './bleed-event';
import { bleedNow, bleedTally, undone } from './bleed-guide';
import { type BleedMethod, bleedPlan } from './bleed-plan';
import { SHAPES } from './shapes';
import { questionOf } from './system-question';

const START = Date.UTC(2026, 10, 30, 9);
const system = { ...SHAPES['one-two'](), master: { ...SHAPES['one-two']().master, reservoirMl: 120, reservoirMinMl: 70 } };
const plan = bleedPlan({ ...questionOf(system), rules: null }, STANDARD_RULES);

/** A person who does what the guide says, until it asks for the pedal; what they were told by kind, and how often it said to top up. */
const obey = (method: BleedMethod, stepS = 5) => {
  const events: BleedEvent[] = [];
  let at = START;
  const seen: string[] = [];
  let since = 0;
  let longest = 0;
  for (let n = 0; n < 400; n++) {
    const now = bleedNow(plan, method, 2, events, at);
    seen.push(now.kind);
    at += 1000 * stepS;
    switch (now.kind) {
      case 'prepare':
        events.push({ kind: 'prepared', at, step: now.step });
        break;
      case 'fill':
        since = 0;
        events.push({ kind: 'filled', at });
        break;
      case 'open':
        events.push({ kind: 'opened', at, endId: now.step.endId });
        break;
      case 'stroke':
        since += 1;
        longest = Math.max(longest, since);
        events.push({ kind: 'stroke', at, endId: now.step.endId });
        break;
      case 'runs':
        if (now.ranS >= 10 && (now.leftS ?? 0) <= 0) events.push({ kind: 'clear', at, endId: now.step.endId });
        break;
      case 'clear?':
        events.push({ kind: 'clear', at, endId: now.step.endId });
        break;
      case 'outlet':
        events.push({ kind: 'outlet', at });
        break;
      default:
        return { events, seen, longest, last: now };
    }
  }
  throw new Error('it never came to the pedal');
};

describe('the guide', () => {
  test('pumped: every end by its strokes, and never more of them than the reservoir gives', () => {
    const { events, seen, longest, last } = obey('pump');
    expect(last.kind).toBe('pedal');
    expect(bleedTally(events).strokes).toBe(plan.strokes);
    expect(longest).toBe(plan.topUpEvery);
    // Once before each end, and as often as the plan says on the way.
    expect(bleedTally(events).fills).toBe(plan.order.length + (plan.topUps ?? 0));
    expect(seen.filter((k) => k === 'prepare').length).toBe(2);
    const cleared = events.flatMap((e) => (e.kind === 'clear' ? [e.endId] : []));
    expect(cleared).toEqual(plan.order.map((s) => s.endId));
  });

  test.each(['gravity', 'vacuum'] as const)('by %s: what runs is topped up in time and runs until all is through', (method) => {
    const { events, last } = obey(method, 1);
    expect(last.kind).toBe('pedal');
    const [first] = plan.order;
    const rate = (method === 'gravity' ? first?.gravityMlPerMin : first?.vacuumMlPerMin) ?? 0;
    const opened = events.find((e) => e.kind === 'opened')?.at ?? 0;
    const cleared = events.find((e) => e.kind === 'clear')?.at ?? 0;
    const ranMl = ((cleared - opened) / 60_000) * rate;
    expect(ranMl).toBeGreaterThanOrEqual(first?.flushMl ?? Number.POSITIVE_INFINITY);
    // Between two fillings no more ran out than may.
    const marks = events
      .filter((e) => (e.kind === 'filled' || e.kind === 'opened' || e.kind === 'clear') && e.at <= cleared)
      .map((e) => e.at);
    const gaps = marks.slice(1).map((at, i) => ((at - (marks[i] ?? at)) / 60_000) * rate);
    expect(Math.max(...gaps)).toBeLessThanOrEqual((plan.topUpEvery ?? 0) * plan.mlPerStroke + (2 / 60) * rate);
  });

  test('the last press is taken back; a screw that is not clear gets another stroke', () => {
    const { events } = obey('pump');
    const atClear = events.slice(
      0,
      events.findIndex((e) => e.kind === 'clear'),
    );
    const now = bleedNow(plan, 'pump', 2, atClear, START);
    expect(now.kind).toBe('clear?');
    const end = plan.order[0]?.endId ?? '';
    expect(bleedNow(plan, 'pump', 2, [...atClear, { kind: 'stroke', at: START, endId: end }], START).kind).toBe('clear?');
    const back = bleedNow(plan, 'pump', 2, undone(atClear), START);
    expect(back.kind === 'stroke' ? back.done : undefined).toBe((plan.order[0]?.strokes ?? 0) - 1);
    expect(undone([])).toEqual([]);
  });

  test('still spongy: the round begins anew at its first end, what went before stays told', () => {
    const { events } = obey('pump');
    const spongy: readonly BleedEvent[] = [...events, { kind: 'spongy', at: START }];
    expect(bleedNow(plan, 'pump', 2, spongy, START).kind).toBe('spongy');
    const again = bleedNow(plan, 'pump', 2, [...spongy, { kind: 'filled', at: START }], START);
    expect(again.kind === 'stroke' ? [again.step.endId, again.done] : []).toEqual([plan.order[0]?.endId, 0]);
    expect(bleedTally([...spongy, { kind: 'filled', at: START }]).rounds).toBe(2);
  });

  test('a reservoir that gives no stroke says so at each; a flow that is not known has no end of its own', () => {
    const small = { ...plan, topUpEvery: null };
    const now = bleedNow(small, 'pump', 0, [{ kind: 'filled', at: START }], START);
    expect(now.kind === 'stroke' ? now.untilFill : 0).toBeNull();
    const blind = { ...plan, order: plan.order.map((s) => ({ ...s, gravityMlPerMin: null })) };
    const end = plan.order[0]?.endId ?? '';
    const opened: readonly BleedEvent[] = [
      { kind: 'filled', at: START },
      { kind: 'opened', at: START, endId: end },
    ];
    expect(bleedNow(blind, 'gravity', 0, opened, START + 30_000)).toMatchObject({ kind: 'runs', ranS: 30, leftS: null, untilFillS: null });
  });

  test('firm is the end of it', () => {
    expect(bleedNow(plan, 'pump', 0, [{ kind: 'firm', at: START, travelMm: 48 }], START)).toEqual({ kind: 'done', travelMm: 48 });
  });
});

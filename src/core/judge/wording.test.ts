import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { sayFullDate } from '../quantity/say-time';
import { IMPERIAL, METRIC } from '../quantity/units';
import { STANDARD_RULES } from '../rules/rule-set';
import { customerMessage, type Told } from './customer-message';
import { type JudgeInput, judgeBore } from './judge';
import type { Mark } from './mark';
import { sayBore, sayToDo } from './say-bore';
import { sealName } from './say-mark';

// What is said about a mark or a bore is read to a customer: whole sentences with their numbers.

const example = JSON.parse(readFileSync(new URL('../../../docs/contracts/judge.example.json', import.meta.url), 'utf8'))
  .request as JudgeInput;
const PIT: Mark = { id: 'm', kind: 'pit', x0Mm: 38, x1Mm: 39, clock0Deg: 0, clock1Deg: 5, cleaned: true, depthUncertaintyUm: 0 };
const said = (m: Partial<Mark>, more: Partial<JudgeInput> = {}): string | undefined => {
  const mark = { ...PIT, ...m };
  return judgeBore({ ...example, marks: [mark], ...more }, STANDARD_RULES).marks[0]?.reason;
};

describe('a mark', () => {
  test.each<[Partial<Mark>, Partial<JudgeInput>, string]>([
    [{ x0Mm: 5, x1Mm: 6 }, {}, 'A pit clear of every seal, 2.8 mm from the lane of the secondary seal: noted, it may stay.'],
    [
      { kind: 'corrosion', x0Mm: 5, x1Mm: 6 },
      {},
      'Corrosion clear of every seal, 2.8 mm from the lane of the secondary seal: noted, it may stay.',
    ],
    [
      { depthUm: 3.5, depthUncertaintyUm: null },
      {},
      'A pit 3.5 µm deep, 6.5 µm with the doubt of a depth whose uncertainty is not stated, in the way of the primary seal; 5 µm may stay: measure it again, and state how well its depth is known.',
    ],
    [
      { x0Mm: 33, x1Mm: 34, depthUm: 20, depthUncertaintyUm: null },
      {},
      'A pit 20 µm deep, 24 µm with the doubt of a depth whose uncertainty is not stated, where the primary seal rests; 2 µm may stay there. To clear it the bore must be cut to 20.723 mm.',
    ],
    [{ kind: 'stain' }, {}, 'A stain, cleaned: it has no depth.'],
    [{ kind: 'ridge', x0Mm: 1, x1Mm: 3 }, {}, 'A ridge at the mouth, outside every lane, but the cups are pushed past it: polish it away.'],
    [{ kind: 'port-burr' }, {}, 'A port burr in the way of the primary seal: polish it away before a lip is pushed past it.'],
    [{ kind: 'lost-anodising' }, {}, 'Lost anodising: polish the bare spot smooth and note it.'],
    [{ kind: 'score', depthUm: 3 }, {}, 'A score 3 µm deep in the way of the primary seal; 5 µm may stay: polish its edges.'],
    [{ x0Mm: 33, x1Mm: 34, depthUm: 1.5 }, {}, 'A pit 1.5 µm deep, where the primary seal rests; 2 µm may stay there: polish its edges.'],
    [{ cleaned: false }, {}, 'A pit not yet cleaned, in the way of the primary seal: clean it and look again, dirt looks like pits.'],
    [{}, {}, 'A pit of unknown depth in the way of the primary seal: measure how deep it is.'],
    [{ kind: 'crack' }, {}, 'A crack: the body is scrap, wherever it lies.'],
    [{ depthUm: 9 }, { school: 'sleeve-first' }, 'A pit 9 µm deep; this shop sleeves any measurable depth rather than cut it out.'],
    [{ depthUm: 9 }, { school: 'keep-the-skin' }, 'A pit 9 µm deep, deeper than a polish reaches, and the skin is not to be cut: sleeve.'],
    [
      { kind: 'lost-anodising' },
      { school: 'keep-the-skin' },
      'The anodising is lost where a seal runs; the soft metal under it wears: sleeve.',
    ],
    [
      { depthUm: 14 },
      { readings: null },
      'A pit 14 µm deep, more than the 5 µm that may stay: gauge the bore to see whether it can be cut out.',
    ],
  ])('%j %j', (m, more, sentence) => expect(said(m, more)).toBe(sentence));

  test('to be honed away says to what, with its doubt', () => {
    expect(said({ depthUm: 8, depthUncertaintyUm: 2 })).toMatch(
      /^A pit 10 µm deep with its uncertainty in the way of the primary seal; 5 µm may stay\. To clear it the bore must be cut to 20\.\d{3} mm\.$/,
    );
  });

  test('too deep says past which limit, and what a thin wall makes of it', () => {
    const deep = /^A pit 40 µm deep: to clear it the bore must be cut to 20\.\d{3} mm, past the limit of 20\.\d{3} mm: sleeve\.$/;
    expect(said({ depthUm: 40 })).toMatch(deep);
    expect(said({ depthUm: 40 }, { bore: { ...example.bore, wallMm: 2 } })).toMatch(
      /: sleeve\. The wall is too thin for a sleeve: scrap\.$/,
    );
  });
});

describe('a seal’s name', () => {
  test.each([
    ['rear-primary', 'rear primary seal'],
    ['end-seal', 'end seal'],
    ['primary', 'primary seal'],
  ])('%s is the %s', (id, name) => expect(sealName(id)).toBe(name));
});

describe('a bore', () => {
  const whole = { reasons: [], targetDiaMm: null, limitDiaMm: 22.3, uncertaintyMm: 0.0045, marginMm: null, marks: [] };
  test.each([
    ['reuse', 'The bore can be used as it is.'],
    ['sleeve', 'The bore needs a sleeve.'],
    ['scrap', 'The body cannot be saved.'],
    ['undecided', 'Not decided yet: see what is to be done.'],
  ] as const)('%s', (outcome, sentence) => expect(sayBore({ ...whole, outcome }, METRIC)).toEqual([sentence]));

  test('to be honed says to what, and what is to spare', () => {
    expect(sayBore({ ...whole, outcome: 'hone', targetDiaMm: 22.29, marginMm: 0.0055 }, METRIC)).toEqual([
      "Honed to 22.290 mm; with the gauge's uncertainty of 0.004 mm that stays inside the limit of 22.300 mm by 0.005 mm.",
    ]);
  });

  test('names the marks that decide it', () => {
    const marks = [
      { id: 'm1', kind: 'polish' },
      { id: 'm2', kind: 'reuse' },
      { id: 'm3', kind: 'polish' },
    ] as const;
    expect(sayBore({ ...whole, outcome: 'polish', marks }, METRIC)).toEqual(['Polish m1, m3; nothing has to be cut.']);
  });

  test('says every reason, not only the first', () => {
    const reasons = [
      { code: 'worn', highMm: 22.31, limitDiaMm: 22.3, uncertaintyMm: 0.0045, ofSealId: 'left-cup' },
      { code: 'form', ovalityMm: 0.03, taperMm: 0.01, school: 'sleeve-first' },
      { code: 'thin-wall', wallMm: 2.5, minMm: 3 },
    ] as const;
    expect(sayBore({ ...whole, outcome: 'scrap', reasons }, METRIC)).toEqual([
      'Worn out as it is: 22.310 mm at its widest under the left cup seal, and 0.004 mm for the gauge, is past the limit of 22.300 mm.',
      'Out of form where seals run: 0.030 mm oval, 0.010 mm taper. This shop sleeves for that.',
      'The wall of 2.5 mm is thinner than the 3.0 mm that a sleeve needs: it cannot be saved.',
      'The body cannot be saved.',
    ]);
  });
});

describe('what is to be done', () => {
  test.each<[Parameters<typeof sayToDo>[0], string]>([
    [{ what: 'clean', markId: 'm1' }, 'Clean mark m1 and look again.'],
    [{ what: 'measure-depth', markId: 'm1', because: 'unknown' }, 'Measure the depth of mark m1.'],
    [
      { what: 'measure-depth', markId: 'm1', because: 'doubt' },
      'Measure the depth of mark m1 again, and state how well it is known: the doubt decides.',
    ],
    [{ what: 'gauge', of: 'mark', markId: 'm1' }, 'Gauge the bore, so that mark m1 can be judged.'],
    [{ what: 'gauge', of: 'bore' }, 'Gauge the bore.'],
    [
      { what: 'gauge', of: 'lane', sealId: 'rear-primary', role: 'pressure', xMm: [41, 49.625, 58.25] },
      'Gauge the lane of the rear primary seal at 41, 49.63 and 58.25 mm, across three or four clocks: two do not see an oval that lies between them.',
    ],
    [
      { what: 'gauge', of: 'lane', sealId: 'secondary', role: 'secondary', xMm: [12] },
      'Gauge the lane of the secondary seal at 12 mm, across at least two clocks.',
    ],
    [
      { what: 'gauge', of: 'form', xMm: [25, 35], doubtMm: 0.01 },
      'Gauge at 25 and 35 mm: the bore bends there, and between the depths gauged it may be wider by 0.020 mm, which decides.',
    ],
    [
      { what: 'gauge-again', xMm: [30], without: 'hone', withAll: 'sleeve' },
      'Gauge again at 30 mm: a reading there does not fit the others, and it decides: sleeve with it, hone without.',
    ],
    [
      { what: 'check-piston', pistonDiaMm: 22.25, lowMm: 22.23, ofSealId: null },
      'Measure the piston again: 22.250 mm does not pass a bore of 22.230 mm.',
    ],
    [
      { what: 'form', ovalityMm: 0.03, taperMm: 0.01 },
      'A lead decides whether the seals will live with 0.030 mm of ovality and 0.010 mm of taper; the skin is not cut for it.',
    ],
  ])('%j', (toDo, sentence) => expect(sayToDo(toDo, METRIC)).toBe(sentence));
});

test('a person who reads inches is told in inches: lengths, diameters and depths', () => {
  expect(
    sayBore(
      { outcome: 'hone', reasons: [], targetDiaMm: 22.29, limitDiaMm: 22.3, uncertaintyMm: 0.0045, marginMm: 0.0055, marks: [] },
      IMPERIAL,
    ),
  ).toEqual(["Honed to 0.8776 in; with the gauge's uncertainty of 0.0002 in that stays inside the limit of 0.8780 in by 0.0002 in."]);
  expect(sayToDo({ what: 'gauge', of: 'form', xMm: [25.4, 50.8], doubtMm: 0.0127 }, IMPERIAL)).toMatch(
    /^Gauge at 1\.00 and 2\.00 in: .* wider by 0\.0010 in,/,
  );
  const pit = { ...PIT, depthUm: 25.4 };
  const { marks, toDo, reasons } = judgeBore({ ...example, marks: [pit] }, STANDARD_RULES, undefined, IMPERIAL);
  const text = [...marks.map((m) => m.reason), ...toDo.map((t) => t.text), ...reasons].join(' ');
  expect(text).toContain('A pit 0.00100 in deep');
  expect(text).not.toMatch(/\d (mm|µm)\b/);
});

describe('what the customer is told', () => {
  const told = (answer: Partial<Told['answer']>): Told => ({
    unit: 'tandem master, under the booster',
    tag: 'SQ-0031',
    machine: 'Orchard tractor',
    answer: { outcome: 'sleeve', targetDiaMm: null, limitDiaMm: 22.31, marks: [], gauge: null, ...answer },
  });
  const readyAt = new Date(2026, 4, 8, 16).getTime();
  test('what was found, what is done, what it costs, when it is ready, and what is asked, without a word of the bench', () => {
    const text = customerMessage(
      told({ decides: { sealId: 'left-cup', pistonDiaMm: 22.18, limitDiaMm: 22.31, highMm: 22.372 } }),
      85,
      readyAt,
    );
    expect(text).toBe(
      'Your tandem master, under the booster off the Orchard tractor (SQ-0031): we have taken it apart, cleaned it and measured it. ' +
        'It is worn wider inside than a new seal can still close: 22.37 mm, where 22.31 mm is the most. ' +
        'It can be saved: it is bored out and lined with a new sleeve, and is then as good as new inside. ' +
        `It costs 85.00 more than agreed. It would be ready on ${sayFullDate(readyAt)}. ` +
        'May we go on? Please tell us yes or no; until then it waits.',
    );
    expect(text).not.toMatch(/lane|µm|uncertainty|target|m1|parked|swept/);
  });
  test('places eaten in are counted; a price that stays and a day that is open are not made up', () => {
    const mark = { id: 'm1', zone: 'swept', nearestSealId: 'x', distanceMm: 0, outcome: 'sleeve', needsDiaMm: null, reason: '' } as const;
    const text = customerMessage(told({ marks: [mark, { ...mark, id: 'm2' }, { ...mark, id: 'm3', outcome: 'polish' }] }), null, null);
    expect(text).toMatch(/there are 2 places eaten in too deeply/);
    expect(text).not.toMatch(/costs|ready/);
    expect(customerMessage(told({}), 0, null)).toMatch(/It costs no more than agreed\./);
  });
});

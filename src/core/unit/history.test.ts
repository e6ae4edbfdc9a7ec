import { expect, test } from 'vitest';
import { foldHistory, type HistoryLine, undoable } from './history';

const line = (id: string, more: Partial<HistoryLine> = {}): HistoryLine => ({
  id,
  at: Number(id),
  by: 'Joss',
  personId: 'joss',
  kind: 'part-recorded',
  note: '',
  undone: false,
  ...more,
});

test('like steps in a row are told once, with how many and when the last was', () => {
  expect(foldHistory([line('5'), line('4'), line('3')])).toEqual([{ ...line('5'), count: 3 }]);
});

test('another person, another kind, another note, or an undoing stands for itself', () => {
  const lines = [
    line('6'),
    line('5', { by: 'Pell' }),
    line('4'),
    line('3', { note: 'strip' }),
    line('2', { undone: true }),
    line('1', { kind: 'gauged' }),
  ];
  expect(foldHistory(lines).map((l) => [l.id, l.count])).toEqual(lines.map((l) => [l.id, 1]));
});

test('nothing is lost: the counts add up', () => {
  const lines = Array.from({ length: 40 }, (_, i) => line(String(40 - i), { by: i % 7 < 4 ? 'Joss' : 'Pell' }));
  const folded = foldHistory(lines);
  expect(folded.reduce((sum, l) => sum + l.count, 0)).toBe(40);
  expect(folded.length).toBeLessThan(lines.length);
  expect(foldHistory([])).toEqual([]);
});

test('only the last step that stands can be taken back, by whoever made it', () => {
  const joss = { id: 'joss', name: 'Joss', role: 'technician', bench: null } as const;
  const lines = [line('4', { kind: 'undone' }), line('3', { undone: true }), line('2'), line('1')];
  expect(undoable(lines, joss)?.id).toBe('2');
  expect(undoable(lines, { ...joss, id: 'pell' })).toBeUndefined();
  expect(undoable([line('9', { personId: 'pell' }), ...lines], joss)).toBeUndefined();
  expect(undoable([line('9', { kind: 'released' }), ...lines], joss)).toBeUndefined();
  expect(undoable([], joss)).toBeUndefined();
});

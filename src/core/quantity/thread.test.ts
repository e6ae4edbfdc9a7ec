import { describe, expect, test } from 'vitest';
import { THREADS, threadsLike } from './thread';

const names = (...read: Parameters<typeof threadsLike>): readonly string[] => threadsLike(...read).map((g) => g.thread.name);

describe('a thread from what is measured', () => {
  test.each<[string, Parameters<typeof threadsLike>[0], readonly string[]]>([
    ['a metric line nut', { of: 'screw', diaMm: 9.9, pitchMm: 1 }, ['M10x1']],
    ['an inch line nut, its pitch taken over ten turns', { of: 'screw', diaMm: 9.43, pitchMm: 1.06 }, ['3/8-24']],
    ['the larger inch nut of two pitches', { of: 'screw', diaMm: 11.0, pitchMm: 1.06 }, ['7/16-24']],
    ['a port of 10 mm, across its crests', { of: 'port', diaMm: 9.0, pitchMm: 1 }, ['M10x1']],
    ['nothing of the kind', { of: 'screw', diaMm: 25 }, []],
    ['a size with a pitch that none has', { of: 'screw', diaMm: 9.9, pitchMm: 2 }, []],
  ])('%s', (_, read, want) => expect(names(read)).toEqual(want));

  test('without a pitch, all that the size allows are named, the nearest first', () => {
    expect(names({ of: 'screw', diaMm: 9.9 })).toEqual(['M10x1', 'M10x1.25', 'M10x1.5']);
    expect(names({ of: 'screw', diaMm: 7.85 })).toEqual(['5/16-24', 'M8x1', 'M8x1.25']);
  });

  test('every thread is told from the others by its own size and pitch, as a screw and as a port', () => {
    for (const { name, diaMm, pitchMm } of THREADS) {
      expect(names({ of: 'screw', diaMm: diaMm - 0.1, pitchMm })[0]).toBe(name);
      expect(names({ of: 'port', diaMm: diaMm - 1.0825 * pitchMm + 0.1, pitchMm })[0]).toBe(name);
    }
  });
});

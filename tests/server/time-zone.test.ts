import { spawnSync } from 'node:child_process';
import { expect, test } from 'vitest';

// A zone is read when a process starts, so each is a process of its own. Times worked out by hand from the zones' offsets.

const said = (zone: string, at: string, now: string): readonly string[] => {
  const script = `
    import { sayWhen, sayDate } from '@/core/quantity/say-time';
    import { iCalendar } from '@/core/unit/calendar';
    const [at, now] = [Date.parse('${at}'), Date.parse('${now}')];
    const feed = iCalendar([{ id: 'a', at, title: 't', text: '', alarm: false }], now);
    console.log(JSON.stringify([sayWhen(at, now), sayDate(at), /DTSTART:(\\S+)/.exec(feed)?.[1]]));`;
  const { stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', script], {
    encoding: 'utf8',
    env: { ...process.env, TZ: zone },
  });
  if (stdout === '') throw new Error(stderr);
  return JSON.parse(stdout) as readonly string[];
};

test.each<[zone: string, at: string, now: string, words: string, day: string]>([
  ['UTC', '2026-11-28T23:30Z', '2026-11-28T12:00Z', 'today 23:30', '28 Nov 2026 23:30'],
  // 13 h ahead in November: the same moment is the next day's noon.
  ['Pacific/Auckland', '2026-11-28T23:30Z', '2026-11-28T12:00Z', 'today 12:30', '29 Nov 2026 12:30'],
  // 3 h 30 behind, a half-hour zone.
  ['America/St_Johns', '2026-11-29T02:00Z', '2026-11-28T12:00Z', 'today 22:30', '28 Nov 2026 22:30'],
  // Clocks go back in the night between: 25 h from midnight to midnight are one day.
  ['Europe/Berlin', '2026-10-25T23:30Z', '2026-10-24T22:30Z', 'Mon 0:30', '26 Oct 2026 0:30'],
  // And forward: 23 h are one day too.
  ['Europe/Berlin', '2026-03-29T22:30Z', '2026-03-28T23:30Z', 'Mon 0:30', '30 Mar 2026 0:30'],
])('%s: %s seen at %s', (zone, at, now, words, day) => {
  expect(said(zone, at, now)).toEqual([words, day, `${at.replace(/[-:]|Z/g, '')}00Z`]);
});

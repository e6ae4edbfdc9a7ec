import { afterEach, describe, expect, test } from 'vitest';
import { parseHours, saySpans } from './hours';
import { whyClosed } from './open-hours';
import { localeOf, ShopSettings, STANDARD_SHOP } from './settings';
import { settingsChanged } from './what-changed';

afterEach(() => {
  globalThis.eddrinLocale = undefined;
});

describe('hours of a day', () => {
  test.each([
    ['8-12 13-17', '8:00–12:00 13:00–17:00'],
    ['7:30–12, 13:15–16', '7:30–12:00 13:15–16:00'],
    ['8 to 12 and 13 to 17', '8:00–12:00 13:00–17:00'],
    ['0-24', '0:00–24:00'],
    ['closed', ''],
    ['  ', ''],
  ])('%s', (typed, said) => {
    const read = parseHours(typed);
    expect(read.ok && saySpans(read.value)).toBe(said);
  });

  test.each([
    ['eight till late', 'are no hours'],
    ['12-8', 'ends before it begins'],
    ['8-25', 'from 0:00 to 24:00'],
    ['8:75-9', 'from 0:00 to 24:00'],
    ['8-12 11-17', '11:00–17:00 begins before'],
    ['1-2 3-4 5-6 7-8 9-10', 'no more than 4'],
  ])('%s is refused in words', (typed, why) => {
    const read = parseHours(typed);
    expect(read.ok ? '' : read.error).toContain(why);
  });
});

describe('is somebody there', () => {
  const shop = { ...STANDARD_SHOP, closed: [{ from: '2026-12-24', until: '2027-01-06', why: 'stocktaking' }] };
  // A Friday; that hour is another one in Auckland.
  const at = (iso: string) => whyClosed(shop, Date.parse(iso));
  test('by the shop’s own clock, wherever the machine stands', () => {
    globalThis.eddrinLocale = localeOf({ ...shop, timeZone: 'Europe/Vienna' }, []);
    expect(at('2026-11-27T08:00:00Z')).toBeUndefined();
    expect(at('2026-11-27T16:30:00Z')).toBe('On a Friday the shop is open 7:30–12:00 13:00–16:00.');
    globalThis.eddrinLocale = localeOf({ ...shop, timeZone: 'Pacific/Auckland' }, []);
    expect(at('2026-11-27T08:00:00Z')).toBe('On a Friday the shop is open 7:30–12:00 13:00–16:00.');
    expect(at('2026-11-27T20:00:00Z')).toBe('That is a Saturday: the shop is closed.');
  });

  test('not on days that it is closed, from the first to the last', () => {
    globalThis.eddrinLocale = localeOf({ ...shop, timeZone: 'UTC' }, []);
    expect(at('2026-12-23T10:00:00Z')).toBeUndefined();
    for (const day of ['2026-12-24', '2027-01-01', '2027-01-06'])
      expect(at(`${day}T10:00:00Z`)).toBe('The shop is closed that day: stocktaking.');
    expect(at('2027-01-07T10:00:00Z')).toBeUndefined();
  });
});

describe('what an owner sets', () => {
  const faults = (more: object) => {
    const parsed = ShopSettings.safeParse({ ...STANDARD_SHOP, name: 'Ferrybank Hydraulics', ...more });
    return parsed.success ? [] : parsed.error.issues.map((i) => `${i.path.join('.')} ${i.message}`);
  };
  test.each([
    [{ name: '  ' }, ['name what is the shop called?']],
    [{ tagPrefix: 'S2' }, ['tagPrefix is one to five letters']],
    [{ currency: 'QQQ' }, ['currency is a currency’s three letters, such as EUR']],
    [{ timeZone: 'Europe/Atlantis' }, ['timeZone is no time zone that this machine knows, such as Europe/Vienna']],
    [{ hours: { ...STANDARD_SHOP.hours, monday: 'dawn' } }, ['hours.monday “dawn” are no hours: such as 8-12 13-17']],
    [{ closed: [{ from: '2026-02-30', until: '', why: '' }] }, ['closed.0.from is a day, such as 24 Dec']],
    [{ closed: [{ from: '2026-03-02', until: '2026-03-01', why: '' }] }, ['closed.0.until lies before the first day']],
    [{ backup: { ...STANDARD_SHOP.backup, folder: 'backups' } }, ['backup.folder is a whole path, such as /mnt/backup']],
  ])('%j is told', (more, said) => expect(faults(more)).toEqual(said));

  test('two benches of one name are told apart from two of a kind', () => {
    const bench = (id: string, name: string) => ({ id, kind: 'hone' as const, name, holds: 1, branch: '' });
    expect(faults({ places: [bench('a', 'Hone 1'), bench('b', 'Hone 2')] })).toEqual([]);
    expect(faults({ places: [bench('a', 'Hone'), bench('b', 'hone ')] })).toEqual(['places.1.name is the name of another one']);
  });

  test('letters and currency are taken in small letters too', () => {
    expect(ShopSettings.parse({ ...STANDARD_SHOP, name: 'F', tagPrefix: 'fb', currency: 'chf' })).toMatchObject({
      tagPrefix: 'FB',
      currency: 'CHF',
    });
  });

  test('what became otherwise is said line by line, and nothing where nothing did', () => {
    expect(settingsChanged(STANDARD_SHOP, STANDARD_SHOP)).toEqual([]);
    const now = {
      ...STANDARD_SHOP,
      telephone: '0555 1',
      hours: { ...STANDARD_SHOP.hours, saturday: '9-12' },
      places: STANDARD_SHOP.places.slice(1),
    };
    expect(settingsChanged(STANDARD_SHOP, now)).toEqual([
      'Telephone: 0555 1, was none',
      'Open on Saturday: 9-12, was none',
      'Benches: Bath (bath, 6 at a time), Rig (test rig, 1 at a time), was Hone (hone, 1 at a time), Bath (bath, 6 at a time), Rig (test rig, 1 at a time)',
    ]);
  });
});

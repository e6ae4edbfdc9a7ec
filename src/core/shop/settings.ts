import { z } from 'zod';
import { LANGUAGE, type Locale } from '../locale';
import { STANDARD_TEMPLATES, TemplatesSchema } from '../message/template';
import { IMPERIAL, METRIC, type Units } from '../quantity/units';
import { crossCheck, entriesOf, fieldOf } from '../schema/cross-check';
import { LATER } from '../schema/stored';
import { Id } from '../schema/target';
import { text } from '../schema/text';
import { MOST_BRANCHES } from './branch';
import { DAYS, parseHours, type WeekHours } from './hours';
import { DaysOffSchema, HoursSchema, type HoursTyped } from './hours-schema';
import { PRACTICE_LETTERS } from './practice-tag';

/** Places that units wait for: each does one thing at a time, or as many as it holds. */
export const PLACE_KINDS = ['hone', 'bath', 'rig'] as const;
export const PLACE_KIND_WORDS: { readonly [K in (typeof PLACE_KINDS)[number]]: string } = { hone: 'hone', bath: 'bath', rig: 'test rig' };

const zoneName = text()
  .trim()
  .max(60)
  .min(1, 'which time zone?')
  .refine(isTimeZone, 'is no time zone that this machine knows, such as Europe/Vienna');
const currencyName = text()
  .trim()
  .max(3, 'is a currency’s three letters, such as EUR')
  .toUpperCase()
  .refine((c) => Intl.supportedValuesOf('currency').includes(c), 'is a currency’s three letters, such as EUR');
export const MOST_PLACES = 60;
const FIELDS = {
  name: text().trim().min(1, 'what is the shop called?').max(80),
  address: text().trim().max(300),
  telephone: text().trim().max(40),
  /** One line more on certificates and travellers. */
  onPapers: text().trim().max(300),
  tagPrefix: text()
    .trim()
    .max(5, 'is one to five letters')
    .toUpperCase()
    .regex(/^[A-Z]{1,5}$/, 'is one to five letters')
    .refine((letters) => letters !== PRACTICE_LETTERS, 'are those of practice units: choose others'),
  /** The next tag has this number, or one more than the last where that is more. */
  nextTag: z.number('which number?').int().min(1).max(900_000_000),
  currency: currencyName,
  decimalMark: z.enum(['.', ',']),
  length: z.enum(['mm', 'in']),
  pressure: z.enum(['bar', 'psi']),
  timeZone: zoneName,
  hours: HoursSchema,
  /** Days on which nobody is there. */
  closed: DaysOffSchema,
  /** Places that the shop is in, where it is in several. */
  branches: z
    .array(z.object({ id: Id, name: text().trim().min(1, 'what is it called?').max(40) }))
    .max(MOST_BRANCHES)
    .register(LATER, { standard: [] }),
  places: z
    .array(
      z.object({
        id: Id,
        kind: z.enum(PLACE_KINDS),
        name: text().trim().min(1, 'what is it called?').max(40),
        /** Units at a time. */
        holds: z.number('how many at a time?').int().min(1).max(200),
        /** Empty: the first of the branches. */
        branch: text().max(100).register(LATER, { standard: '' }),
      }),
    )
    .max(MOST_PLACES),
  backup: z.object({
    /** By the shop's clock; each night at this hour. */
    hour: z.number('at which hour?').int().min(0).max(23),
    keep: z.number('how many?').int().min(1).max(400),
    /** A second place for each copy, such as a network drive; empty for none. */
    folder: text()
      .trim()
      .max(500)
      .refine((f) => f === '' || f.startsWith('/') || /^[A-Za-z]:[\\/]/.test(f), 'is a whole path, such as /mnt/backup'),
    /** Older than so many days, owner and leads are warned. */
    warnDays: z.number('after how many days?').int().min(1).max(60),
  }),
  /** Its words to customers. */
  templates: TemplatesSchema.register(LATER, { standard: STANDARD_TEMPLATES }),
};

/** What an owner sets of the shop. Faults across fields are said with all others. */
export const ShopSettings = crossCheck(z.object(FIELDS), (value, report) => {
  for (const list of ['places', 'branches'] as const) {
    const names = entriesOf(fieldOf(value, list)).map((p) =>
      String(p.name ?? '')
        .trim()
        .toLowerCase(),
    );
    for (const [i, name] of names.entries())
      if (name !== '' && names.indexOf(name) < i) report([list, i, 'name'], 'is the name of another one');
  }
});
export type ShopSettings = z.output<typeof ShopSettings>;

/** A shop of which nothing was set yet; what a demo and a shop of before stands at. */
export const STANDARD_SHOP: ShopSettings = {
  name: '',
  address: '',
  telephone: '',
  onPapers: '',
  tagPrefix: 'SQ',
  nextTag: 1,
  currency: 'EUR',
  decimalMark: '.',
  length: 'mm',
  pressure: 'bar',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  hours: {
    monday: '7:30-12 13-17',
    tuesday: '7:30-12 13-17',
    wednesday: '7:30-12 13-17',
    thursday: '7:30-12 13-17',
    friday: '7:30-12 13-16',
    saturday: '',
    sunday: '',
  },
  closed: [],
  branches: [],
  places: [
    { id: 'hone-1', kind: 'hone', name: 'Hone', holds: 1, branch: '' },
    { id: 'bath-1', kind: 'bath', name: 'Bath', holds: 6, branch: '' },
    { id: 'rig-1', kind: 'rig', name: 'Rig', holds: 1, branch: '' },
  ],
  backup: { hour: 2, keep: 14, folder: '', warnDays: 3 },
  templates: STANDARD_TEMPLATES,
};

/** The hours of a week, read. */
export const weekHours = (typed: HoursTyped): WeekHours =>
  Object.fromEntries(
    DAYS.map((d) => {
      const read = parseHours(typed[d]);
      return [d, read.ok ? read.value : []];
    }),
  ) as unknown as WeekHours;

/** The units that a bench begins with: temperature and force go with the lengths. */
export const unitsOfShop = (s: Pick<ShopSettings, 'length' | 'pressure'>): Units => ({
  ...(s.length === 'mm' ? METRIC : IMPERIAL),
  pressure: s.pressure,
});

/** @param former letters of tags that the shop had before */
export const localeOf = (s: ShopSettings, former: readonly string[]): Locale => ({
  tagPrefixes: [s.tagPrefix, ...former.filter((f) => f !== s.tagPrefix)],
  letterhead: [s.name, s.address.replace(/\s*\n\s*/g, ', '), s.telephone, s.onPapers].filter((line) => line !== ''),
  decimalMark: s.decimalMark,
  currency: s.currency,
  timeZone: s.timeZone,
});

function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat(LANGUAGE, { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

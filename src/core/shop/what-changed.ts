import { capital } from '../capital';
import { TEMPLATE_NAMES, TEMPLATES } from '../message/template';
import { branchOf } from './branch';
import { DAY_WORDS, DAYS } from './hours';
import { PLACE_KIND_WORDS, type ShopSettings } from './settings';

const PLAIN = {
  name: 'name',
  address: 'address',
  telephone: 'telephone',
  onPapers: 'line on papers',
  tagPrefix: 'letters of tags',
  nextTag: 'next tag',
  currency: 'currency',
  decimalMark: 'decimal mark',
  length: 'lengths in',
  pressure: 'pressures in',
  timeZone: 'time zone',
} as const;

/** What one set of settings has otherwise than the one before it, a line each: `Telephone: 1234, was 0`. Empty where nothing is. */
export const settingsChanged = (was: ShopSettings, now: ShopSettings): readonly string[] => {
  const lines: (string | undefined)[] = [
    ...Object.entries(PLAIN).map(([key, words]) => line(words, was[key as keyof typeof PLAIN], now[key as keyof typeof PLAIN])),
    ...DAYS.map((d) => line(`open on ${DAY_WORDS[d]}`, was.hours[d], now.hours[d])),
    line('closed days', was.closed.map(sayClosed).join(', '), now.closed.map(sayClosed).join(', ')),
    line('branches', was.branches.map((b) => b.name).join(', '), now.branches.map((b) => b.name).join(', ')),
    line('benches', was.places.map(sayPlace(was)).join(', '), now.places.map(sayPlace(now)).join(', ')),
    line('hour of the backup', was.backup.hour, now.backup.hour),
    line('backups kept', was.backup.keep, now.backup.keep),
    line('second folder of backups', was.backup.folder, now.backup.folder),
    line('days until the warning about backups', was.backup.warnDays, now.backup.warnDays),
    ...TEMPLATE_NAMES.map((t) => line(`words for “${TEMPLATES[t].label}”`, was.templates[t], now.templates[t])),
  ];
  return lines.filter((l) => l !== undefined);
};

const line = (what: string, was: string | number, now: string | number): string | undefined =>
  was === now ? undefined : `${capital(what)}: ${now === '' ? 'none' : now}, was ${was === '' ? 'none' : was}`;
const sayClosed = (c: ShopSettings['closed'][number]): string =>
  `${c.from}${c.until === '' ? '' : ` to ${c.until}`}${c.why === '' ? '' : ` (${c.why})`}`;
const sayPlace =
  ({ branches }: ShopSettings) =>
  (p: ShopSettings['places'][number]): string => {
    const at = branchOf(branches, p.branch);
    return `${p.name} (${PLACE_KIND_WORDS[p.kind]}, ${p.holds} at a time${at === undefined ? '' : `, ${at.name}`})`;
  };

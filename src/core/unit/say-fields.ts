import { upTo } from '../quantity/figure';
import { FATE_WORDS } from '../strip/fate';

type Values = Readonly<Record<string, unknown>>;

/** Fields of a row or a request that say nothing to a person. */
const SILENT = /^(id|.+Id|at|.+At|seq|version|digest|unitId|slotId)$/;
const NAMES: Readonly<Record<string, string>> = {
  condition: 'as it came out',
  faces: 'lip',
  dims: 'measured',
  checks: 'inspected',
  goesIn: 'in its place',
  allowed: 'let back',
  pistonDiaMm: 'thinnest piston',
  qty: 'how many',
};

/** `targetDiaMm` → target dia, mm. */
const nameOf = (field: string): string =>
  NAMES[field] ??
  field
    .replace(/(Mm|Um|Bar|Deg|Nm|KPa|Ml)$/, '')
    .replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)
    .trim();

const sayValue = (value: unknown): string => {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return upTo(value, 3);
  if (typeof value === 'string') return value in FATE_WORDS ? FATE_WORDS[value as keyof typeof FATE_WORDS] : value.slice(0, 80);
  if (Array.isArray(value)) return `${value.length} of them`;
  const said = sayFields(value as Values);
  return said.length === 0 ? 'nothing' : said.join(', ');
};

/** The fields of a row or a request in words, one after another: `as it came out good`. */
export const sayFields = (values: Values): readonly string[] =>
  Object.entries(values).flatMap(([field, value]) =>
    SILENT.test(field) || value === undefined
      ? []
      : // What is new of something stands one level down.
        field === 'news'
        ? sayFields(value as Values)
        : [`${nameOf(field)} ${sayValue(value)}`],
  );

/** What changed of a row, field by field: `as it came out: good → bent`. */
export const sayChanged = (was: Values, now: Values): readonly string[] =>
  Object.keys(was).flatMap((field) => (SILENT.test(field) ? [] : [`${nameOf(field)}: ${sayValue(was[field])} → ${sayValue(now[field])}`]));

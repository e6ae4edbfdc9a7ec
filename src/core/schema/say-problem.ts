import { capital } from '../capital';
import type { Problem } from './problems';

/** Fields as they stand on the screen; another is called by its own name. */
const FIELDS: Readonly<Record<string, string>> = {
  nominalMm: 'Bore as cast or listed',
  morePotsMm: 'Bore of a further pot',
  promisedAt: 'Promised for',
  identityMarks: 'Marks on it',
  complaintText: 'In their own words',
  comebackTag: 'Its old tag',
  phone: 'Telephone',
  position: 'Where on the machine',
  choice: 'Family',
  diaMm: 'Diameter',
  xMm: 'Depth',
  clockDeg: 'Clock',
  depthUm: 'Depth of the mark',
  depthUncertaintyUm: '± of the depth',
  bodyTempC: 'Body, temperature',
  gaugeTempC: 'Gauge, temperature',
  afterMm: 'Narrowest after',
  beforeMm: 'Narrowest before',
  rpm: 'Turns a minute',
  wallMm: 'Thinnest wall',
  maxDiaMm: 'Largest bore',
  source: 'Manual, and where in it',
  nm: 'Torque',
  pedalRatio: 'Pedal ratio',
  longMm: 'Hole, longest',
  shortMm: 'Hole, shortest',
  pinMm: 'Pin',
  qty: 'How many',
  endsAt: 'Until',
  atMs: 'When',
  fromMm: 'Measures from',
  toMm: 'Measures to',
};

/** What goes on from the name of what it is about. */
const GOES_ON = /^(is|are|must|cannot|lies|has|have|ends|a chance lies)\b/;

/** `targetDiaMm` → Target dia. */
const nameOf = (field: string): string => {
  const words = field
    .replace(/(Mm|Um|Bar|Deg|Nm|KPa|Ml|Id)$/, '')
    .replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`)
    .trim();
  return FIELDS[field] ?? capital(words);
};

/** One thing that is wrong, as a sentence that names the field as it stands on the screen, and the row where there are several. */
export const sayProblem = ({ path, message }: Problem): string => {
  const parts = path.split(/[.[\]]/).filter((p) => p !== '');
  const field = parts.findLast((p) => !/^\d+$/.test(p));
  const row = parts.findLast((p) => /^\d+$/.test(p));
  const ends = /[.?!]$/.test(message) ? '' : '.';
  if (field === undefined) return `${capital(message)}${ends}`;
  const name = `${nameOf(field)}${row === undefined ? '' : `, row ${Number(row) + 1},`}`;
  return GOES_ON.test(message) ? `${name} ${message}${ends}` : `${name.replace(/,$/, '')}: ${message}${ends}`;
};

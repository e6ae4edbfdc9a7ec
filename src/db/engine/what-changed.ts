import { sayChanged } from '@/core/unit/say-fields';
import type { TrackedName } from '../records/registry';
import type { Tx } from './connection';
import type { RowChange } from './event-payload';
import { rowsById } from './rows-by-id';

/** What a row is, in front of its name. */
const ROWS: { readonly [T in TrackedName]: string } = {
  units: 'unit',
  gaugings: 'gauging',
  marks: 'mark',
  verdicts: 'judgement',
  parts: '',
  steps: 'sign-off of',
  bags: 'bag',
  identities: 'identity',
  timers: 'wait',
  runs: 'run',
  signatures: 'signature of',
  photos: 'photo',
  guideTicks: 'step of the guide',
  treatments: 'treatment',
  findings: 'finding',
  honePasses: 'pass',
  underlays: 'photo under the map',
  sleevings: 'sleeving',
  approvals: 'question to the customer',
  quotes: 'quote',
  benchRecords: 'bench note',
  readings: 'reading',
  stockMoves: 'stock',
  orders: 'order',
  certificates: 'certificate',
  makersLimits: 'maker’s limit',
  torques: 'torque',
};
/** Rows that others tell of. */
const UNTOLD: readonly TrackedName[] = ['readings', 'stockMoves'];
/** Rows that an event tells of, and events back from now that are told in full. */
const [MOST_ROWS, MOST_EVENTS] = [6, 10];

/**
 * What each of some events did to each row, in words with both values: `stop washer: as it came out: nothing → good`. Told of the last ten
 * events and six rows of each, with how many more: somebody may come back to a page of yesterday.
 * @param events the oldest first, up to now: what a row became by one is what it was before the next
 */
export const whatChanged = async (tx: Tx, events: readonly (readonly RowChange[])[]): Promise<readonly (readonly string[])[]> => {
  const told = events.slice(-MOST_EVENTS);
  const rows = new Map<string, Values | undefined>();
  for (const table of new Set(told.flat().map((c) => c.table))) {
    const ids = told.flat().flatMap((c) => (c.table === table ? [c.id] : []));
    const now = await rowsById(tx, table, ids);
    for (const id of ids) rows.set(`${table} ${id}`, now.get(id) as Values | undefined);
  }
  // From now backward: each event takes its rows back to what they were before it.
  const lines = [...told].reverse().map((changes) => {
    const seen = changes.filter((c) => !UNTOLD.includes(c.table));
    const said = seen.slice(0, MOST_ROWS).flatMap((c) => sayRow(c, rows.get(`${c.table} ${c.id}`)));
    for (const c of changes) {
      const key = `${c.table} ${c.id}`;
      rows.set(key, c.how === 'added' ? undefined : { ...rows.get(key), ...c.was });
    }
    return seen.length > MOST_ROWS ? [...said, `and ${seen.length - MOST_ROWS} more`] : said;
  });
  return [...events.slice(0, events.length - told.length).map(() => []), ...lines.reverse()];
};

type Values = Readonly<Record<string, unknown>>;
const sayRow = (change: RowChange, after: Values | undefined): readonly string[] => {
  const was = change.how === 'added' ? {} : change.was;
  const { name, label, station, kind } = { ...was, ...after } as Values;
  const own = change.table === 'units' ? '' : String(name ?? label ?? station ?? kind ?? '');
  const fields = change.how === 'changed' && after !== undefined ? sayChanged(was, after) : [change.how];
  return fields.length === 0 ? [] : [`${[ROWS[change.table], own].filter(Boolean).join(' ')}: ${fields.join('; ')}`];
};

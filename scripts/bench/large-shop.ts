import { readFileSync } from 'node:fs';
import { type Client, createClient } from '@libsql/client';
import { FITMENTS } from '../../demo/fitments';

const MIGRATION = 'src/db/engine/migrations/0002_large_shops.sql';
const BREAK = '--> statement-breakpoint';

/**
 * A copy of a demo shop with many units that have left (each with customer, job, a cause found and the fitment it was; one in fifty came
 * back) and many fitments in its store.
 * @param file of the copy @param n units and fitments in it
 */
export async function largeShop(demoUrl: string, file: string, n: { readonly units: number; readonly fitments: number }): Promise<string> {
  const demo = createClient({ url: demoUrl });
  await demo.execute(`vacuum into '${file}'`);
  demo.close();
  const url = `file:${file}`;
  const shop = createClient({ url });
  await shop.execute('pragma journal_mode = wal');
  await shop.batch(
    FILL.map((sql) => ({ sql, args: { n: n.units } })),
    'write',
  );
  await withFitments(shop, n.fitments);
  await countedAnew(shop);
  shop.close();
  return url;
}

const UNITS = `with recursive s(i) as (select 1 union all select i + 1 from s where i < :n)`;
const machineOf = `(case i % 6 when 0 then 'airport tug' when 1 then 'orchard tractor' when 2 then 'quarry dumper' when 3 then 'tram works car' when 4 then 'fire tender' else 'straddle truck' end) || ' ' || (i % 97)`;
const T0 = 1_600_000_000_000;
const FILL = [
  `${UNITS} insert into customers (id, name, phone, created_at) select 'lc-' || i, 'Customer ' || i || ' of ' || (i * 7919 % 1000003), '014', ${T0} from s where i <= max(1, cast(:n as integer) / 20)`,
  `${UNITS} insert into jobs (id, customer_id, machine, promised_at, created_at)
   select 'lj-' || i, 'lc-' || (1 + i % max(1, cast(:n as integer) / 20)), ${machineOf}, ${T0} + i, ${T0} + i from s`,
  `create temp table bag as select * from bags limit 1`,
  `create temp table verdict as select v.* from verdicts v join units u on u.id = v.unit_id where u.family = 'wheel-double' limit 1`,
  `create temp table template as select * from units where exit = 'released' and family = 'wheel-double' limit 1`,
  `${UNITS} insert into units (id, job_id, tag_no, family, variant_id, position, identity_marks, material, geometry, piston_dia_mm, due_at, created_at, version, changed_at, station, outcome, target_dia_mm, bore_changed_at, exit, exit_at, comes_back_from)
   select 'lu-' || i, 'lj-' || i, 100000 + i, family, null, position, 'CAST ' || (i % 5003), material, geometry, piston_dia_mm, ${T0} + i, ${T0} + i, 1, ${T0} + i * 1000, 'release', outcome, target_dia_mm, ${T0}, 'released', ${T0} + i * 1000,
     case when i > 1 and i % 50 = 0 then 'lu-' || (i - 1) end from s, template order by i`,
  `${UNITS} insert into findings (id, unit_id, at, person_id, about, name, answer)
   select 'lf-' || i, 'lu-' || i, ${T0} + i, 'maren-oreland', 'cause', case i % 3 when 0 then 'air' when 1 then 'cup-leaks' else 'bore-marked' end, 'yes' from s`,
  `${UNITS} insert into identities (id, unit_id, fitment_id, label, measured, at, person_id)
   select 'li-' || i, 'lu-' || i, 'lfit-' || (i % 500), 'one of many', json_object('strokeMm', json_object('value', 12 + (i % 9) / 10.0)), ${T0} + i, 'maren-oreland' from s`,
  // What the Book goes by: the way of each, the bag that it took, and how a bore was judged.
  `${UNITS} insert into taught_units (unit_id, way, minutes, waits, at)
   select 'lu-' || i, case i % 4 when 0 then 'hone' when 1 then 'sleeve' else 'reuse' end, '{"strip":20,"hone":30}', '{}', ${T0} + i * 1000 from s`,
  `${UNITS} insert into bags (id, unit_id, article_id, lot_id, number, name, lot_code, expires_at, qty, items, at, opened_at, opened_by, findings, kept, spoilt)
   select 'lb-' || i, 'lu-' || i, article_id, lot_id, 'K-' || (i % 40), name, 'L' || (i % 900), expires_at, qty, items, ${T0} + i, opened_at, opened_by, '[]', '[]', '[]' from s, bag`,
  `${UNITS} insert into verdicts (id, unit_id, pot, gauging_id, rule_set_id, at, person_id, outcome, input, answer)
   select 'lv-' || i, 'lu-' || i, 1, null, rule_set_id, ${T0} + i, person_id, outcome, input, answer from s, verdict where i % 5 = 0`,
  'drop table template',
  'drop table bag',
  'drop table verdict',
];

const withFitments = async (shop: Client, n: number): Promise<void> => {
  const rows = Array.from({ length: n }, (_, i) => {
    const f = FITMENTS[i % FITMENTS.length] as (typeof FITMENTS)[number];
    return {
      sql: 'insert into fitments (id, machine, maker, year_from, year_to, family, position, features, kits, note, changed_at) values (?,?,?,?,?,?,?,?,?,?,?)',
      args: [
        `lfit-${i}`,
        `${f.machine} no. ${i}`,
        f.maker,
        f.yearFrom,
        f.yearTo,
        f.family,
        f.position,
        JSON.stringify(f.features),
        JSON.stringify(f.kits),
        f.note,
        T0,
      ],
    };
  });
  for (let i = 0; i < rows.length; i += 2000) await shop.batch(rows.slice(i, i + 2000), 'write');
};

/** Where complaints stood when the counts were first made, and where they stand since. */
const [THEN, NOW] = [
  'JOIN `jobs` `j` ON `j`.`id` = `c`.`job_id`, json_each(`j`.`complaints`)',
  'JOIN `units` `u` ON `u`.`id` = `c`.`unit_id`, json_each(`u`.`complaints`)',
] as const;
/** The counts as the migration makes them from what is there. */
const countedAnew = async (shop: Client): Promise<void> => {
  const statements = readFileSync(MIGRATION, 'utf8')
    .split(BREAK)
    .filter((s) => /INSERT INTO `tallies`|VIEW `confirmed`/.test(s))
    .map((s) => s.replace(THEN, NOW));
  await shop.batch(['delete from tallies', ...statements, 'analyze'], 'write');
};

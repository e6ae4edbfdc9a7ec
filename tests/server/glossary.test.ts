import { readFileSync } from 'node:fs';
import { getTableName, is, Table } from 'drizzle-orm';
import { describe, expect, test } from 'vitest';
import { RULE_NAMES, RULES } from '@/core/rules/rule-set';
import { SCHOOL_WORDS } from '@/core/rules/school';
import { STATION_WORDS } from '@/core/station';
import * as tables from '@/db/tables';
import { PLACES } from '@/ui/shell/places';

const text = readFileSync('docs/glossary.md', 'utf8');
/** Words that stand in the first column, each for itself. */
const words = [...text.matchAll(/^\| ([^|]+) \|/gm)].flatMap((m) => [m[1] ?? '', ...(m[1] ?? '').split(', ')]);

describe('the glossary has a line for', () => {
  test.each([...PLACES.map((p) => p.text), ...Object.values(STATION_WORDS), ...RULE_NAMES.map((n) => RULES[n].label)])('%s', (word) =>
    expect(words).toContain(word),
  );
  test.each(Object.values(SCHOOL_WORDS))('the school %s', (word) => expect(text).toContain(word));
  test.each(Object.values(tables).flatMap((t) => (is(t, Table) ? [getTableName(t)] : [])))('the table %s', (name) =>
    expect(words).toContain(`\`${name}\``),
  );
});

import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { afterAll, expect, test } from 'vitest';

// Each rule is proved by a small tree of sources that breaks it, outside `src/`.

const folders: string[] = [];
afterAll(() => {
  for (const folder of folders) rmSync(folder, { recursive: true, force: true });
});

const said = (files: Readonly<Record<string, string>>): string => {
  const root = join(mkdtempSync(join(tmpdir(), 'eddrin-')), 'src');
  folders.push(dirname(root));
  for (const [name, text] of Object.entries(files)) {
    mkdirSync(dirname(join(root, name)), { recursive: true });
    writeFileSync(join(root, name), text);
  }
  const { stdout, stderr } = spawnSync(process.execPath, ['scripts/boundaries.mjs', root], { encoding: 'utf8' });
  return stdout + stderr;
};

const PURE = 'core/ is pure';
const DRAWS = 'ui/ draws from props';
const THIN = 'Only db/ speaks SQL';

test.each<[from: string, name: string, why: string]>([
  ['core/gauge/a.ts', '@/db/engine/connection', PURE],
  ['core/gauge/a.ts', '../../db/engine/connection', PURE],
  ['core/gauge/a.ts', '@/ui/drawing/tag', PURE],
  ['core/a.ts', '../ui/drawing/tag', PURE],
  ['core/a.ts', '@/csv/read-table', PURE],
  ['core/a.ts', '../ports/rig-run', PURE],
  ['core/a.ts', '../app/_server/act', PURE],
  ['core/a.ts', 'node:fs', PURE],
  ['core/a.ts', 'fs', PURE],
  ['core/a.ts', 'react', PURE],
  ['core/a.ts', 'drizzle-orm/sqlite-core', PURE],
  ['core/a.ts', 'pino', PURE],
  ['ui/a.tsx', '@/db/engine/connection', DRAWS],
  ['ui/kit/a.tsx', '../../db/engine/connection', DRAWS],
  ['ui/a.tsx', '../ports/rig-run', DRAWS],
  ['ui/a.tsx', 'better-auth/react', DRAWS],
  ['ui/a.tsx', '@/app/_server/act', DRAWS],
  ['papers/a.ts', '../db/engine/connection', 'papers/ are made in threads'],
  ['papers/a.ts', '@/ui/save/use-save', 'papers/ are made in threads'],
  ['app/a.ts', 'drizzle-orm', THIN],
  ['app/a.ts', '@libsql/client', THIN],
  ['app/a.ts', '@/db/tables', 'Only db/ reads its tables'],
  ['app/a.ts', '../db/tables/units', 'Only db/ reads its tables'],
  ['db/a.ts', '@/app/_server/act', 'db/ knows core/ only'],
  ['db/a.ts', '../ui/drawing/tag', 'db/ knows core/ only'],
  ['db/a.ts', 'next/headers', 'db/ knows core/ only'],
  ['csv/a.ts', '../db/engine/connection', 'csv/ knows core/ only'],
  ['ports/a.ts', '../ui/drawing/tag', 'ports/ knows core/ only'],
  ['core/a.ts', '../../demo/kits', 'nothing from outside it'],
])('%s may not import %s', (from, name, why) => {
  expect(said({ [from]: `import { x } from '${name}';\nexport const y = x;\n` })).toContain(why);
});

test.each<[how: string, text: string]>([
  ['a type', "import type { x } from '../db/engine/connection';"],
  ['again', "export { x } from '../db/engine/connection';"],
  ['late', "export const x = () => import('../db/engine/connection');"],
  ['for what it does', "import '../db/engine/connection';"],
  ['over lines', "import {\n  x,\n  y,\n} from '../db/engine/connection';"],
])('an import is seen also %s', (_, text) => {
  expect(said({ 'core/a.ts': `${text}\n` })).toContain(PURE);
});

test('a circle of files is told, and of core’s folders, also where no file goes round', () => {
  const round = said({
    'ui/a.ts': "import type { b } from './b';\nexport type a = b;\n",
    'ui/b.ts': "import type { a } from '@/ui/a';\nexport type b = a;\n",
  });
  expect(round).toContain('a circle of files: ui/a.ts ↔ ui/b.ts');
  const folderRound = said({
    'core/one/a.ts': "import { b } from '../two/b';\nexport const a = b;\n",
    'core/two/b.ts': 'export const b = 1;\n',
    'core/two/c.ts': "import { d } from '../three/d';\nexport const c = d;\n",
    'core/three/d.ts': "import { e } from '../one/e';\nexport const d = e;\n",
    'core/one/e.ts': 'export const e = 1;\n',
  });
  expect(folderRound).toContain('a circle of folders: core/one ↔ core/two ↔ core/three');
  expect(folderRound).not.toContain('circle of files');
});

test('what is allowed passes', () => {
  const text = (name: string): string => `import { x } from '${name}';\nexport const y = x;\n`;
  expect(
    said({
      'core/a.ts': text('zod'),
      'core/kit/a.ts': text('../a'),
      'core/a.test.ts': text('node:fs'),
      'ui/a.tsx': text('@/core/a'),
      'ui/b.tsx': text('@/app/actions/a'),
      'db/a.ts': text('drizzle-orm'),
      'app/a.ts': text('@/db/a'),
    }),
  ).toContain('boundaries hold');
});

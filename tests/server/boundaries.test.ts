import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { afterEach, expect, test } from 'vitest';

// The lint rules that hold the boundaries are proved with files that break them.

const written: string[] = [];
afterEach(() => {
  for (const file of written.splice(0)) rmSync(file, { force: true });
});

const lint = (file: string, text: string): string => {
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, text);
  written.push(file);
  const { stdout, stderr } = spawnSync(process.execPath, ['node_modules/@biomejs/biome/bin/biome', 'lint', file], { encoding: 'utf8' });
  return stdout + stderr;
};

test.each<[string, string, string]>([
  ['src/core/breaks-boundary.ts', "import { theDb } from '@/db/engine/connection';\nexport const x = theDb;\n", 'core/ is pure'],
  ['src/core/breaks-boundary.ts', "import { readFileSync } from 'node:fs';\nexport const x = readFileSync;\n", 'core/ is pure'],
  ['src/core/breaks-boundary.ts', "import { useState } from 'react';\nexport const x = useState;\n", 'core/ is pure'],
  ['src/core/bore/breaks-boundary.ts', "import { Tag } from '@/ui/drawing/tag';\nexport const x = Tag;\n", 'core/ is pure'],
  ['src/ui/breaks-boundary.ts', "import { theDb } from '@/db/engine/connection';\nexport const x = theDb;\n", 'ui/ draws from props'],
  ['src/ui/breaks-boundary.ts', "import { theRig } from '@/ports/rig-run';\nexport const x = theRig;\n", 'ui/ draws from props'],
  ['src/app/breaks-boundary.ts', "import { eq } from 'drizzle-orm';\nexport const x = eq;\n", 'Only db/ speaks SQL'],
  ['src/app/breaks-boundary.ts', "import { units } from '@/db/tables';\nexport const x = units;\n", 'Only db/ speaks SQL'],
  ['src/db/breaks-boundary.ts', "import { act } from '@/app/_server/act';\nexport const x = act;\n", 'know core/ only'],
  ['src/csv/breaks-boundary.ts', "import { Tag } from '@/ui/drawing/tag';\nexport const x = Tag;\n", 'know core/ only'],
  ['src/core/breaks-boundary.ts', "import Papa from 'papaparse';\nexport const x = Papa;\n", 'core/ is pure'],
  ['src/ports/breaks-boundary.ts', "import { Tag } from '@/ui/drawing/tag';\nexport const x = Tag;\n", 'know core/ only'],
])('%s: %s is refused', (file, text, why) => {
  expect(lint(file, text)).toContain(why);
});

test('what is allowed passes', () => {
  expect(lint('src/core/breaks-boundary.ts', "import { z } from 'zod';\nexport const x = z;\n")).not.toContain('noRestrictedImports');
  expect(lint('src/ui/breaks-boundary.ts', "import { judgeBore } from '@/core/judge/judge';\nexport const x = judgeBore;\n")).not.toContain(
    'noRestrictedImports',
  );
});

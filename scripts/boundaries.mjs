// node scripts/boundaries.mjs [root]: what may import what, checked on resolved paths, and no circles. Plain Node; exits 1 with every break.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { builtinModules } from 'node:module';
import { dirname, join, relative, resolve } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

/** What a layer may import of the project, and which packages. A package goes by its name, with its scope. */
export const LAYERS = {
  core: { of: ['core'], packages: ['zod', 'zod-openapi', 'highs'], why: 'core/ is pure: it imports only core/, Zod and the solver.' },
  db: { of: ['core', 'db'], not: ['react', 'next', 'pino'], why: 'db/ knows core/ only.' },
  ports: { of: ['core', 'ports'], not: ['react', 'next'], why: 'ports/ knows core/ only.' },
  csv: { of: ['core', 'csv'], not: ['react', 'next', 'node'], why: 'csv/ knows core/ only.' },
  ui: {
    of: ['core', 'csv', 'ui'],
    not: ['drizzle-orm', '@libsql/client', 'better-auth'],
    why: 'ui/ draws from props: it imports neither db/ nor ports/.',
  },
  app: {
    of: ['core', 'db', 'ports', 'csv', 'ui', 'app'],
    not: ['drizzle-orm', '@libsql/client'],
    why: 'Only db/ speaks SQL; app/ is thin.',
  },
};
/** Within db/, only itself reads its tables. */
const OWN = { 'db/tables': 'db' };

// node scripts/boundaries.mjs [folder of sources]: who may import whom, on resolved paths, and no circles. Exits with 1 and says every break.
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { isBuiltin } from 'node:module';
import { dirname, join, relative, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';

/**
 * What each layer may import: folders of the project, and packages where they are few (`only`) or where some are kept out (`without`).
 * A package goes by its name, a module of Node's by `node`.
 */
const LAYERS = {
  core: {
    of: ['core'],
    only: ['zod', 'zod-openapi', 'highs', '@date-fns/tz'],
    why: 'core/ is pure: it imports core/, Zod, the solver, and time zones.',
  },
  db: { of: ['core', 'db', 'config.ts', 'log.ts'], without: ['react', 'react-dom', 'next'], why: 'db/ knows core/ only.' },
  ports: { of: ['core', 'ports', 'config.ts', 'log.ts'], without: ['react', 'react-dom', 'next'], why: 'ports/ knows core/ only.' },
  csv: { of: ['core', 'csv'], without: ['react', 'react-dom', 'next', 'node'], why: 'csv/ knows core/ only.' },
  pool: {
    of: ['core', 'csv', 'papers', 'pool', 'config.ts', 'log.ts'],
    without: ['drizzle-orm', '@libsql/client', 'next'],
    why: 'pool/ is given what it works on: no db/, no app/.',
  },
  papers: {
    of: ['core', 'papers', 'ui/drawing', 'ui/bore-map'],
    without: ['drizzle-orm', '@libsql/client', 'next'],
    why: 'papers/ are made in threads from what they are given: drawings, no db/, no app/.',
  },
  ui: {
    of: ['core', 'csv', 'ui', 'app/actions'],
    without: ['drizzle-orm', '@libsql/client', 'better-auth'],
    why: 'ui/ draws from props and asks by actions: no db/, no ports/.',
  },
  app: {
    of: ['core', 'db', 'ports', 'csv', 'ui', 'papers', 'pool', 'app', 'config.ts', 'log.ts', 'metrics.ts'],
    without: ['drizzle-orm', '@libsql/client'],
    why: 'Only db/ speaks SQL; app/ is thin.',
  },
};
/** What only its own layer may import. */
const INNER = { 'db/tables': 'Only db/ reads its tables.' };
/** Layers whose folders stand in an order: none leads back to itself. */
const ORDERED = ['core'];

const IMPORT =
  /(?:^|[\s;])(?:import|export)\b[^'"`;]*?\bfrom\s*['"]([^'"]+)['"]|\bimport\s*\(\s*['"]([^'"]+)['"]|(?:^|\n)\s*import\s*['"]([^'"]+)['"]/g;

/** Everything that the sources below a folder break; empty where all holds. Tests may reach across. */
export function breaksOf(root) {
  const files = walk(root);
  const importsOf = new Map(files.map((file) => [file, importsIn(root, file)]));
  const said = [];
  for (const [file, imports] of importsOf) {
    const from = relative(root, file);
    const layer = LAYERS[from.split('/')[0]];
    if (layer === undefined || isTest(file)) continue;
    for (const { name, target } of imports) {
      const broken = target === undefined ? packageBreak(layer, packageOf(name)) : pathBreak(root, layer, from, target);
      if (broken !== undefined) said.push(`${from}: ${name}: ${broken}`);
    }
  }
  const inProject = new Map(
    [...importsOf]
      .filter(([f]) => !isTest(f))
      .map(([f, i]) => [relative(root, f), i.flatMap((x) => (x.target === undefined ? [] : [relative(root, x.target)]))]),
  );
  for (const circle of circlesIn(inProject)) said.push(`a circle of files: ${circle.join(' ↔ ')}`);
  for (const layer of ORDERED)
    for (const circle of circlesIn(folders(inProject, layer))) said.push(`a circle of folders: ${circle.join(' ↔ ')}`);
  return said;
}

const isTest = (file) => file.includes('.test.');

const walk = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((e) =>
    e.isDirectory() ? walk(join(folder, e.name)) : /\.(ts|tsx|mts|js|mjs)$/.test(e.name) ? [join(folder, e.name)] : [],
  );

const importsIn = (root, file) =>
  [...readFileSync(file, 'utf8').matchAll(IMPORT)].map((m) => {
    const name = m[1] ?? m[2] ?? m[3];
    return { name, target: resolved(root, file, name) };
  });

/** The file that an import means; undefined for a package. */
const resolved = (root, file, name) => {
  const path = name.startsWith('@/') ? join(root, name.slice(2)) : name.startsWith('.') ? resolve(dirname(file), name) : undefined;
  if (path === undefined) return undefined;
  return ['', '.ts', '.tsx', '/index.ts'].map((end) => path + end).find((p) => existsSync(p) && /\.\w+$/.test(p)) ?? path;
};

const packageOf = (name) =>
  isBuiltin(name)
    ? 'node'
    : name
        .split('/')
        .slice(0, name.startsWith('@') ? 2 : 1)
        .join('/');

const packageBreak = (layer, name) => {
  const allowed = layer.only === undefined ? !layer.without.includes(name) : layer.only.includes(name);
  return allowed ? undefined : layer.why;
};

const pathBreak = (root, layer, from, target) => {
  const to = relative(root, target);
  if (to.startsWith('..')) return 'src/ imports nothing from outside it.';
  if (!layer.of.some((path) => to === path || to.startsWith(`${path}/`))) return layer.why;
  const inner = Object.keys(INNER).find((path) => to.startsWith(path));
  return inner !== undefined && from.split('/')[0] !== inner.split('/')[0] ? INNER[inner] : undefined;
};

/** Which folder of a layer imports which. */
const folders = (graph, layer) => {
  const edges = new Map();
  const folderOf = (file) =>
    file
      .split('/')
      .slice(0, 2)
      .join('/')
      .replace(/\.tsx?$/, '');
  for (const [file, targets] of graph)
    if (file.startsWith(`${layer}/`)) {
      const from = folderOf(file);
      edges.set(from, [...(edges.get(from) ?? []), ...targets.map(folderOf).filter((to) => to !== from && to.startsWith(`${layer}/`))]);
    }
  return edges;
};

/** Sets of nodes that lead back to themselves: strongly connected, by Tarjan's algorithm. */
const circlesIn = (graph) => {
  const [index, low, stack, found] = [new Map(), new Map(), [], []];
  const visit = (node) => {
    index.set(node, index.size);
    low.set(node, index.get(node));
    stack.push(node);
    for (const next of graph.get(node) ?? []) {
      if (!index.has(next)) visit(next);
      if (stack.includes(next)) low.set(node, Math.min(low.get(node), low.get(next)));
    }
    if (low.get(node) !== index.get(node)) return;
    const circle = stack.splice(stack.indexOf(node));
    if (circle.length > 1 || (graph.get(node) ?? []).includes(node)) found.push(circle);
  };
  for (const node of graph.keys()) if (!index.has(node)) visit(node);
  return found;
};

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const breaks = breaksOf(resolve(process.argv[2] ?? 'src'));
  for (const line of breaks) console.error(`✗ ${line}`);
  console.log(breaks.length === 0 ? 'boundaries hold' : `${breaks.length} breaks`);
  process.exit(breaks.length === 0 ? 0 : 1);
}

// npm run bench: every figure with its peer or floor beside it, in one run; written to docs/benchmarks.md.
import { build, install, needNode, ROOT, run, say } from './steps.mjs';

needNode();
await install();
await build('.next');
say('building the empty page that pages are held against');
await run(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'build', `${ROOT}/scripts/bench/empty-page`],
  {},
  'It did not build.',
  true,
);
await run(process.execPath, ['--import', 'tsx', 'scripts/bench/main.ts'], {}, 'The bench broke off; its words are above.');

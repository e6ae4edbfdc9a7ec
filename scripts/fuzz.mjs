// npm run fuzz [-- --minutes 10 --seed 1]: hostile requests against the demo shop, made up from the actions' own schemas. Ends with 1 where it finds a fault.
import { build, install, needNode, run } from './steps.mjs';

needNode();
await install();
await build('.next');
await run(process.execPath, ['--import', 'tsx', 'scripts/fuzz/main.ts', ...process.argv.slice(2)], {}, 'It found faults; they are above.');

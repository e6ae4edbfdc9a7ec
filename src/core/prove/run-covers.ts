import type { RunAnalysis } from './run-analysis';

/** What a run's verdict and its figures speak of, and what not; by what was run. */
export const RUN_COVERS: { readonly [K in RunAnalysis['kind']]: string } = {
  hold: 'A leak’s interval holds it 95 times in 100, over the usual ways of settling and leaking, at the pressure and temperature of that hold; other pressures, heat and shaking are not in it.',
  port: 'The port was tried as it is closed up here, cold: a rod that is set too long on the machine, or a seal that swells, is not in it.',
  residual: 'What the valve kept over this watch, cold: how long it keeps on the machine is not in it.',
};

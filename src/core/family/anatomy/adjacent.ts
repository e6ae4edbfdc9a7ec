import type { Family, Slot } from '../family';
import type { AdjacentName } from '../family-name';
import { slot } from './parts';

// What comes in beside the cylinders: no bore, so nothing is gauged, judged or honed.

const adjacent = (name: AdjacentName, label: string, proof: Family['proof'], slots: readonly Slot[]): Family => ({
  name,
  label,
  bore: 'none',
  brake: true,
  hasGap: false,
  proof,
  chambers: [],
  slots,
  drawing: null,
});

export const booster = adjacent('booster', 'Vacuum booster', 'by-hand', [
  slot('clevis', 'clevis', 'clevis', { optional: true }),
  slot('boot', 'rod boot', 'boot'),
  slot('filter', 'air filter', 'screen', { optional: true }),
  slot('input-rod', 'input rod', 'pushrod'),
  slot('check-valve', 'vacuum check valve', 'check-valve'),
  slot('valve-grommet', 'check valve grommet', 'grommet'),
  slot('diaphragm', 'diaphragm', 'diaphragm'),
  slot('spring', 'return spring', 'spring'),
  slot('output-rod', 'output rod', 'pushrod'),
  slot('front-seal', 'front seal', 'end-seal'),
]);

export const distributionValve = adjacent('distribution-valve', 'Distribution valve', 'rig', [
  slot('end-plug', 'end plug', 'end-plug'),
  slot('plug-washer', 'plug washer', 'sealing-washer'),
  slot('left-spring', 'left spring', 'spring', { optional: true }),
  slot('shuttle', 'shuttle', 'shuttle'),
  slot('shuttle-seals', 'shuttle seals', 'o-ring', { qty: 2 }),
  slot('right-spring', 'right spring', 'spring', { optional: true }),
  slot('switch', 'warning switch', 'switch', { optional: true }),
]);

export const linkage = adjacent('linkage', 'Pedal linkage', 'none', [
  slot('return-spring', 'return spring', 'spring', { optional: true }),
  slot('split-pin', 'split pin', 'split-pin'),
  slot('pin', 'clevis pin', 'pin'),
  slot('clevis', 'clevis', 'clevis'),
  slot('lever', 'lever', 'lever'),
]);

export const hardLine = adjacent('hard-line', 'Hard line', 'rig', [
  slot('line', 'line', 'hard-line'),
  slot('nuts', 'union nuts', 'union-nut', { qty: 2 }),
]);

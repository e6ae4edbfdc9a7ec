import { queryOf } from '../schema/sheet';
import type { System } from './system';

/** A system as an address carries it. */
export const systemQuery = (system: System): string => queryOf({ system: JSON.stringify(system) }, ['system']);

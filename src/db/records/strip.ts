import { DimsSchema } from '@/core/family/dims-schema';
import { stored } from '@/core/schema/stored';
import type { GuideTick } from '@/core/strip/guide-tick';
import { type TrayPart, TrayPartSchema } from '@/core/strip/tray-schema';
import type { guideTicks, parts } from '../tables';

const Part = stored(TrayPartSchema);
const Dims = stored(DimsSchema);

export const toPart = ({ unitId: _, ...part }: typeof parts.$inferSelect): TrayPart => Part.parse(part);
export const toTick = ({ unitId: _, ...tick }: typeof guideTicks.$inferSelect): GuideTick => ({ ...tick, dims: Dims.parse(tick.dims) });

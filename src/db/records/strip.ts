import { DimsDoor } from '@/core/family/dims-door';
import { stored } from '@/core/schema/stored';
import type { GuideTick } from '@/core/strip/guide-tick';
import { type TrayPart, TrayPartDoor } from '@/core/strip/tray-door';
import type { guideTicks, parts } from '../tables';

const Part = stored(TrayPartDoor);
const Dims = stored(DimsDoor);

export const toPart = ({ unitId: _, ...part }: typeof parts.$inferSelect): TrayPart => Part.parse(part);
export const toTick = ({ unitId: _, ...tick }: typeof guideTicks.$inferSelect): GuideTick => ({ ...tick, dims: Dims.parse(tick.dims) });

import { isPiston } from '../family/carrier';
import type { PartNews } from '../strip/part-news';
import type { TrayPart } from '../strip/tray-schema';
import { factsOf } from './facts-of';
import type { UnitRecord } from './unit-record';

/** What may be put right on a part after Strip was signed off. */
const MAY: readonly string[] = ['note', 'dims', 'checks'];

/**
 * Why one number of a part cannot be put right any more without doing stations over; undefined where nothing that was done since rests on it.
 * @param told the part with the number put right
 */
export const whyTooLate = (record: UnitRecord, part: TrayPart, told: TrayPart, news: PartNews): string | undefined => {
  const other = Object.keys(news).filter((name) => !MAY.includes(name));
  if (other.length > 0) return 'Strip is signed off: a lead reopens it for that.';
  if (isPiston(part) && told.dims.diaMm !== part.dims.diaMm && record.verdicts.length > 0)
    return `The judgement of the bore rests on the diameter of the ${part.name}: a lead reopens Strip, and it is judged again.`;
  const facts = (tray: readonly TrayPart[]): string => JSON.stringify({ ...factsOf({ ...record, tray }), tray: null });
  const after = record.tray.map((p) => (p.id === part.id ? told : p));
  return facts(after) === facts(record.tray)
    ? undefined
    : `What was set aside or tried since rests on the ${part.name}: a lead reopens Strip for that.`;
};

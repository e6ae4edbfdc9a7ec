import { sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import type { Help } from './predicted-cut';
import { shortOf } from './simulation';

/** What to do at the machine, as one instruction. */
export const sayHelp = ({ name, way: { stroke, shortShare } }: Help, blindEnd: boolean, units: Units): string => {
  const mm = (x: number): string => `${sayLength(x, units)} ${units.length}`;
  switch (name) {
    case 'short-strokes':
      return `Short strokes at the bottom: the first ${Math.round(100 * shortShare)} in 100 of each pass ${mm(shortOf(stroke).strokeMm)} long, from where the stones turn there.`;
    case 'more-relief':
      return `Turn further from the bottom: a stroke of ${mm(stroke.strokeMm)}.`;
    case 'shorter-stone':
      return `A shorter stone, ${mm(stroke.stoneLengthMm)}, out of ${blindEnd ? 'the mouth' : 'each end'} by ${mm(stroke.overrunMm)}.`;
    case 'less-overrun':
      return `Less out of ${blindEnd ? 'the mouth' : 'each end'}: ${mm(stroke.overrunMm)}.`;
  }
};

import type { Units } from '../quantity/units';
import { sayFine } from '../set/say-gap';

/** What is tried on a booster by hand, and what was seen. */
export type CheckValve = { readonly holds: 'holds' | 'leaks'; readonly passes: 'passes' | 'blocked' };
/** What the pedal does, pressed and held with the engine off, when vacuum comes. */
export type PedalAnswer = 'sinks-a-little' | 'stays' | 'sinks-to-floor' | 'rises';
export const PEDAL_WORDS: { readonly [P in PedalAnswer]: string } = {
  'sinks-a-little': 'sinks a little and stands',
  stays: 'does not move',
  'sinks-to-floor': 'goes on sinking',
  rises: 'rises',
};
export const PEDAL_ANSWERS = Object.keys(PEDAL_WORDS) as [PedalAnswer, ...PedalAnswer[]];

type Found = { readonly verdict: 'good' | 'bad'; readonly text: string };

export const checkValveFound = ({ holds, passes }: CheckValve): Found => {
  if (passes === 'blocked') return { verdict: 'bad', text: 'The check valve lets no air through: no vacuum comes. Replace it.' };
  return holds === 'holds'
    ? { verdict: 'good', text: 'The check valve holds one way and passes the other.' }
    : { verdict: 'bad', text: 'The check valve leaks back: the stored vacuum is lost when the engine stops. Replace it.' };
};

/** What the pedal’s answer to vacuum means. */
export const pedalFound = (answer: PedalAnswer): Found => {
  switch (answer) {
    case 'sinks-a-little':
      return { verdict: 'good', text: 'The pedal sinks a little when vacuum comes: the booster helps, as it should.' };
    case 'stays':
      return {
        verdict: 'bad',
        text: 'The pedal does not move when vacuum comes: no vacuum reaches the diaphragm, or its air valve sticks.',
      };
    case 'sinks-to-floor':
      return {
        verdict: 'bad',
        text: 'The pedal goes on sinking: that is the hydraulics and not the booster. A cup passes fluid, or a line leaks.',
      };
    case 'rises':
      return {
        verdict: 'bad',
        text: 'The pedal rises when vacuum comes: the output rod is too long, or the air valve is set wrong. Check the pushrod gap first.',
      };
  }
};

/** Difference of the output rod’s tip to the one it takes the place of: it comes straight off the gap. @param mm lengths from the same face */
export const rodTipText = ({ oldMm, newMm }: { readonly oldMm: number; readonly newMm: number }, units: Units): string => {
  const longer = newMm - oldMm;
  return Math.abs(longer) < 0.005
    ? 'The rod’s tip stands where the old one stood: the gap is as it was.'
    : `The rod’s tip stands ${sayFine(Math.abs(longer), units)} ${units.length} ${longer > 0 ? 'further out' : 'less far out'} than the old one: the gap is ${longer > 0 ? 'smaller' : 'larger'} by as much. Work it out at Set.`;
};

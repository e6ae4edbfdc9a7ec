import type { Family } from '../family/family';
import type { Station } from '../station';

/** What can hurt someone at a station; shown there, short. Manuals, data sheets, local law and licensed people go before. @source design, domain, "Cautions" */
const CAUTIONS: { readonly [S in Station]?: readonly string[] } = {
  strip: [
    'Circlips fly: glasses on, hand over the mouth.',
    'Compressed air drives a piston like a shot: face it into rag and wood, lowest pressure that moves it, nobody in line. No flame in the strip bay.',
  ],
  clean: [
    'Brake fluid strips paint and burns eyes: gloves, glasses, water and soap at hand.',
    'Old lining dust may hold asbestos: wet wipe, never blow.',
  ],
  hone: ['Honing spins a long tool: clamp the body, no gloves near the chuck.'],
  sleeve: ['Boring for a sleeve is licensed machine-shop work: send the drawing and the wall with it.'],
  'close-up': ['Fresh fluid of the unit’s own kind only. No oil and no petroleum grease from here on.'],
  set: ['Zero gap is never allowed: with the port held shut the brakes apply themselves when the fluid warms.'],
  prove: ['Shield shut before pressure. A fine jet at 80 bar goes through skin: never feel for a leak.'],
  release: ['Fitting, bleeding and road test belong to licensed people under local rules; the maker’s manual prevails.'],
};

const BLIND_BORE: { readonly [S in Station]?: string } = { hone: 'Blind end: keep the stone off the bottom.' };

const BY_HAND: { readonly [S in Station]?: readonly string[] } = {
  'close-up': ['The kit’s own grease on its seals, the rest dry: no brake fluid, no oil and no petroleum grease on its rubber.'],
  prove: ['The spring in a booster’s shell is strong: it is parted in a jig only. Vacuum pulls skin in: keep hands off its openings.'],
};

/** What to say at a station of a unit of such a family. */
export const cautionsAt = (station: Station, { bore, proof }: Pick<Family, 'bore' | 'proof'>): readonly string[] => {
  const byHand = proof === 'by-hand' ? BY_HAND[station] : undefined;
  if (byHand !== undefined) return byHand;
  const blind = bore === 'blind' ? BLIND_BORE[station] : undefined;
  return [...(CAUTIONS[station] ?? []), ...(blind === undefined ? [] : [blind])];
};

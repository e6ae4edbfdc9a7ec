import { FAMILIES } from '../family/families';
import { MATERIAL_WORDS } from '../family/material';
import { SCHOOL_WORDS } from '../rules/school';
import { WAY_WORDS } from '../way';

type Info = {
  readonly label: string;
  /** A group as it is said, of what the record holds. */
  readonly say: (stored: string) => string;
  /** Whether a unit may be in several groups at once. */
  readonly many?: true;
};
const worded =
  (words: { readonly [stored: string]: string | { readonly label: string } }) =>
  (stored: string): string => {
    const found = words[stored];
    return found === undefined ? stored : typeof found === 'string' ? found : found.label;
  };

/** By what units that left are laid beside each other. Never by who worked on them. */
export const GROUPINGS = {
  way: { label: 'how the bore was saved', say: worded(WAY_WORDS) },
  school: { label: 'school', say: worded({ ...SCHOOL_WORDS, none: 'not said: as its metal asks' }) },
  margin: {
    label: 'what was to spare at Judge',
    say: worded({ none: 'not judged by a limit', thin: 'under 10 µm', some: '10 to 30 µm', ample: 'over 30 µm' }),
  },
  confidence: {
    label: 'confidence at Judge',
    say: worded({ none: 'none stated', most: '99.9 % or more', high: '99 to 99.9 %', some: '95 to 99 %', less: 'under 95 %' }),
  },
  family: { label: 'family', say: worded(FAMILIES) },
  material: { label: 'metal', say: worded(MATERIAL_WORDS) },
  kit: { label: 'kit', say: String, many: true },
  lot: { label: 'lot', say: String, many: true },
  rules: { label: 'rules', say: (version) => (version === 'none' ? 'not judged' : `version ${version}`) },
  programme: { label: 'proof programme', say: (version) => (version === 'none' ? 'no run' : `version ${version}`) },
  rig: { label: 'what the proof said', say: worded({ passed: 'passed at once', failed: 'failed first', none: 'no run' }) },
} as const satisfies { readonly [name: string]: Info };
export type Grouping = keyof typeof GROUPINGS;
export const GROUPING_NAMES = Object.keys(GROUPINGS) as [Grouping, ...Grouping[]];

export const sayGroup = (by: Grouping, stored: string): string => GROUPINGS[by].say(stored);

import { capital } from '../capital';
import type { Complaint } from './complaint';

/** What a cause does to fluid, to the pedal's travel and force, and to how the brake comes back; each in words that go on from “it”. */
export const EFFECTS = {
  'passes-inside': { of: 'fluid', words: 'fluid passes inside, none is lost' },
  'lost-at-boot': { of: 'fluid', words: 'fluid is lost at the boot' },
  'lost-into-booster': { of: 'fluid', words: 'fluid is lost into the booster, where nobody sees it' },
  'lost-at-wheel': { of: 'fluid', words: 'fluid is lost at the wheel, behind a boot or into a drum' },
  'lost-elsewhere': { of: 'fluid', words: 'fluid is lost at a line or a union' },
  'weeps-at-rest': { of: 'fluid', words: 'it weeps while it stands without pressure' },
  black: { of: 'fluid', words: 'fluid turns black' },
  sinks: { of: 'travel', words: 'the pedal sinks under a steady foot' },
  gone: { of: 'travel', words: 'the pedal goes to the floor' },
  long: { of: 'travel', words: 'travel is lost before it bites' },
  'long-until-pumped': { of: 'travel', words: 'the pedal is low and comes up when it is pumped' },
  soft: { of: 'travel', words: 'the pedal is soft' },
  'drops-on-start': { of: 'travel', words: 'the pedal drops when the vacuum comes' },
  hard: { of: 'force', words: 'the pedal is hard' },
  pulses: { of: 'force', words: 'the pedal pulses as the wheel turns' },
  'stays-on': { of: 'return', words: 'pressure stays on, the more the warmer' },
  'slow-back': { of: 'return', words: 'it comes back slowly or not at all' },
  stuck: { of: 'return', words: 'the piston does not move' },
  'lets-go': { of: 'return', words: 'it lets go while it is held' },
  uneven: { of: 'return', words: 'one side brakes more than the other' },
} as const satisfies { readonly [name: string]: { readonly of: 'fluid' | 'travel' | 'force' | 'return'; readonly words: string } };
export type Effect = keyof typeof EFFECTS;

/** By which effects each complaint is heard. Fluid that is lost in sight may also be seen only in the reservoir: then seldom. */
export const HEARD_BY: { readonly [C in Complaint]: { readonly plainly: readonly Effect[]; readonly seldom?: readonly Effect[] } } = {
  'sinks-slowly': { plainly: ['sinks'] },
  'to-the-floor': { plainly: ['gone'] },
  spongy: { plainly: ['soft'] },
  hard: { plainly: ['hard'], seldom: ['stuck'] },
  drags: { plainly: ['stays-on'], seldom: ['slow-back'] },
  'falls-no-leak': { plainly: ['lost-into-booster', 'lost-elsewhere'], seldom: ['lost-at-wheel', 'lost-at-boot'] },
  'wet-boot': { plainly: ['lost-at-boot', 'lost-at-wheel'], seldom: ['weeps-at-rest'] },
  'black-fluid': { plainly: ['black'] },
  'does-not-return': { plainly: ['slow-back'], seldom: ['stuck', 'stays-on'] },
  'releases-itself': { plainly: ['lets-go'], seldom: ['sinks'] },
  pulls: { plainly: ['uneven'] },
  seized: { plainly: ['stuck'] },
  'low-pumps-up': { plainly: ['long-until-pumped'] },
  'long-travel': { plainly: ['long'], seldom: ['long-until-pumped'] },
  'sinks-on-start': { plainly: ['drops-on-start'], seldom: ['sinks'] },
  pulsates: { plainly: ['pulses'] },
  'weeps-standing': { plainly: ['weeps-at-rest'], seldom: ['lost-at-boot', 'lost-at-wheel'] },
};

/** How often a cause shows an effect. */
export type Does = { readonly often: readonly Effect[]; readonly sometimes?: readonly Effect[]; readonly seldom?: readonly Effect[] };

/** What a cause does, in a sentence: what it does often, then what at times. */
export const sayDoes = ({ often, sometimes = [] }: Does): string => {
  const said = (effects: readonly Effect[]): string => effects.map((e) => EFFECTS[e].words).join(', ');
  const text = `${said(often)}${sometimes.length === 0 ? '' : `; at times ${said(sometimes)}`}`;
  return `${capital(text)}.`;
};

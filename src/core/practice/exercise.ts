import type { System } from '../bleed/system';
import type { Patch } from '../bore-map/patch';
import type { FamilyName } from '../family/family-name';
import type { Geometry } from '../family/geometry';
import type { Seat } from '../quantity/thread';
import type { GapSheet } from '../set/gap-sheet';

export const LEVELS = [1, 2, 3] as const;
export type Level = (typeof LEVELS)[number];

/** How an exercise is answered. */
export type Form =
  /** One of several; the answer is its place. */
  | { readonly kind: 'choose'; readonly options: readonly string[] }
  /** A figure in a unit; right within so much. */
  | { readonly kind: 'number'; readonly unit: 'mm' | 'in' | 'turns' | 'strokes'; readonly within: number; readonly decimals: number }
  /** Things put in order; the answer is their places as they should follow. */
  | { readonly kind: 'order'; readonly items: readonly string[] }
  /** Each thing has one of the options; the answer is an option's place for each. */
  | { readonly kind: 'match'; readonly items: readonly string[]; readonly options: readonly string[] }
  /** Those that are meant; the answer is their places, rising. */
  | { readonly kind: 'pick'; readonly items: readonly string[] };
export type Answer = number | readonly number[];

/** What is shown to an exercise: always from the models that draw real units. */
export type Picture =
  | {
      readonly kind: 'section';
      readonly family: FamilyName;
      readonly nominalMm: number;
      /** Slots whose number is shown, in the order of their numbers. */
      readonly numbered: readonly string[];
      /** Slots that are not drawn. */
      readonly without: readonly string[];
    }
  | { readonly kind: 'vernier'; readonly scale: Scale; readonly reads: number; readonly zeroError: number }
  | { readonly kind: 'dial'; readonly setMm: number; readonly offMm: number; readonly divisionMm: number }
  | { readonly kind: 'seat'; readonly seat: Seat }
  | { readonly kind: 'gap'; readonly sheet: GapSheet }
  | { readonly kind: 'system'; readonly system: System }
  /** Diameters by depth and clock, each shown when it is asked for, so many of them. */
  | {
      readonly kind: 'hidden';
      readonly depthsMm: readonly number[];
      readonly clocksDeg: readonly number[];
      readonly diasMm: readonly (readonly number[])[];
      readonly budget: number;
    }
  | { readonly kind: 'trace'; readonly points: readonly { readonly tS: number; readonly pBar: number }[] }
  /** Fluid pushed in, ml, against the pressure that it made. */
  | { readonly kind: 'filling'; readonly points: readonly { readonly mlIn: number; readonly pBar: number }[] }
  /** A bore unrolled, with its marks by their names. */
  | { readonly kind: 'map'; readonly geometry: Geometry; readonly marks: readonly (Patch & { readonly name: string })[] };

/** A sliding scale: its main divisions and how finely its vernier parts one. */
export type Scale = { readonly unit: 'mm' | 'in'; readonly division: number; readonly parts: number };

/** One thing to be told of what is seen, with the one answer that is right. */
export type Exercise = {
  readonly asks: string;
  readonly facts: readonly string[];
  readonly picture: Picture | null;
  readonly form: Form;
  readonly right: Answer;
  /** In rising plainness; each costs. */
  readonly hints: readonly string[];
  /** Why the right answer is right, by its arithmetic or its rule; of a list, a line for each item. */
  readonly because: readonly string[];
};

/** Whether an answer is the right one: the figure within what a reading is good for, lists as a whole. */
export const isRight = (e: Pick<Exercise, 'form' | 'right'>, answer: Answer): boolean => {
  if (e.form.kind === 'number')
    return typeof answer === 'number' && typeof e.right === 'number' && Math.abs(answer - e.right) <= e.form.within + 1e-9;
  return JSON.stringify(answer) === JSON.stringify(e.right);
};

/** What is told of a wrong answer: of a list, only of what is wrong in it. */
export const whyNot = (e: Exercise, answer: Answer): readonly string[] => {
  const { right, form } = e;
  if (typeof right === 'number' || typeof answer === 'number' || form.kind !== 'match') return e.because;
  return e.because.filter((_, i) => answer[i] !== right[i]);
};

import type { Charges } from '../cost/charge';
import type { OptionKind } from './option-kind';

/** One way to help, as it was offered: what it costs, in whole cents, and when it is ready, ms since 1970; null where nobody can say. */
export type Offered = {
  readonly id: string;
  readonly kind: OptionKind;
  readonly words: string;
  readonly readyAt: number | null;
  readonly charges: Charges;
};

/** What a customer says to a quote: one of its options, or no. */
export type Said = { readonly said: 'picks'; readonly option: string } | { readonly said: 'no' };
/** On its page they may also ask. */
export type Reply = Said | { readonly said: 'asks'; readonly text: string };

/** What the customer said to a quote; `by` is who wrote it down, by id. */
export type QuoteAnswer = Said & { readonly at: number; readonly by: string };

/** A quote as it went out. What it offers is never changed: another takes its place. Times in ms since 1970. */
export type Quote = {
  readonly id: string;
  readonly at: number;
  readonly personId: string;
  readonly validUntil: number;
  /** The shop's words to the customer. */
  readonly words: string;
  readonly options: readonly Offered[];
  /** What its address ends in; whoever has that may answer. */
  readonly key: string;
  readonly questions: readonly { readonly at: number; readonly text: string }[];
  readonly answer: QuoteAnswer | null;
};

/** The option that was picked; undefined where none was. */
export const pickedOf = ({ answer, options }: Pick<Quote, 'answer' | 'options'>): Offered | undefined =>
  answer?.said === 'picks' ? options.find((o) => o.id === answer.option) : undefined;

/** A quote as its customer may have it: an option's id names who supplies it, so each goes by its place. */
export const forCustomer = (q: Quote): Quote => {
  const placeOf = (id: string): string => String(q.options.findIndex((o) => o.id === id));
  const answer = q.answer?.said === 'picks' ? { ...q.answer, option: placeOf(q.answer.option) } : q.answer;
  return { ...q, options: q.options.map((o) => ({ ...o, id: placeOf(o.id) })), answer };
};

/** How a quote stands. Open, picked and refused ones are shown to their customer; of the others nothing is. */
export type QuoteState = 'open' | 'picked' | 'refused' | 'ended' | 'replaced';

/** @param all the unit's quotes, oldest first: the last is the one that counts @param left whether the unit has left the shop */
export const quoteState = (q: Quote, all: readonly Quote[], left: boolean, now: number): QuoteState => {
  if (all.at(-1)?.id !== q.id) return 'replaced';
  if (left || q.validUntil < now) return 'ended';
  return q.answer === null ? 'open' : q.answer.said === 'picks' ? 'picked' : 'refused';
};

/** Questions that a customer may ask about one quote. */
export const MOST_QUESTIONS = 20;

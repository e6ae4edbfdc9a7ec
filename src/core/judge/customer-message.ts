import { fixed } from '../quantity/figure';
import { sayMoney } from '../quantity/say-money';
import { sayFullDate } from '../quantity/say-time';
import type { Judgement } from './judge';

/** What a message to the customer is made of. */
export type Told = {
  /** `wheel cylinder, rear left`. */
  readonly unit: string;
  readonly tag: string;
  readonly machine: string;
  readonly answer: Pick<Judgement, 'outcome' | 'targetDiaMm' | 'limitDiaMm' | 'marks' | 'gauge' | 'decides'>;
};

/** What was found, in words that need no drawing. */
const found = ({ outcome, marks, gauge, limitDiaMm, decides }: Told['answer']): string => {
  const deep = marks.filter((m) => m.outcome === outcome).length;
  const widestMm = decides?.highMm ?? gauge?.maxMm;
  if (deep > 0)
    return `On the inner wall, where the rubber seals run, ${deep === 1 ? 'there is a place' : `there are ${deep} places`} eaten in too deeply for a seal to hold.`;
  if (widestMm !== undefined && widestMm > limitDiaMm)
    return `It is worn wider inside than a new seal can still close: ${fixed(widestMm, 2)} mm, where ${fixed(limitDiaMm, 2)} mm is the most.`;
  return 'Inside it is no longer round and even enough for new seals.';
};

/** What would be done about it. */
const remedy = ({ outcome }: Told['answer']): string => {
  switch (outcome) {
    case 'sleeve':
      return 'It can be saved: it is bored out and lined with a new sleeve, and is then as good as new inside.';
    case 'scrap':
      return 'It cannot be made safe again; it needs to be replaced.';
    case 'hone':
      return 'A fine layer is taken off inside, so that new seals run on clean metal.';
    case 'polish':
    case 'reuse':
      return 'It is good to be used again with new seals.';
    case 'undecided':
      return 'What has to be done to it is not certain yet.';
  }
};

/**
 * A message that a customer understands: what was found, what is to be done, what it costs, when it is ready, and what is asked.
 * @param price added, in the shop's money; null while nobody has said
 * @param readyAt ms since 1970
 */
export const customerMessage = (t: Told, price: number | null, readyAt: number | null): string =>
  [
    `Your ${t.unit} off the ${t.machine} (${t.tag}): we have taken it apart, cleaned it and measured it.`,
    found(t.answer),
    remedy(t.answer),
    ...(price === null
      ? []
      : price === 0
        ? ['It costs no more than agreed.']
        : [`It costs ${sayMoney(Math.abs(price))} ${price > 0 ? 'more' : 'less'} than agreed.`]),
    ...(readyAt === null ? [] : [`It would be ready on ${sayFullDate(readyAt)}.`]),
    'May we go on? Please tell us yes or no; until then it waits.',
  ].join(' ');

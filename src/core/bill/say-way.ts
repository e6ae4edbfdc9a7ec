import { OPTION_WORDS } from '../quote/option-kind';
import { WAY_WORDS } from '../way';
import type { BillWay } from './bill';

/** What was done for the money, in words. */
export const sayBillWay = (way: BillWay): string =>
  way === 'exchange' || way === 'new' || way === 'give-back' ? OPTION_WORDS[way] : WAY_WORDS[way];

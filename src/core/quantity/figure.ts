import { locale } from '../locale';

/** A number with so many decimals, as the shop writes it. */
export const fixed = (value: number, decimals: number): string => marked(value.toFixed(decimals));
/** A number with as many decimals as it needs, and no more than so many. */
export const upTo = (value: number, decimals: number): string => marked(String(Number(value.toFixed(decimals))));
/** A number to so many figures, and no nought at its end. */
export const figures = (value: number, count: number): string => marked(String(Number(value.toPrecision(count))));
/** A number as it is. */
export const plain = (value: number): string => marked(String(value));

/** A sentence that was written with points, as one of delivery or one that was kept: its figures as the shop writes them now. */
export const rewritten = (sentence: string): string => sentence.replace(/\d\.(?=\d)/g, (figure) => marked(figure));

const marked = (text: string): string => {
  const { decimalMark } = locale();
  return decimalMark === ',' ? text.replace('.', ',') : text;
};

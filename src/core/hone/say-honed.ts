import { fixed } from '../quantity/figure';
import type { BorePass } from './bore-pass';
import { TOOLS } from './drive';

/** What was cut, in one line for the record: strokes by tool and grit, and from where to where. Empty where nothing was. */
export const sayHoned = (passes: readonly BorePass[]): string => {
  const [first, last] = [passes[0], passes.at(-1)];
  if (first === undefined || last === undefined) return '';
  const kinds = [...new Set(passes.map((p) => `${TOOLS[p.tool]} ${p.grit}`))];
  const strokes = kinds.map((kind) => {
    const n = passes.filter((p) => `${TOOLS[p.tool]} ${p.grit}` === kind).reduce((sum, p) => sum + p.strokes, 0);
    return `${kind}: ${n} strokes`;
  });
  return `${strokes.join(', ')}; ${fixed(first.beforeMm, 3)} to ${fixed(last.afterMm, 3)} mm`;
};

import { fixed } from '../quantity/figure';
import { sayDepth, sayDia, sayLength } from '../quantity/say';
import type { Units } from '../quantity/units';
import { MARK_WORDS, type Mark } from './mark';
import type { MarkVerdict, Where } from './mark-verdict';
import type { Zone } from './zone';

/** The one place that words a mark's verdict, numbers and all, fit to read to a customer. */
export const sayMark = (mark: Mark, zone: Zone, v: MarkVerdict, units: Units): string => {
  const um = (depthUm: number): string => sayDepth(depthUm, units);
  const depth = (m: Mark, depthUm: number): string => saidDepth(m, depthUm, um);
  const name = nameOf(mark);
  const seal = sealName(zone.nearestSealId);
  switch (v.kind) {
    case 'reuse':
      return v.because === 'stain'
        ? 'A stain, cleaned: it has no depth.'
        : `${name} clear of every seal, ${units.length === 'mm' ? fixed(v.distanceMm, 1) : sayLength(v.distanceMm, units)} ${units.length} from the lane of the ${seal}: noted, it may stay.`;
    case 'polish':
      switch (v.because) {
        case 'mouth':
          return `${name} at the mouth, outside every lane, but the cups are pushed past it: polish it away.`;
        case 'burr':
          return `${name} in the way of the ${seal}: polish it away before a lip is pushed past it.`;
        case 'anodising':
          return 'Lost anodising: polish the bare spot smooth and note it.';
        case 'skin':
          return `${name} ${depth(mark, v.depthUm)}: a polish of ${um(v.stockUm)} on the diameter takes it out and keeps the skin.`;
        case 'shallow':
          return v.where === 'static'
            ? `${name} ${depth(mark, v.depthUm)} under a seal that does not move; ${um(v.tolerated)} may stay there.`
            : `${name} ${depth(mark, v.depthUm)}${place(mark, v.where, seal)}; ${um(v.tolerated)} may stay${v.where === 'parked' ? ' there' : ''}: polish its edges.`;
      }
      break;
    case 'hone':
      return `${name} ${depth(mark, v.depthUm)}${place(mark, v.where, seal)}; ${um(v.tolerated)} may stay${v.where === 'parked' ? ' there' : ''}. To clear it the bore must be cut to ${sayDia(v.needsDiaMm, units)} ${units.length}.`;
    case 'sleeve':
    case 'scrap':
      return `${deepReason(mark, name, v, units)}${v.kind === 'scrap' && v.because !== 'crack' ? ' The wall is too thin for a sleeve: scrap.' : ''}`;
    case 'undecided':
      switch (v.toDo) {
        case 'clean':
          return `${name} not yet cleaned, in the way of the ${seal}: clean it and look again, dirt looks like pits.`;
        case 'look-again':
          return `${name} as it was before the bore was cut${left(v.expectedUm, units)}: look whether it is still there, and how deep.`;
        case 'measure-depth':
          return v.because === 'unknown'
            ? `${name} of unknown depth in the way of the ${seal}: measure how deep it is.`
            : `${name} ${depth(mark, v.depthUm)}${place(mark, v.where, seal)}; ${um(v.tolerated)} may stay: measure it again, and state how well its depth is known.`;
        case 'gauge':
          return `${name} ${depth(mark, v.depthUm)}, more than the ${um(v.tolerated)} that may stay: gauge the bore to see whether it can be cut out.`;
      }
  }
};

/** What should be left after a cut. */
const left = (expectedUm: number | null, units: Units): string =>
  expectedUm === null ? '' : expectedUm === 0 ? '; it should be gone' : `; ${sayDepth(expectedUm, units)} should be left`;

const deepReason = (mark: Mark, name: string, v: Extract<MarkVerdict, { readonly kind: 'sleeve' | 'scrap' }>, units: Units): string => {
  const um = (depthUm: number): string => sayDepth(depthUm, units);
  const depth = (m: Mark, depthUm: number): string => saidDepth(m, depthUm, um);
  switch (v.because) {
    case 'crack':
      return 'A crack: the body is scrap, wherever it lies.';
    case 'anodising':
      return 'The anodising is lost where a seal runs; the soft metal under it wears: sleeve.';
    case 'past-limit':
      return `${name} ${depth(mark, v.depthUm)}: to clear it the bore must be cut to ${sayDia(v.needsDiaMm, units)} ${units.length}, past the limit of ${sayDia(v.limitDiaMm, units)} ${units.length}: sleeve.`;
    case 'static-depth':
      return `${name} ${depth(mark, v.depthUm)} under a seal that does not move; only ${um(v.tolerated)} may stay, and its seat is never honed: sleeve.`;
    case 'school':
      return v.school === 'sleeve-first'
        ? `${name} ${depth(mark, v.depthUm)}; this shop sleeves any measurable depth rather than cut it out.`
        : `${name} ${depth(mark, v.depthUm)}, deeper than a polish reaches, and the skin is not to be cut: sleeve.`;
  }
};

const UNCOUNTED = ['corrosion', 'chatter', 'lost-anodising'];
const nameOf = (mark: Mark): string =>
  UNCOUNTED.includes(mark.kind) ? MARK_WORDS[mark.kind].replace(/^./, (c) => c.toUpperCase()) : `A ${MARK_WORDS[mark.kind]}`;
/** `rear-primary` → rear primary seal; `end-seal` → end seal. */
export const sealName = (id: string): string => `${id.replaceAll('-', ' ')}${/seal$/.test(id) ? '' : ' seal'}`;
/** The depth as it was judged: with what was stated, or with the doubt that counts where nothing was. */
const saidDepth = (mark: Mark, depthUm: number, um: (depthUm: number) => string): string => {
  if (mark.depthUncertaintyUm != null) return `${um(depthUm)} deep${mark.depthUncertaintyUm ? ' with its uncertainty' : ''}`;
  return `${um(mark.depthUm ?? 0)} deep, ${um(depthUm)} with the doubt of a depth whose uncertainty is not stated`;
};
const place = (mark: Mark, where: Where, seal: string): string =>
  where === 'parked' ? `, where the ${seal} rests` : `${mark.depthUncertaintyUm == null ? ',' : ''} in the way of the ${seal}`;

import type { PartKind } from '../family/part-kind';
import { upTo } from '../quantity/figure';
import type { Rules } from '../rules/rule-set';
import type { Checks, TrayPart } from './tray-schema';

/** What a look at a part finds; a word as it is kept, and as it is said. */
export const CHECK_WORDS = {
  clean: 'clean',
  scored: 'scored',
  pitted: 'pitted',
  grooved: 'grooved',
  none: 'none',
  light: 'light',
  'springs back': 'springs back',
  'stays bent': 'stays bent',
  broke: 'broke',
  round: 'round',
  flattened: 'flattened',
  whole: 'whole',
  pulled: 'pulled',
  sharp: 'sharp',
  rounded: 'rounded',
  holds: 'holds',
  leaks: 'leaks',
  passes: 'passes',
  blocked: 'blocked',
  cut: 'cut',
  'bright ring': 'bright ring',
  open: 'open',
  cracked: 'cracked',
  worn: 'worn',
  split: 'split',
  'hard fold': 'hard fold',
};
type CheckWord = keyof typeof CHECK_WORDS;

/** What is looked at or measured on a part: a figure, or one of a few words of which some condemn it. */
export type Check =
  | { readonly name: string; readonly label: string; readonly figure: 'mm'; readonly fine?: true }
  | { readonly name: string; readonly label: string; readonly words: readonly CheckWord[]; readonly bad: readonly CheckWord[] };

export type Inspection = { readonly verdict: 'good' | 'replace' | 'open'; readonly reasons: readonly string[] };

const mm = (name: string, label: string, fine?: true): Check => ({ name, label, figure: 'mm', ...(fine === undefined ? {} : { fine }) });
const word = (name: string, label: string, words: readonly CheckWord[], bad: readonly CheckWord[]): Check => ({ name, label, words, bad });

const LAND = word('land', 'lands', ['clean', 'scored', 'pitted'], ['scored', 'pitted']);
const HOLE: readonly Check[] = [mm('holeMaxMm', 'hole, longest', true), mm('holeMinMm', 'hole, shortest', true), mm('pinMm', 'pin', true)];
const SEAT = word('seat', 'seat', ['clean', 'grooved', 'pitted'], ['grooved', 'pitted']);

/** What is checked on each kind before it is trusted again. @source design, domain, "reuse policy" */
export const CHECKS: { readonly [K in PartKind]?: readonly Check[] } = {
  spring: [
    mm('freeMm', 'free length'),
    mm('newMm', 'free length when new'),
    word('rust', 'rust at the coils', ['none', 'light', 'pitted'], ['pitted']),
    word('bend', 'bend test', ['springs back', 'stays bent', 'broke'], ['stays bent', 'broke']),
  ],
  piston: [LAND, word('skirt', 'skirt', ['clean', 'scored'], ['scored'])],
  plunger: [LAND],
  shuttle: [LAND],
  pushrod: [
    mm('bendMm', 'bend, rolled on a plate'),
    word('tip', 'tip', ['round', 'flattened'], ['flattened']),
    word('thread', 'thread', ['whole', 'pulled'], ['pulled']),
  ],
  circlip: [mm('acrossMm', 'across, free'), mm('grooveMm', 'groove, across'), word('edges', 'edges', ['sharp', 'rounded'], ['rounded'])],
  'check-valve': [
    SEAT,
    word('holds', 'against its way', ['holds', 'leaks'], ['leaks']),
    word('passes', 'its own way', ['passes', 'blocked'], ['blocked']),
  ],
  'residual-valve': [SEAT, word('rubber', 'rubber', ['whole', 'cut'], ['cut'])],
  'bleed-screw': [
    word('thread', 'thread', ['whole', 'pulled'], ['pulled']),
    word('seat', 'cone', ['bright ring', 'grooved', 'pitted'], ['grooved', 'pitted']),
    word('drilling', 'drilling', ['open', 'blocked'], ['blocked']),
  ],
  reservoir: [word('ports', 'ports', ['open', 'blocked'], []), word('body', 'body', ['whole', 'cracked'], ['cracked'])],
  clevis: HOLE,
  lever: HOLE,
  pin: [mm('pinMm', 'pin, thinnest', true), mm('pinNewMm', 'pin, unworn', true)],
  'valve-stem': [word('head', 'head', ['round', 'worn'], ['worn'])],
  diaphragm: [word('skin', 'skin', ['whole', 'split', 'hard fold'], ['split', 'hard fold'])],
};

const figure = (checks: Checks, name: string): number | undefined => {
  const value = checks[name];
  return typeof value === 'number' ? value : undefined;
};
const say = (value: number, digits = 1): string => upTo(value, digits);

/** Verdict of a comparison that two or more figures make; undefined while one is missing. */
type Measured = { readonly bad: boolean; readonly reason: string };

/**
 * Can this part be used again? Every figure against its rule, every word that condemns it.
 * @returns undefined for kinds of which nothing is checked; `open` while something has not been looked at and nothing condemns it yet
 * @source design, domain, "reuse policy"; rules of the shop
 */
export const inspectPart = (part: Pick<TrayPart, 'kind' | 'checks'>, rules: Rules): Inspection | undefined => {
  const checks = CHECKS[part.kind];
  if (checks === undefined) return undefined;
  const bad = checks.flatMap((c) =>
    'words' in c ? c.bad.filter((w) => w === part.checks[c.name]).map((w) => `${c.label}: ${CHECK_WORDS[w]}.`) : [],
  );
  const measured = measuredOf(part, rules);
  const reasons = [...measured.map((m) => m.reason), ...bad];
  if (bad.length > 0 || measured.some((m) => m.bad)) return { verdict: 'replace', reasons };
  const missing = checks.filter((c) => part.checks[c.name] === undefined).map((c) => c.label);
  if (missing.length > 0) return { verdict: 'open', reasons: [...reasons, `Not yet looked at: ${missing.join(', ')}.`] };
  return { verdict: 'good', reasons };
};

const measuredOf = ({ kind, checks }: Pick<TrayPart, 'kind' | 'checks'>, rules: Rules): readonly Measured[] => {
  switch (kind) {
    case 'spring': {
      const [free, fresh] = [figure(checks, 'freeMm'), figure(checks, 'newMm')];
      if (free === undefined || fresh === undefined || fresh <= 0) return [];
      const loss = (100 * (fresh - free)) / fresh;
      return [
        verdict(
          loss <= rules.springLossPct,
          `${say(free)} mm free against ${say(fresh)} mm new: ${say(Math.max(0, loss))} % lost, at most ${say(rules.springLossPct)} %.`,
        ),
      ];
    }
    case 'pushrod': {
      const bend = figure(checks, 'bendMm');
      return bend === undefined
        ? []
        : [verdict(bend <= rules.rodBendMm, `Bent ${say(bend, 2)} mm, at most ${say(rules.rodBendMm, 2)} mm.`)];
    }
    case 'circlip': {
      const [across, groove] = [figure(checks, 'acrossMm'), figure(checks, 'grooveMm')];
      if (across === undefined || groove === undefined || groove <= 0) return [];
      const wider = (100 * (across - groove)) / groove;
      return [
        verdict(wider >= rules.clipSpringPct, `Stands ${say(wider)} % wider than its groove, at least ${say(rules.clipSpringPct)} %.`),
      ];
    }
    case 'clevis':
    case 'lever': {
      const [long, short, pin] = [figure(checks, 'holeMaxMm'), figure(checks, 'holeMinMm'), figure(checks, 'pinMm')];
      return [
        ...(long === undefined || short === undefined
          ? []
          : [
              verdict(long - short <= rules.holeOvalMm, `Hole oval by ${say(long - short, 2)} mm, at most ${say(rules.holeOvalMm, 2)} mm.`),
            ]),
        ...(long === undefined || pin === undefined
          ? []
          : [verdict(long - pin <= rules.holeWearMm, `Pin plays ${say(long - pin, 2)} mm in it, at most ${say(rules.holeWearMm, 2)} mm.`)]),
      ];
    }
    case 'pin': {
      const [thin, fresh] = [figure(checks, 'pinMm'), figure(checks, 'pinNewMm')];
      return thin === undefined || fresh === undefined
        ? []
        : [
            verdict(
              fresh - thin <= rules.holeWearMm / 2,
              `Worn by ${say(fresh - thin, 2)} mm, at most ${say(rules.holeWearMm / 2, 2)} mm.`,
            ),
          ];
    }
    default:
      return [];
  }
};

const verdict = (holds: boolean, reason: string): Measured => ({ bad: !holds, reason });

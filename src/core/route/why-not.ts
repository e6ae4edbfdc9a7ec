import { capital } from '../capital';
import { goesBack } from '../close-up/order';
import { sideOf, wrongSide } from '../close-up/side';
import type { Family } from '../family/family';
import { isFastener, neverReused, PART_KINDS } from '../family/part-kind';
import { FINISHES, type FinishName } from '../finish/finish';
import { type Contact, sayContact, weightOf } from '../fluid/contact';
import type { GapVerdict } from '../set/setup';
import { STATION_WORDS, type Station } from '../station';
import { isSpoilt } from '../strip/condition';
import { unmeasuredPistons } from '../strip/pistons';
import { stripFaults } from '../strip/tray';
import type { TrayPart } from '../strip/tray-schema';
import { lookedAgain, METHODS, type MethodName, toRinse } from '../strip/treatment';
import type { Approved, RouteFacts } from './facts';

/** A condition that a station's work does not meet yet. */
export type WhyNot =
  | { readonly code: 'before'; readonly station: Station }
  | {
      readonly code:
        | 'not-looked'
        | 'no-condition'
        | 'no-fate'
        | 'rubber-reused'
        | 'no-diameter'
        | 'not-in'
        | 'not-new'
        | 'spoilt'
        | 'no-reason'
        | 'not-tightened';
      readonly parts: readonly string[];
    }
  | { readonly code: 'wrong-side'; readonly text: string }
  | { readonly code: 'touch'; readonly contact: Contact }
  | { readonly code: 'curing'; readonly finishes: readonly FinishName[] }
  | { readonly code: 'gap'; readonly verdict: Exclude<GapVerdict, 'ok'> }
  | { readonly code: 'untried' | 'tried-bad'; readonly texts: readonly string[] }
  | { readonly code: 'not-rinsed'; readonly methods: readonly MethodName[] }
  | { readonly code: 'uncleared'; readonly names: readonly string[] }
  | {
      readonly code:
        | 'not-cleaned'
        | 'not-looked-again'
        | 'scrap'
        | 'nothing-set-aside'
        | 'not-joined'
        | 'not-stroked'
        | 'sticks'
        | 'no-gap';
    }
  | { readonly code: 'no-readings' | 'no-verdict'; readonly bores: readonly string[] }
  | { readonly code: 'approval'; readonly stands: Exclude<Approved, 'yes'> }
  | { readonly code: 'not-sent' | 'not-back' }
  | { readonly code: 'open-questions'; readonly texts: readonly string[] }
  | { readonly code: 'uncovered'; readonly parts: readonly string[] }
  | { readonly code: 'unopened'; readonly bags: readonly string[] }
  | { readonly code: 'not-proved' | 'proof-failed' | 'proof-undecided'; readonly steps: readonly string[] }
  | { readonly code: 'waits'; readonly labels: readonly string[] }
  | { readonly code: 'signatures'; readonly have: number; readonly need: number };

/** What a station's own work still lacks before it can be signed off; empty when nothing does. */
export const whyNotDone = (station: Station, f: RouteFacts): readonly WhyNot[] => [...curing(station, f), ...ownWork(station, f)];

/** How many people sign for a release: two where it stops a vehicle. */
export const signaturesFor = (family: Pick<Family, 'brake'>): number => (family.brake ? 2 : 1);

const ownWork = (station: Station, f: RouteFacts): readonly WhyNot[] => {
  switch (station) {
    case 'strip':
      return [...byCode(stripFaults(f.tray)), ...unmeasured(f)];
    case 'clean':
      return [
        ...(f.treatments.some((t) => METHODS[t.method].for === 'cleaning') ? [] : [{ code: 'not-cleaned' as const }]),
        ...(f.uncleared.length === 0 ? [] : [{ code: 'uncleared' as const, names: f.uncleared }]),
      ];
    case 'gauge':
      return f.ungauged.length === 0 ? [] : [{ code: 'no-readings', bores: f.ungauged }];
    case 'judge':
      if (!lookedAgain(f.treatments)) return [{ code: 'not-looked-again' }];
      if (f.verdicts.some((v) => v.outcome === 'scrap')) return [{ code: 'scrap' }];
      return [
        ...(f.unjudged.length === 0 ? [] : [{ code: 'no-verdict' as const, bores: f.unjudged }]),
        ...f.verdicts.flatMap((v) => (v.outcome === 'undecided' ? [{ code: 'open-questions' as const, texts: v.toDo }] : [])),
      ];
    case 'hone':
      return unanswered(f);
    case 'sleeve':
      return [
        ...unanswered(f),
        ...(f.sleeved === 'back' ? [] : [{ code: f.sleeved === 'out' ? ('not-back' as const) : ('not-sent' as const) }]),
      ];
    case 'kit':
      if (f.uncovered === null) return [...unanswered(f), { code: 'nothing-set-aside' }];
      return [...unanswered(f), ...(f.uncovered.length === 0 ? [] : [{ code: 'uncovered' as const, parts: f.uncovered }]), ...unopened(f)];
    case 'close-up':
      return closeUpFaults(f);
    case 'set':
      if (f.gap === null) return [{ code: 'no-gap' }];
      return f.gap === 'ok' ? [] : [{ code: 'gap', verdict: f.gap }];
    case 'prove':
      if (f.family.proof !== 'rig') return tried(f);
      return [
        ...proofThat('open', 'not-proved', f),
        ...proofThat('fail', 'proof-failed', f),
        ...proofThat('hold-longer', 'proof-undecided', f),
      ];
    case 'release': {
      const need = signaturesFor(f.family);
      return [
        ...spoiltIn(f.tray),
        ...(f.waits.length === 0 ? [] : [{ code: 'waits' as const, labels: f.waits }]),
        ...(f.signedBy.length >= need ? [] : [{ code: 'signatures' as const, have: f.signedBy.length, need }]),
      ];
    }
    case 'book-in':
      return [];
  }
};

/** Judge needs the diameter of every piston that came out of a bore. */
const unmeasured = ({ family, tray }: RouteFacts): readonly WhyNot[] => {
  const pistons = family.bore === 'none' ? [] : unmeasuredPistons(tray);
  return pistons.length === 0 ? [] : [{ code: 'no-diameter', parts: pistons.map((p) => p.name) }];
};

/** New parts are laid beside the old ones before those may go: what the bag says is not what is in it. */
export const unopened = (f: Pick<RouteFacts, 'unopened'>): readonly WhyNot[] =>
  f.unopened.length === 0 ? [] : [{ code: 'unopened', bags: f.unopened }];

/** Finishes that hold this station until they have cured. */
export const curing = (station: Station, { curing }: Pick<RouteFacts, 'curing'>): readonly WhyNot[] => {
  const finishes = curing.filter((f) => station === 'release' || (FINISHES[f].holds as readonly Station[]).includes(station));
  return finishes.length === 0 ? [] : [{ code: 'curing', finishes }];
};

/** What touches the new rubber and may not; petroleum is told by its rinse. */
export const touchFaults = (f: Pick<RouteFacts, 'contacts'>): readonly WhyNot[] =>
  f.contacts.flatMap((contact) => (weightOf(contact) === 'stop' && contact.code !== 'used' ? [{ code: 'touch' as const, contact }] : []));

const tried = ({ tried: { missing, bad } }: RouteFacts): readonly WhyNot[] => [
  ...(missing.length === 0 ? [] : [{ code: 'untried' as const, texts: missing }]),
  ...(bad.length === 0 ? [] : [{ code: 'tried-bad' as const, texts: bad }]),
];

const proofThat = (
  stands: RouteFacts['proof'][number]['stands'],
  code: 'not-proved' | 'proof-failed' | 'proof-undecided',
  { proof }: RouteFacts,
): readonly WhyNot[] => {
  const steps = proof.filter((p) => p.stands === stands).map((p) => p.name);
  return steps.length === 0 ? [] : [{ code, steps }];
};

const APPROVAL_WORDS: { readonly [A in Exclude<Approved, 'yes'>]: string } = {
  no: 'The customer said no to this: judge it another way, or hand it back unrepaired.',
  other: 'The customer chose not to have it made good: see its quote, under its options.',
  waiting: 'The customer has been asked, and has not said yes yet.',
  'to-ask': 'It changes price or promise: ask the customer first, at Judge or by a quote.',
};

/** Work that the customer was asked about waits for a yes. */
const unanswered = (f: RouteFacts): readonly WhyNot[] =>
  f.approval === null || f.approval === 'yes' ? [] : [{ code: 'approval', stands: f.approval }];

/** The unit's own parts that are in though they are spoilt, without a lead's word. */
const spoiltIn = (tray: readonly TrayPart[]): readonly WhyNot[] => {
  const spoilt = tray.filter((p) => p.goesIn?.piece === 'same' && isSpoilt(p.condition) && p.allowed === null);
  return spoilt.length === 0 ? [] : [{ code: 'spoilt', parts: spoilt.map((p) => `${p.name} (${p.condition})`) }];
};

/** Nothing may stay on the tray, nothing be missing, every part face as it must, no rubber be used twice, every screw be tight, and it must stroke. */
const closeUpFaults = (f: RouteFacts): readonly WhyNot[] => {
  const wanted = f.tray.filter((p) => goesBack(f.family, p));
  const named = (code: 'not-in' | 'not-new' | 'no-reason' | 'not-tightened', parts: readonly TrayPart[]): readonly WhyNot[] =>
    parts.length === 0 ? [] : [{ code, parts: parts.map((p) => p.name) }];
  const same = wanted.filter((p) => p.goesIn?.piece === 'same');
  return [
    ...byCode(stripFaults(f.tray)),
    ...rinseFaults(f),
    ...touchFaults(f),
    ...named(
      'not-in',
      wanted.filter((p) => p.goesIn === null),
    ),
    ...named(
      'not-new',
      same.filter((p) => p.fate === 'replaced' || p.found === 'absent' || neverReused(p.kind)),
    ),
    ...spoiltIn(wanted),
    ...named(
      'no-reason',
      same.filter((p) => PART_KINDS[p.kind].policy === 'last-resort' && p.note === ''),
    ),
    ...wanted.flatMap((p): readonly WhyNot[] => {
      const text = p.goesIn === null ? undefined : wrongSide(sideOf(f.family, f.tray, p), p, p.goesIn.faces);
      return text === undefined ? [] : [{ code: 'wrong-side', text }];
    }),
    ...named(
      'not-tightened',
      wanted.filter((p) => p.goesIn !== null && isFastener(p.kind) && p.goesIn?.fastened === null),
    ),
    ...(f.halves === 'apart' ? [{ code: 'not-joined' as const }] : []),
    ...(f.family.bore === 'none' || f.stroked === 'by-itself'
      ? []
      : [{ code: f.stroked === 'sticks' ? ('sticks' as const) : ('not-stroked' as const) }]),
  ];
};

/** Petroleum ruins rubber: whatever freed the body is rinsed out, and somebody says so, before new rubber goes in. */
export const rinseFaults = (f: Pick<RouteFacts, 'treatments'>): readonly WhyNot[] => {
  const methods = toRinse(f.treatments);
  return methods.length === 0 ? [] : [{ code: 'not-rinsed', methods }];
};

type PartFault = { readonly code: 'not-looked' | 'no-condition' | 'no-fate' | 'rubber-reused'; readonly part: string };

const byCode = (faults: readonly PartFault[]): WhyNot[] => {
  const codes = [...new Set(faults.map((f) => f.code))];
  return codes.map((code) => ({ code, parts: faults.filter((f) => f.code === code).map((f) => f.part) }));
};

const GAP_STANDS: { readonly [V in Exclude<GapVerdict, 'ok'>]: string } = {
  binding: 'There is no pushrod gap: the brakes would apply themselves. Shorten the rod and measure again.',
  'too-tight': 'The pushrod gap is too tight: shorten the rod and measure again.',
  'too-loose': 'The pushrod gap is too loose: lengthen the rod and measure again.',
  'measure-again':
    'The pushrod gap is not certain: it was read once only, its readings differ, or it lies too near the end of its window. Measure again.',
};

/** The one place that words a condition. */
export const sayWhyNot = (w: WhyNot): string => {
  switch (w.code) {
    case 'before':
      return `First: ${STATION_WORDS[w.station]}.`;
    case 'not-looked':
      return `Not yet recorded, present or absent: ${list(w.parts)}.`;
    case 'no-condition':
      return `Condition not recorded: ${list(w.parts)}.`;
    case 'no-fate':
      return `No fate chosen; nothing may stay on the tray: ${list(w.parts)}.`;
    case 'rubber-reused':
      return `Rubber in the fluid path is never used again: ${list(w.parts)}.`;
    case 'no-diameter':
      return `Measure the diameter first; the bore’s limit rests on it: ${list(w.parts)}.`;
    case 'not-in':
      return `Not in yet: ${list(w.parts)}.`;
    case 'not-new':
      return `Must be new, not the old piece: ${list(w.parts)}.`;
    case 'spoilt':
      return `Not used again, unless a lead lets it and says why: ${list(w.parts)}.`;
    case 'not-rinsed':
      return `Rinse and sign first, at Clean: ${w.methods.map((m) => METHODS[m].label).join(', ')} left petroleum in it, and that ruins new rubber.`;
    case 'not-cleaned':
      return 'Nothing has been done to clean it yet.';
    case 'uncleared':
      return `Not yet seen open: ${list(w.names)}.`;
    case 'not-looked-again':
      return 'Look at the bore again after cleaning, and say so at Clean: dirt looks like pits.';
    case 'no-reason':
      return `Used again though it is usually replaced; say why in its note, and how it was made good: ${list(w.parts)}.`;
    case 'not-tightened':
      return `Say how it was tightened: ${list(w.parts)}.`;
    case 'wrong-side':
      return w.text;
    case 'touch':
      return sayContact(w.contact);
    case 'curing':
      return `It cures: ${w.finishes.map((n) => FINISHES[n].label).join(', ')}. Look at it when its time is over, and say so.`;
    case 'not-joined':
      return 'Join the two halves with the seal between them, and say how their screws were tightened.';
    case 'not-stroked':
      return 'Stroke it by hand: is it free, and does it return by itself?';
    case 'sticks':
      return 'It does not return by itself: take it apart again and find out why.';
    case 'no-gap':
      return 'The pushrod gap has not been measured as it is closed up now.';
    case 'gap':
      return GAP_STANDS[w.verdict];
    case 'untried':
      return `Not tried yet: ${list(w.texts)}.`;
    case 'tried-bad':
      return w.texts.join(' ');
    case 'no-readings':
      return notAsNow(w.bores, 'gauged');
    case 'no-verdict':
      return notAsNow(w.bores, 'judged');
    case 'scrap':
      return 'The body cannot be saved: scrap it or hand it back unrepaired.';
    case 'nothing-set-aside':
      return 'No kit has been set aside for this unit.';
    case 'not-proved':
      return `Not proved yet as it is closed up now: ${w.steps.join('; ')}.`;
    case 'proof-failed':
      return `It failed: ${w.steps.join('; ')}. Find out why and prove it again.`;
    case 'proof-undecided':
      return `The hold did not decide: ${w.steps.join('; ')}. Hold it longer.`;
    case 'approval':
      return APPROVAL_WORDS[w.stands];
    case 'not-sent':
      return 'It has not been sent out to be sleeved.';
    case 'not-back':
      return 'It is out to be sleeved.';
    case 'open-questions':
      return w.texts.length === 0 ? 'The verdict is still open.' : w.texts.join(' ');
    case 'uncovered':
      return `Nothing set aside covers: ${list(w.parts)}.`;
    case 'unopened':
      return `Open ${list(w.bags)} and lay what is in it beside the old parts first.`;
    case 'waits':
      return `Still waited for: ${list(w.labels)}. End each at the unit, or have it ended by whom it rings.`;
    case 'signatures':
      return `${w.have} of ${w.need} signatures; brake parts are signed by two people.`;
  }
};

const notAsNow = (bores: readonly string[], done: string): string =>
  `${capital(bores.join(' and '))} ${bores.length === 1 ? 'has' : 'have'} not been ${done} as ${bores.length === 1 ? 'it is' : 'they are'} now.`;

const list = (parts: readonly string[]): string => parts.join(', ');

import { lookedAgain, METHODS, type MethodName, toRinse } from '../clean/treatment';
import { NEVER_REUSED } from '../close-up/stack-check';
import { partFacing } from '../family/family';
import { stripFaults } from '../strip/tray';
import type { RouteFacts } from './facts';
import { STATION_WORDS, type Station } from './station';

/** A condition that a station's work does not meet yet. */
export type WhyNot =
  | { readonly code: 'before'; readonly station: Station }
  | {
      readonly code: 'not-looked' | 'no-condition' | 'no-fate' | 'rubber-reused' | 'not-in' | 'not-new' | 'facing-unseen';
      readonly parts: readonly string[];
    }
  | { readonly code: 'facing-wrong'; readonly part: string; readonly expected: 'open' | 'blind' }
  | { readonly code: 'not-rinsed'; readonly methods: readonly MethodName[] }
  | { readonly code: 'uncleared'; readonly names: readonly string[] }
  | { readonly code: 'not-cleaned' | 'not-looked-again' | 'no-readings' | 'no-verdict' | 'scrap' | 'nothing-set-aside' | 'not-proved' }
  | { readonly code: 'approval'; readonly stands: 'to-ask' | 'waiting' | 'no' }
  | { readonly code: 'not-sent' | 'not-back' }
  | { readonly code: 'open-questions'; readonly texts: readonly string[] }
  | { readonly code: 'uncovered'; readonly parts: readonly string[] }
  | { readonly code: 'unopened'; readonly bags: readonly string[] }
  | { readonly code: 'proof'; readonly outcome: 'fail' | 'hold-longer' }
  | { readonly code: 'signatures'; readonly have: number; readonly need: number };

/** What a station's own work still lacks before it can be signed off; empty when nothing does. */
export const whyNotDone = (station: Station, f: RouteFacts): readonly WhyNot[] => {
  switch (station) {
    case 'strip':
      return byCode(stripFaults(f.tray));
    case 'clean':
      return [
        ...(f.treatments.some((t) => METHODS[t.method].for === 'cleaning') ? [] : [{ code: 'not-cleaned' as const }]),
        ...(f.uncleared.length === 0 ? [] : [{ code: 'uncleared' as const, names: f.uncleared }]),
      ];
    case 'gauge':
      return f.gauged ? [] : [{ code: 'no-readings' }];
    case 'judge':
      if (!lookedAgain(f.treatments)) return [{ code: 'not-looked-again' }];
      if (f.verdict === null) return [{ code: 'no-verdict' }];
      if (f.verdict.outcome === 'scrap') return [{ code: 'scrap' }];
      return f.verdict.outcome === 'undecided' ? [{ code: 'open-questions', texts: f.verdict.toDo }] : [];
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
    case 'prove':
      if (f.family.proof !== 'rig') return [];
      if (f.proof === null) return [{ code: 'not-proved' }];
      return f.proof === 'pass' ? [] : [{ code: 'proof', outcome: f.proof }];
    case 'release': {
      const need = f.family.brake ? 2 : 1;
      return f.signedBy.length >= need ? [] : [{ code: 'signatures', have: f.signedBy.length, need }];
    }
    case 'book-in':
    case 'set':
      return [];
  }
};

/** New parts are laid beside the old ones before those may go: what the bag says is not what is in it. */
export const unopened = (f: Pick<RouteFacts, 'unopened'>): readonly WhyNot[] =>
  f.unopened.length === 0 ? [] : [{ code: 'unopened', bags: f.unopened }];

/** Work that the customer was asked about waits for a yes. */
const unanswered = (f: RouteFacts): readonly WhyNot[] =>
  f.approval === null || f.approval === 'yes' ? [] : [{ code: 'approval', stands: f.approval }];

/** Nothing may stay on the tray, nothing be missing, every lip face its pressure, no rubber be used twice. */
const closeUpFaults = (f: RouteFacts): readonly WhyNot[] => {
  const slotOf = (id: string) => f.family.slots.find((s) => s.id === id);
  const wanted = f.tray.filter((p) => !(p.found === 'absent' && slotOf(p.slotId)?.optional !== false) && p.fate !== 'binned');
  const faults = [...byCode(stripFaults(f.tray)), ...rinseFaults(f)];
  const add = (code: 'not-in' | 'not-new' | 'facing-unseen', parts: readonly string[]): void => {
    if (parts.length > 0) faults.push({ code, parts });
  };
  add(
    'not-in',
    wanted.filter((p) => p.goesIn === null).map((p) => p.name),
  );
  add(
    'not-new',
    wanted
      .filter((p) => p.goesIn?.piece === 'same' && (p.fate === 'replaced' || p.found === 'absent' || NEVER_REUSED.includes(p.kind)))
      .map((p) => p.name),
  );
  for (const part of wanted) {
    const expected = partFacing(f.family, part);
    if (part.goesIn === null || expected === undefined) continue;
    if (part.goesIn.faces === null) faults.push({ code: 'facing-unseen', parts: [part.name] });
    else if (part.goesIn.faces !== expected) faults.push({ code: 'facing-wrong', part: part.name, expected });
  }
  return faults;
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
    case 'not-in':
      return `Not in yet: ${list(w.parts)}.`;
    case 'not-new':
      return `Must be new, not the old piece: ${list(w.parts)}.`;
    case 'not-rinsed':
      return `Rinse and sign first, at Clean: ${w.methods.map((m) => METHODS[m].label).join(', ')} left petroleum in it, and that ruins new rubber.`;
    case 'not-cleaned':
      return 'Nothing has been done to clean it yet.';
    case 'uncleared':
      return `Not yet seen open: ${list(w.names)}.`;
    case 'not-looked-again':
      return 'Look at the bore again after cleaning, and say so at Clean: dirt looks like pits.';
    case 'facing-unseen':
      return `Say which way the lip faces: ${list(w.parts)}.`;
    case 'facing-wrong':
      return `The ${w.part} faces the wrong way: its lip must open toward the ${w.expected} end, where the higher pressure is.`;
    case 'no-readings':
      return 'The bore has not been gauged as it is now.';
    case 'no-verdict':
      return 'The bore has not been judged as it is now.';
    case 'scrap':
      return 'The body cannot be saved: scrap it or return it as it is.';
    case 'nothing-set-aside':
      return 'No kit has been set aside for this unit.';
    case 'not-proved':
      return 'It has not been held under pressure since it was closed up.';
    case 'approval':
      return w.stands === 'no'
        ? 'The customer said no to this: judge it another way, or return it as it is.'
        : w.stands === 'waiting'
          ? 'The customer has been asked, and has not said yes yet.'
          : 'It changes price or promise: ask the customer first, at Judge.';
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
    case 'proof':
      return w.outcome === 'fail' ? 'It leaked on the rig: find out why and prove it again.' : 'The hold did not decide: hold it longer.';
    case 'signatures':
      return `${w.have} of ${w.need} signatures; brake parts are signed by two people.`;
  }
};

const list = (parts: readonly string[]): string => parts.join(', ');

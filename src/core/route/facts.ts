import type { Family } from '../family/family';
import type { FinishName } from '../finish/finish';
import type { Contact } from '../fluid/contact';
import type { BoreOutcome } from '../judge/outcome';
import type { GapVerdict } from '../set/setup';
import type { Station } from '../station';
import type { TrayPart } from '../strip/tray-schema';
import type { Treatment } from '../strip/treatment';

export type Approved = 'to-ask' | 'waiting' | 'yes' | 'no' | 'other';

/** All about a unit that decides where it may go. */
export type RouteFacts = {
  readonly family: Family;
  /** Stations signed off on the unit as it is now. */
  readonly done: readonly Station[];
  readonly tray: readonly TrayPart[];
  /** Drillings that nobody has seen open yet. */
  readonly uncleared: readonly string[];
  readonly treatments: readonly Pick<Treatment, 'method' | 'at'>[];
  /** Bores without readings of them as they are now. */
  readonly ungauged: readonly string[];
  /** Bores without a saved verdict on those readings. */
  readonly unjudged: readonly string[];
  /** The saved verdicts, one a bore that has one. */
  readonly verdicts: readonly { readonly outcome: BoreOutcome; readonly toDo: readonly string[] }[];
  /** Where the customer's yes to that verdict stands; null where none is asked for. */
  readonly approval: Approved | null;
  /** The body is out to be sleeved, or was and is back; null where it never went. */
  readonly sleeved: 'out' | 'back' | null;
  /** Names of needed parts that nothing set aside for the unit covers; null while nothing has been set aside. */
  readonly uncovered: readonly string[] | null;
  /** Bags set aside that nobody has opened and laid beside the old parts. */
  readonly unopened: readonly string[];
  /** What touches its new rubber; empty where no rubber of a fluid path goes in. */
  readonly contacts: readonly Contact[];
  /** Finishes on it that nobody has found cured yet. */
  readonly curing: readonly FinishName[];
  /** Waits that still run. */
  readonly waits: readonly string[];
  /** Two halves with a seal between them: joined since what is between them went in, or not; null where there is no such half. */
  readonly halves: 'apart' | 'joined' | null;
  /** How it came back when it was stroked by hand, closed up as it is now; null: nobody has. */
  readonly stroked: 'by-itself' | 'sticks' | null;
  /** The gap saved since what bears on it went in, and since the port was last found shut. */
  readonly gap: GapVerdict | null;
  /** What was tried by hand on a part that has no rig, and what was never. */
  readonly tried: { readonly missing: readonly string[]; readonly bad: readonly string[] };
  /** Steps of its programme that must pass, or that failed, as the unit is closed up now. */
  readonly proof: readonly { readonly name: string; readonly stands: 'open' | 'pass' | 'fail' | 'hold-longer' }[];
  readonly signedBy: readonly string[];
};

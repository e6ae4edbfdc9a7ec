import type { Rules } from '../rules/rule-set';
import { CONDITION_WORDS, isSpoilt } from './condition';
import { inspectPart } from './inspect';
import type { TrayPart } from './tray-schema';

/** Why a part may not go back: it is spoilt, or inspection condemned it; undefined where nothing is known against it. */
export const whyNotBack = (part: Pick<TrayPart, 'name' | 'kind' | 'condition' | 'checks'>, rules: Rules): string | undefined => {
  if (part.condition !== null && isSpoilt(part.condition)) return `The ${part.name} is ${CONDITION_WORDS[part.condition]}.`;
  const seen = inspectPart(part, rules);
  return seen?.verdict === 'replace' ? `The ${part.name} does not pass: ${seen.reasons.join(' ')}` : undefined;
};

/** A part that a lead lets go back though something is against it. */
export const letBack = <P extends TrayPart>(part: P, lead: { readonly name: string }, reason: string): P => ({
  ...part,
  fate: 'refitted',
  allowed: { name: lead.name, reason },
});

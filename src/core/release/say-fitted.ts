import { PART_KINDS } from '../family/part-kind';
import type { Rules } from '../rules/rule-set';
import { CHECKS, inspectPart } from '../strip/inspect';
import type { TrayPart } from '../strip/tray-schema';

/** What is in the unit as it leaves: the new pieces, then each of its own, what was looked at, with the numbers, and why it is not new. */
export const sayFitted = (tray: readonly TrayPart[], rules: Rules): readonly string[] => {
  const named = (p: TrayPart): string => `${p.name}${p.qty > 1 ? ` × ${p.qty}` : ''}`;
  const fresh = tray.filter((p) => p.goesIn?.piece === 'new').map(named);
  const own = tray.filter((p) => p.goesIn?.piece === 'same');
  return [
    ...(fresh.length === 0 ? [] : [`New: ${fresh.join(', ')}.`]),
    ...own.map((p) => `${named(p)}: the unit’s own, ${[seen(p, rules), ...because(p)].join('; ')}.`),
  ];
};

/** How the unit's own piece was looked at, or that it was not. */
const seen = (part: TrayPart, rules: Rules): string => {
  const answer = inspectPart(part, rules);
  const words = (CHECKS[part.kind] ?? []).flatMap((c) =>
    'words' in c && part.checks[c.name] !== undefined ? [`${c.label} ${part.checks[c.name]}`] : [],
  );
  const figures = answer?.reasons.filter((r) => /\d/.test(r)).map((r) => r.replace(/\.$/, '')) ?? [];
  const found = [...figures, ...words].join(', ');
  switch (answer?.verdict) {
    case 'good':
      return `inspected: ${found}`;
    case 'replace':
      return `inspected, did not pass: ${found}`;
    case 'open':
      return found === '' ? `not inspected${condition(part)}` : `inspected in part: ${found}`;
    case undefined:
      return part.condition === null ? 'not inspected' : `looked at${condition(part)}`;
  }
};

const condition = (part: TrayPart): string => (part.condition === null ? '' : `, recorded as ${part.condition}`);

/** Why it is not new, where it usually would be. */
const because = ({ kind, note, allowed }: TrayPart): readonly string[] => [
  ...(allowed === null ? [] : [`let back by ${allowed.name}: ${allowed.reason}`]),
  ...(PART_KINDS[kind].policy === 'last-resort' ? [note === '' ? 'why it is not new was not said' : `not new: ${note}`] : []),
];

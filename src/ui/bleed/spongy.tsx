'use client';

import { useState } from 'react';
import { bleedTally } from '@/core/bleed/bleed-guide';
import { BLEED_METHODS } from '@/core/bleed/bleed-method';
import type { System } from '@/core/bleed/system';
import { treeOf } from '@/core/bleed/tree';
import { type Evidence, likelyCauses, testsWorthMaking } from '@/core/book-in/reason';
import type { UnitKind } from '@/core/family/family-name';
import { Causes } from '../strip/causes';
import type { Odds } from './odds';
import type { BleedDraft } from './use-bleed';

/** Which unit the odds are asked of: the one that pushes the fluid. */
const kindOf = ({ master, lines, ends }: System): UnitKind =>
  master.kind === 'lever'
    ? 'master-lever'
    : treeOf(lines).roots.length > 1
      ? 'master-tandem'
      : ends.every((e) => e.kind === 'clutch')
        ? 'slave'
        : 'master-single';

/** It is still spongy: the likely causes of Book in, with what was tried. */
export function Spongy({ draft, odds, onAgain }: { readonly draft: BleedDraft; readonly odds: Odds; readonly onAgain: () => void }) {
  const [tests, setTests] = useState<Evidence['tests']>([]);
  const evidence: Evidence = { kind: kindOf(draft.system), complaints: ['spongy'], before: ['just-bled'], tests };
  const likely = likelyCauses(evidence, odds.model, odds.finished);
  const { strokes, rounds } = bleedTally(draft.events);
  return (
    <section aria-label="Still spongy" className="grid gap-3">
      <h2 className="text-2xl font-bold">Still spongy</h2>
      <p>
        Tried: {BLEED_METHODS[draft.method].label}
        {strokes > 0 && `, ${strokes} strokes`}, {rounds - 1} {rounds === 2 ? 'round' : 'rounds'}. Before another: is every screw the
        highest point of its body, is every shoe and pad set, does the pedal come up when it is pumped twice?
      </p>
      <button type="button" className="btn min-h-16 text-lg" onClick={onAgain}>
        Bleed it again from the first end
      </button>
      <Causes
        likely={likely}
        next={testsWorthMaking(
          likely,
          tests.map((t) => t.name),
        )}
        tests={tests}
        finished={odds.finished.units}
        onTest={(name, answer) =>
          setTests((all) => [...all.filter((t) => t.name !== name), ...(answer === null ? [] : [{ name, answer }])])
        }
      />
    </section>
  );
}

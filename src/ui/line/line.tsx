'use client';

import { useState } from 'react';
import { type LineRules, lineOf, lineProblems } from '@/core/line/line';
import { type LineSheet, lineQuery, lineQuestion } from '@/core/line/line-sheet';
import { lineAsText } from '@/core/line/say-line';
import { rewritten } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { useUnits } from '../shell/units-context';
import { useAddress } from '../shell/use-address';
import { SumButtons } from '../sums/sum-buttons';
import { Scroll } from '../unit/scroll';
import { FlareHelp } from './flare-help';
import { LineFields } from './line-fields';
import { LineView } from './line-view';
import { Strip } from './strip';
import { UnionLeak } from './union-leak';

/** A hard line: how long to cut it, where it is bent, what its ends take. It stands in the address. */
export function Line({ start, rules }: { readonly start: LineSheet; readonly rules: LineRules }) {
  const units = useUnits();
  const [sheet, setSheet] = useState(start);
  const query = lineQuery(sheet);
  useAddress('/sums/line', query);
  const question = lineQuestion(sheet);
  const wrong = lineProblems(question, rules);
  const line = wrong.length > 0 ? undefined : lineOf(question, rules);
  const mm = (x: number): string => `${sayLength(x, units)} ${units.length}`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      {line !== undefined && (
        <div className="grid gap-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
          <LineView sheet={sheet} line={line} />
          <div className="grid content-start gap-2" aria-live="polite">
            <p>
              <span className="label">Cut it to</span>
              <b className="text-4xl tabular-nums" data-testid="cut">
                {mm(line.cutMm)}
              </b>
            </p>
            <p className="text-ink2">
              Straights {line.straightsMm.map((s) => sayLength(s, units)).join(' + ')}
              {line.arcsMm.length > 0 && `; bends ${line.arcsMm.map((s) => sayLength(s, units)).join(' + ')}`}
              {line.coilsMm.length > 0 && `; coils ${line.coilsMm.map((s) => sayLength(s, units)).join(' + ')}`}
              {`; flares take ${sayLength(line.rulesUsed.flareTakesMm, units)} each`} ({units.length}).
            </p>
            {line.bendStartsMm.map((at, i) => (
              <p key={i}>
                Bend {i + 1} starts at <b>{mm(at)}</b> from the start of the cut tube, {sheet.bends[i]?.angleDeg}° to the{' '}
                {sheet.bends[i]?.turn}.
              </p>
            ))}
            {line.warnings.map((w) => (
              <p key={w.text} className="border-l-4 border-amber pl-3">
                {rewritten(w.text)}
              </p>
            ))}
          </div>
        </div>
      )}
      {wrong.map((p) => (
        <p key={p.path} role="alert" className="border-l-4 border-red pl-3">
          Leg {Number(/\d+/.exec(p.path)?.[0]) + 1}: {rewritten(p.message)}. Make the leg longer, or the bend beside it tighter.
        </p>
      ))}
      {line !== undefined && (
        <Scroll label="The cut tube, with its marks">
          <Strip sheet={sheet} line={line} />
        </Scroll>
      )}
      <LineFields sheet={sheet} rules={rules} onSay={setSheet} />
      {line !== undefined && (
        <SumButtons text={lineAsText(sheet, line)}>
          <a className="btn-quiet" href={`/api/v1/line/ticket.pdf?${query}`} target="_blank" rel="noreferrer">
            Cutting ticket, true scale
          </a>
        </SumButtons>
      )}
      <FlareHelp />
      <UnionLeak />
    </div>
  );
}

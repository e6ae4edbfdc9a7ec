import type { HoldAnalysis } from '@/core/prove/hold-analysis';
import type { RunAnalysis } from '@/core/prove/run-analysis';
import { RUN_COVERS } from '@/core/prove/run-covers';
import { fixed, rewritten } from '@/core/quantity/figure';
import { sayFlow } from '@/core/quantity/say';
import { Word } from '../unit/word';

const HEADLINES: { readonly [K in RunAnalysis['kind']]: { readonly [O in RunAnalysis['outcome']]: string } } = {
  hold: { pass: 'It holds', fail: 'It leaks', 'hold-longer': 'Hold it longer' },
  port: { pass: 'The port is open', fail: 'The port is shut', 'hold-longer': '' },
  residual: { pass: 'The valve keeps', fail: 'The valve is out', 'hold-longer': '' },
};

const figureOf = (a: RunAnalysis): string => {
  switch (a.kind) {
    case 'hold':
      return `, ${sayFlow(a.leakMlPerMin)} ml/min`;
    case 'port':
      return a.goneInS === null ? '' : `, gone in ${fixed(a.goneInS, 1)} s`;
    case 'residual':
      return `, ${fixed(a.keptBar, 2)} bar`;
  }
};

/** What a run says: one word, its figures, the sentence. @param instead what stands in place of the word where it is no verdict of the unit as it is now */
export function Says({ analysis: a, instead }: { readonly analysis: RunAnalysis; readonly instead: string | undefined }) {
  return (
    <div>
      {instead !== undefined ? (
        <p className="font-bold">{instead}</p>
      ) : (
        <p className="text-[24px] leading-tight font-bold" data-testid="run-verdict">
          {HEADLINES[a.kind][a.outcome]}
          {figureOf(a)}
        </p>
      )}
      {a.kind === 'hold' ? <Hold analysis={a} /> : <p>{rewritten(a.sentence)}</p>}
      <p className="mt-1 text-[13px] text-ink2">{RUN_COVERS[a.kind]}</p>
    </div>
  );
}

function Hold({ analysis: a }: { readonly analysis: HoldAnalysis }) {
  const most = Math.max(a.limitMlPerMin * 1.6, a.leakCi[1] * 1.15);
  const x = (v: number): number => Math.min(340, Math.max(0, (v / most) * 340));
  return (
    <>
      <p className="text-ink2">
        between {sayFlow(a.leakCi[0])} and {sayFlow(a.leakCi[1])}; limit {sayFlow(a.limitMlPerMin)}
      </p>
      <svg viewBox="0 0 340 44" className="my-1 h-auto w-full" role="img" aria-label="The leak with its interval, and the limit">
        <path d="M0 16H340" stroke="var(--ink2)" />
        <rect x={x(a.leakCi[0])} y="8" width={Math.max(2, x(a.leakCi[1]) - x(a.leakCi[0]))} height="16" fill="var(--tint)" />
        <path d={`M${x(a.leakMlPerMin)} 4V28`} stroke="var(--act)" strokeWidth="3" />
        <path d={`M${x(a.limitMlPerMin)} 2V30`} stroke="var(--red)" strokeWidth="2" />
        <text x={Math.max(14, x(a.limitMlPerMin))} y="42" textAnchor="middle" fontSize="12" fill="var(--red)">
          limit
        </text>
      </svg>
      <p>{rewritten(a.sentence)}</p>
      <dl className="mt-2 grid grid-cols-[1fr_auto] gap-y-0.5">
        <dt>
          <Word of="compliance">compliance of unit and hose</Word>
        </dt>
        <dd className="text-right">{fixed(a.complianceMlPerBar, 4)} ml/bar</dd>
        <dt>
          <Word of="trapped air" />
        </dt>
        <dd className={`text-right ${a.airOutcome === 'ok' ? '' : 'text-amber'}`}>
          {fixed(Math.max(0, a.airMl), 2)} ml
          {a.airOutcome === 'bleed-again' ? ', bleed again' : a.airOutcome === 'repeat' ? ', fill again to be sure' : ''}
        </dd>
        <dt>noise</dt>
        <dd className="text-right">{a.rmsBar === null ? '–' : `${fixed(a.rmsBar, 3)} bar`}</dd>
        <dt>
          <Word of="settled" />
        </dt>
        <dd className="text-right">{a.settledBar === null ? '–' : `${fixed(a.settledBar, 2)} bar`}</dd>
      </dl>
    </>
  );
}

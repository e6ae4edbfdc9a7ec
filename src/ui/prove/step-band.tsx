'use client';

import { sayStep } from '@/core/prove/programme/say-step';
import type { Units } from '@/core/quantity/units';
import type { StepStand } from '@/core/unit/proving';
import { Go } from '../shell/go';

const SIGNS: { readonly [S in StepStand['stands']]: string } = { open: '', pass: '✓ ', fail: '✕ ', 'hold-longer': '… ' };
const STANDS: { readonly [S in StepStand['stands']]: string } = {
  open: 'not done',
  pass: 'passed',
  fail: 'failed',
  'hold-longer': 'undecided',
};

/** The programme as a band in its order: what passed, what failed, which one is looked at. What may be left out stands lighter. */
export function StepBand({
  stands,
  chosen,
  units,
}: {
  readonly stands: readonly StepStand[];
  readonly chosen: string | undefined;
  readonly units: Units;
}) {
  return (
    <nav aria-label="Steps of the programme" className="mb-3">
      <ol className="flex flex-wrap gap-px border border-line bg-line">
        {stands.map(({ step, stands: stand }) => {
          const here = step.id === chosen;
          const look = here
            ? 'bg-act text-on-act'
            : stand === 'fail'
              ? 'bg-sheet text-red'
              : step.need === 'may' && stand === 'open'
                ? 'bg-plate text-ink2'
                : 'bg-sheet text-ink';
          return (
            <li key={step.id} className="flex min-w-[6.5rem] flex-1">
              <Go
                href={`?step=${step.id}`}
                aria-current={here ? 'step' : undefined}
                className={`flex min-h-[44px] w-full items-center px-2 py-1 text-[13px] leading-tight ${look}`}
                title={`${STANDS[stand]}${step.need === 'may' ? '; may be left out' : ''}`}
              >
                <span>
                  {SIGNS[stand]}
                  {sayStep(step, units)}
                  {step.need === 'may' && stand === 'open' && <span className="block">may be left out</span>}
                </span>
              </Go>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

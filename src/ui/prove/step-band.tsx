'use client';

import { sayStep } from '@/core/prove/programme/say-step';
import { STAND_WORDS, type StepStand } from '@/core/unit/proving';
import { Go } from '../shell/go';
import { useUnits } from '../shell/units-context';

const SIGNS: { readonly [S in StepStand['stands']]: string } = { open: '', pass: '✓ ', fail: '✕ ', 'hold-longer': '… ' };

/** The programme as a band in its order: what passed, what failed, which one is looked at. What may be left out stands lighter. */
export function StepBand({ stands, chosen }: { readonly stands: readonly StepStand[]; readonly chosen: string | undefined }) {
  const units = useUnits();
  return (
    <nav aria-label="Steps of the programme" className="mb-3">
      <ol className="grid grid-cols-[repeat(auto-fit,minmax(5.6rem,1fr))] border-t border-l border-line">
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
            <li key={step.id} className="flex border-r border-b border-line">
              <Go
                href={`?step=${step.id}`}
                aria-current={here ? 'step' : undefined}
                className={`flex min-h-[44px] w-full items-center px-2 py-1 text-[13px] leading-tight ${look}`}
                title={`${STAND_WORDS[stand]}${step.need === 'may' ? '; may be left out' : ''}`}
              >
                <span>
                  {SIGNS[stand]}
                  {unbroken(sayStep(step, units))}
                  {step.need === 'may' && stand === 'open' && <span className="block text-[12px]">optional</span>}
                </span>
              </Go>
            </li>
          );
        })}
      </ol>
    </nav>
  );
}

/** A figure stays with its unit where a line ends. */
const unbroken = (text: string): string => text.replaceAll(/(\d) /g, '$1\u00a0');

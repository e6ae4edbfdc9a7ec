'use client';

import { CAUSES, type CauseName, WHERE_WORDS } from '@/core/book-in/cause';
import { TEST_COSTS, TESTS, type TestName } from '@/core/book-in/cause-test';
import { sayDoes } from '@/core/book-in/effect';
import { ANSWER_WORDS, ANSWERS, type Answer, type Evidence, type LikelyCause, type NextTest } from '@/core/book-in/reason';

/** How many causes are worth reading. */
const SHOWN = 6;
const TESTS_SHOWN = 3;
const COST_WORDS = { asked: 'can be asked', 'on-machine': 'on the machine', 'unit-off': 'once it is off' } as const;

/** What may be behind a complaint, the likeliest first, with why, what to look for, and the tests that tell them apart. */
export function Causes({
  likely,
  next,
  tests,
  finished,
  onTest,
  onCause,
  confirmed = [],
}: {
  /** What `likelyCauses` gave, and what `testsWorthMaking` gave for it. */
  readonly likely: readonly LikelyCause[];
  readonly next: readonly NextTest[];
  readonly tests: Evidence['tests'];
  /** How many finished units the odds have learned from. */
  readonly finished: number;
  /** Notes a test's answer; null takes it back. */
  readonly onTest: ((test: TestName, answer: Answer | null) => void) | undefined;
  /** Says what it turned out to be. */
  readonly onCause?: ((cause: CauseName, answer: Answer | null) => void) | undefined;
  readonly confirmed?: readonly CauseName[];
}) {
  if (likely.length === 0)
    return (
      <p className="border border-dashed border-line p-4 text-center text-ink2">
        Choose what the customer says, and the likely causes stand here.
      </p>
    );
  return (
    <div className="grid gap-4">
      {onTest !== undefined && next.length > 0 && (
        <section>
          <h3 className="head mb-1">Ask or try next</h3>
          <ul className="border border-line bg-sheet">
            {next.slice(0, TESTS_SHOWN).map((t) => (
              <li key={t.test} className="flex flex-wrap items-center gap-x-3 border-b border-hair px-3 py-1 last:border-b-0">
                <span className="min-w-0 flex-1 basis-64">
                  {TESTS[t.test]}{' '}
                  <span className="text-[13px] text-ink2">
                    {COST_WORDS[TEST_COSTS[t.test]]}; yes: {t.causes.map((c) => CAUSES[c].label).join(', ')}
                  </span>
                </span>
                <YesNo answer={null} label={TESTS[t.test]} onSay={(a) => onTest(t.test, a)} />
              </li>
            ))}
          </ul>
        </section>
      )}
      {tests.length > 0 && (
        <section>
          <h3 className="head mb-1">Tested</h3>
          <ul className="border border-line bg-sheet">
            {tests.map((t) => (
              <li key={t.name} className="flex flex-wrap items-center gap-x-3 border-b border-hair px-3 py-1 last:border-b-0">
                <span className="min-w-0 flex-1 basis-64">{TESTS[t.name]}</span>
                <YesNo answer={t.answer} label={TESTS[t.name]} onSay={onTest === undefined ? undefined : (a) => onTest(t.name, a)} />
              </li>
            ))}
          </ul>
        </section>
      )}
      <ol className="grid gap-2">
        {likely.slice(0, SHOWN).map(({ cause, probability, reasons }) => (
          <li key={cause} className="border border-line bg-sheet px-3 py-2">
            <div className="flex flex-wrap items-baseline gap-x-3">
              <b className="text-lg">{Math.round(probability * 100)} %</b>
              <b className="min-w-0 flex-1">{CAUSES[cause].label}</b>
              <span className={`text-[13px] ${CAUSES[cause].where === 'outside' ? 'font-bold text-brass' : 'text-ink2'}`}>
                {WHERE_WORDS[CAUSES[cause].where]}
              </span>
            </div>
            <div className="my-1 h-1.5 bg-hair">
              <div className="h-full bg-act" style={{ width: `${probability * 100}%` }} />
            </div>
            <p>{sayDoes(CAUSES[cause].does)}</p>
            <p>
              <span className="text-ink2">look for</span> {CAUSES[cause].look}
            </p>
            <p>
              <span className="text-ink2">tells it apart</span> {TESTS[CAUSES[cause].test]}
            </p>
            <p className="text-[13px] text-ink2">{reasons.join(' · ')}</p>
            {onCause !== undefined && (
              <label className="flex min-h-[44px] w-fit items-center gap-2 font-bold">
                <input
                  type="checkbox"
                  className="size-5"
                  checked={confirmed.includes(cause)}
                  onChange={(e) => onCause(cause, e.target.checked ? 'yes' : null)}
                />
                it was this
              </label>
            )}
          </li>
        ))}
      </ol>
      <p className="text-[13px] text-ink2">
        Odds from how often each cause and its complaints are met, as Rules state them, moved by {finished} finished units; one cause is
        taken to be behind it all. A guess for where to look, never a verdict.
      </p>
    </div>
  );
}

function YesNo({
  answer,
  label,
  onSay,
}: {
  readonly answer: Answer | null;
  readonly label: string;
  readonly onSay: ((answer: Answer | null) => void) | undefined;
}) {
  return (
    <span className="inline-flex">
      {ANSWERS.map((a) => (
        <button
          key={a}
          type="button"
          aria-pressed={answer === a}
          aria-label={`${ANSWER_WORDS[a]}: ${label}`}
          disabled={onSay === undefined}
          onClick={() => onSay?.(answer === a ? null : a)}
          className={`-ml-px min-h-[44px] w-14 border first:ml-0 ${answer === a ? 'relative border-act bg-tint2 font-bold text-act' : 'border-line bg-sheet'}`}
        >
          {ANSWER_WORDS[a]}
        </button>
      ))}
    </span>
  );
}

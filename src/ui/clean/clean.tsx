'use client';

import { TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { treatAction } from '@/app/actions/strip';
import type { CleaningAdvice, Drilling } from '@/core/clean/cleaning';
import { fixed } from '@/core/quantity/figure';
import { sayLength } from '@/core/quantity/say';
import { sayFullDate } from '@/core/quantity/say-time';
import type { Treatment } from '@/core/strip/treatment';
import { lookedAgain, METHODS, type MethodName, toRinse } from '@/core/strip/treatment';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useUnits } from '../shell/units-context';
import { useStation } from '../unit/station-context';

/** How this body is cleaned, what must be seen open, and what was done; rinsing and looking again are signed here. */
export function Clean({
  advice,
  drillings,
  treatments,
  judged,
}: {
  readonly advice: readonly CleaningAdvice[];
  readonly drillings: readonly Drilling[];
  readonly treatments: readonly Treatment[];
  /** It has a bore that will be judged. */
  readonly judged: boolean;
}) {
  const units = useUnits();
  const { open } = useStation();
  const { save, saving, decide } = useSave(treatAction, 'adds');
  const done = (method: MethodName, drilling: string | null = null, note = ''): void =>
    void save({ method, state: null, pressureBar: null, minutes: null, result: 'done', note, drilling });
  const petroleum = toRinse(treatments);
  const cleanings = treatments.filter((t) => METHODS[t.method].for === 'cleaning');
  const looked = lookedAgain(treatments);
  return (
    <div className="grid gap-4">
      <SaveNote saving={saving} onDecide={decide} />
      <section className="grid gap-2">
        <Sign
          need={petroleum.length > 0}
          text={
            petroleum.length > 0
              ? `${petroleum.map((m) => METHODS[m].label).join(', ')} left petroleum in it: rinse every port with alcohol or brake cleaner, dry air, and sign. It ruins new rubber.`
              : 'Nothing in it that ruins rubber.'
          }
          label="Rinsed out and dry: sign"
          open={open}
          onSign={() => done('rinse')}
        />
        {judged && (
          <Sign
            need={!looked}
            text={
              looked
                ? 'Looked at again since it was last cleaned.'
                : 'Dirt looks like pits: look at the clean bore again, with a light, before it is judged.'
            }
            label="Looked at again"
            open={open && cleanings.length > 0}
            onSign={() =>
              void save({ method: 'looked-again', state: null, pressureBar: null, minutes: null, result: 'done', note: '', drilling: null })
            }
          />
        )}
      </section>
      <section>
        <ul className="border border-line bg-sheet">
          {advice.map((a) => (
            <li key={a.method} className="flex gap-3 border-b border-hair p-2 last:border-b-0">
              <div className="min-w-0 flex-1">
                <h3 className={`font-bold ${a.mustNot === null ? '' : 'text-ink2'}`}>
                  {METHODS[a.method].label}
                  <Times n={cleanings.filter((t) => t.method === a.method).length} />
                </h3>
                <p>{a.how}</p>
                {a.mustNot !== null && <p className="font-bold text-red">{a.mustNot}</p>}
                {a.caution !== null && (
                  <p className="flex gap-2 text-[13px]">
                    <TriangleAlert size={16} className="mt-0.5 shrink-0 text-amber" aria-label="Caution" />
                    {a.caution}
                  </p>
                )}
              </div>
              {open && (
                <button
                  type="button"
                  className="btn-quiet shrink-0 self-start"
                  aria-label={`Done: ${METHODS[a.method].label}`}
                  onClick={() => done(a.method)}
                >
                  Done
                </button>
              )}
            </li>
          ))}
        </ul>
      </section>
      {drillings.length > 0 && (
        <section>
          <h3 className="head mb-1">Seen open, light through each</h3>
          <ul className="border border-line bg-sheet">
            {drillings.map((d) => {
              const cleared = cleanings.find((t) => t.method === d.method && t.drilling === d.id);
              return (
                <li key={d.id} className="flex items-center gap-3 border-b border-hair p-2 last:border-b-0">
                  <span className="min-w-0 flex-1">
                    <b>{d.name}</b>, ⌀ {sayLength(d.diaMm, units)} {units.length}: wire of <b>{fixed(d.wireMm, 2)} mm</b>, soft, pushed
                    through and not turned
                  </span>
                  {cleared === undefined ? (
                    open && (
                      <button
                        type="button"
                        className="btn-quiet"
                        aria-label={`Cleared: ${d.name}`}
                        onClick={() => done(d.method, d.id, d.name)}
                      >
                        Cleared
                      </button>
                    )
                  ) : (
                    <span className="text-ink2">cleared</span>
                  )}
                </li>
              );
            })}
          </ul>
        </section>
      )}
      {cleanings.length > 0 && <Log treatments={cleanings} />}
    </div>
  );
}

const Times = ({ n }: { readonly n: number }) =>
  n === 0 ? null : <span className="font-normal text-ink2"> · done{n > 1 ? ` ${n} times` : ''}</span>;

function Sign({
  need,
  text,
  label,
  open,
  onSign,
}: {
  readonly need: boolean;
  readonly text: string;
  readonly label: string;
  readonly open: boolean;
  readonly onSign: () => void;
}) {
  return (
    <div className={`flex flex-wrap items-center gap-3 border-l-4 bg-sheet px-3 py-2 ${need ? 'border-amber' : 'border-line'}`}>
      <p className={`min-w-0 flex-1 basis-64 ${need ? 'font-bold' : 'text-ink2'}`}>{text}</p>
      {need && open && (
        <button type="button" className="btn" onClick={onSign}>
          {label}
        </button>
      )}
    </div>
  );
}

function Log({ treatments }: { readonly treatments: readonly Treatment[] }) {
  const [all, setAll] = useState(false);
  const shown = all ? treatments : treatments.slice(-5);
  return (
    <section>
      <h3 className="head mb-1">Done so far</h3>
      <ol className="border border-line bg-sheet px-3">
        {shown.map((t) => (
          <li key={t.id} className="flex justify-between gap-3 border-b border-hair py-1 text-[13px] last:border-b-0">
            <span>
              {METHODS[t.method].label}
              {t.note === '' ? '' : `: ${t.note}`}
            </span>
            <span className="text-ink2">{sayFullDate(t.at)}</span>
          </li>
        ))}
      </ol>
      {!all && treatments.length > shown.length && (
        <button type="button" className="min-h-[44px] font-bold text-act" onClick={() => setAll(true)}>
          All {treatments.length}
        </button>
      )}
    </section>
  );
}

/** At Judge: whoever looks again says so there too. */
export function LookedAgain() {
  const { save, saving, decide } = useSave(treatAction, 'adds');
  return (
    <div className="mb-3">
      <Sign
        need
        text="Dirt looks like pits: look at the clean bore again, with a light, before it is judged."
        label="Looked at again"
        open
        onSign={() =>
          void save({ method: 'looked-again', state: null, pressureBar: null, minutes: null, result: 'done', note: '', drilling: null })
        }
      />
      <SaveNote saving={saving} onDecide={decide} />
    </div>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { saveJudgementAction } from '@/app/actions/judge';
import { asksForGauging, goOnAddress } from '@/core/judge/go-on';
import type { JudgeInput } from '@/core/judge/judge';
import type { SavedVerdict } from '@/core/judge/saved-verdict';
import { SCHOOL_WORDS, SCHOOLS, usualSchool } from '@/core/rules/school';
import { LengthField } from '../field/quantity-field';
import { SelectField } from '../field/select-field';
import { SaveNote } from '../save/save-note';
import { useSave } from '../save/use-save';
import { useStation } from '../unit/station-context';
import { Rejudged } from './rejudged';
import type { Judgement } from './use-judgement';
import { VerdictPanel } from './verdict-panel';
import { WouldChange } from './would-change';

/** The verdict as the marks stand, what would change it, the question "what if", and the way to put it on record. */
export function JudgementPanel({
  judgement,
  input,
  saved,
}: {
  readonly judgement: Judgement;
  readonly input: JudgeInput;
  /** The judgement on record. */
  readonly saved: Pick<SavedVerdict, 'at' | 'answer'> | undefined;
}) {
  const { tag, open, schools, pot } = useStation();
  const router = useRouter();
  const { marks, judged, asked, setAsked, chosen, covers } = judgement;
  const { answer } = judged;
  const [trying, setTrying] = useState(false);
  const { save, saving, decide } = useSave(saveJudgementAction);
  const whatIf = asked.clearanceMm !== null;
  const keep = () => save({ verdictId: uuidv7(), pot, marks, school: asked.school, wallMm: asked.wallMm });
  const gaugeOn = async (): Promise<void> => {
    if ((await keep()).ok) router.push(goOnAddress(tag, answer.toDo, pot));
  };
  return (
    <section className="mb-4" aria-live="polite">
      <h2 className="head mb-2">{whatIf ? 'WHAT IF · NOT FOR THE RECORD' : 'JUDGEMENT'}</h2>
      <VerdictPanel
        answer={answer}
        pistonDiaMm={input.pistonDiaMm}
        makersLimit={input.makersLimit}
        school={judged.asked.school ?? schools[input.material] ?? usualSchool(input.material)}
        covers={covers}
      />
      {saved !== undefined && !whatIf && <Rejudged saved={saved} answer={answer} />}
      <WouldChange judged={judged} chosen={marks.find((m) => m.id === chosen)?.name} />
      {open && (
        <div className="mt-4 grid gap-2">
          <div className="flex flex-wrap gap-2">
            <button type="button" className="btn" disabled={whatIf || saving.kind === 'saving'} onClick={() => void keep()}>
              {saving.kind === 'saving' ? 'Saving' : 'Save judgement'}
            </button>
            {answer.outcome === 'undecided' && asksForGauging(answer.toDo) && !whatIf && (
              <button type="button" className="btn" disabled={saving.kind === 'saving'} onClick={() => void gaugeOn()}>
                Save, and gauge there
              </button>
            )}
            <button
              type="button"
              className="btn-quiet"
              aria-expanded={trying}
              onClick={() => {
                setTrying(!trying);
                setAsked({ ...asked, clearanceMm: null });
              }}
            >
              What if …
            </button>
          </div>
          {trying && (
            <div className="grid grid-cols-2 gap-2 border border-hair p-2">
              <SelectField
                label="School"
                value={asked.school}
                options={SCHOOLS}
                say={(s) => SCHOOL_WORDS[s]}
                none="as the shop does it"
                onSay={(school) => setAsked({ ...asked, school })}
              />
              <LengthField label="Thinnest wall" value={asked.wallMm} onSay={(wallMm) => setAsked({ ...asked, wallMm })} />
              <LengthField
                label="Most clearance"
                fine
                value={asked.clearanceMm}
                onSay={(clearanceMm) => setAsked({ ...asked, clearanceMm })}
              />
              <p className="self-end text-[13px] text-ink2">
                {whatIf
                  ? 'A limit of your own is only for asking: clear it to save.'
                  : 'School and wall are saved with the judgement; a limit of your own is only for asking.'}
              </p>
            </div>
          )}
          <SaveNote saving={saving} onDecide={decide} />
        </div>
      )}
    </section>
  );
}

'use client';

import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { makeCaseAction } from '@/app/actions/practice';
import type { Case } from '@/core/practice/case-schema';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Go } from '../shell/go';
import { PracticePicture } from './practice-picture';

type Draft = { readonly of: string; readonly words: string };
const { Select, Text } = fieldsOf<Draft>();

/** What is asked, chosen of what the record answers; as it will be shown. */
export function MakeCaseForm({
  unitId,
  all,
  photoIds,
}: {
  readonly unitId: string;
  readonly all: readonly { readonly of: string; readonly asked: Case }[];
  readonly photoIds: readonly string[];
}) {
  const [photos, setPhotos] = useState<readonly string[]>([]);
  const [made, setMade] = useState(false);
  const making = useAskForm(
    makeCaseAction,
    { of: all[0]?.of ?? '', words: '' },
    (draft) => ({ id: uuidv7(), unitId, ...draft, photoIds: [...photos] }),
    () => setMade(true),
  );
  const asked = all.find((a) => a.of === making.form.watch('of'))?.asked;
  if (made)
    return (
      <p role="status" className="border-l-4 border-act pl-3">
        It is among{' '}
        <Go className="font-bold text-act underline" href="/practice/cases">
          the shop’s own cases
        </Go>
        .
      </p>
    );
  return (
    <ActionFormFrame of={making} submit="Make it a case" className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <Select
        name="of"
        label="What is asked"
        className="max-w-2xl"
        options={all.map((a) => ({ value: a.of, text: `${a.asked.asks} On record: ${recordedShort(a.asked)}` }))}
      />
      {asked !== undefined && (
        <section aria-label="As it will be shown" className="grid grid-cols-[minmax(0,1fr)] gap-2 border border-line bg-sheet p-3">
          {asked.facts.map((f) => (
            <p key={f}>{f}</p>
          ))}
          {asked.picture !== null && <PracticePicture picture={asked.picture} />}
        </section>
      )}
      {photoIds.length > 0 && (
        <fieldset>
          <legend className="label">Photos that go with it</legend>
          <div className="flex flex-wrap gap-2">
            {photoIds.map((id, i) => {
              const on = photos.includes(id);
              return (
                <button
                  key={id}
                  type="button"
                  aria-pressed={on}
                  className={`border-2 p-0.5 ${on ? 'border-act' : 'border-hair'}`}
                  onClick={() => setPhotos(on ? photos.filter((p) => p !== id) : [...photos, id])}
                >
                  {/* biome-ignore lint/performance/noImgElement: re-encoded to size when it was stored */}
                  <img src={`/photos/${id}?size=small`} alt="" className="size-20 object-cover" loading="lazy" />
                  Photo {i + 1} {on ? '✓ goes along' : 'left out'}
                </button>
              );
            })}
          </div>
        </fieldset>
      )}
      <Text name="words" label="What there is to learn from it" maxLength={1000} />
    </ActionFormFrame>
  );
}

const recordedShort = ({ form, right }: Case): string => {
  if (form.kind === 'choose') return form.options[[right].flat()[0] ?? 0] ?? '';
  return `${[right].flat().length} of ${form.items.length}`;
};

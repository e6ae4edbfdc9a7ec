'use client';

import { useEffect, useState } from 'react';
import { useWatch } from 'react-hook-form';
import { uuidv7 } from 'uuidv7';
import { bookInAction } from '@/app/actions/book-in';
import { NEEDS_OPEN, type TestName } from '@/core/book-in/cause-test';
import type { FinishedCounts, Likelihoods } from '@/core/book-in/likelihoods';
import { type Answer, likelyCauses, testsWorthMaking } from '@/core/book-in/reason';
import { type Family, geometryAt } from '@/core/family/family';
import { hasPots, MOST_POTS, withPots } from '@/core/family/pots';
import { boreDrawings, partsIn } from '@/core/unit/bore-drawing';
import { wholeParts } from '@/core/unit/drawn-parts';
import { tagOf } from '@/core/unit/unit-record';
import { type DrawnBore, Sections } from '../drawing/section-view';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { usePhotos } from '../photo/use-photos';
import { useDraft } from '../save/use-draft';
import { Causes } from '../strip/causes';
import { Booked } from './booked';
import { type Booking, BookingFields, chosenFamily, type ShopVariant, sentOf } from './booking-fields';
import { PromiseHint } from './promise-hint';

type NewBooking = Booking & {
  readonly unitId: string;
  readonly comebackTag: string;
  readonly withUnitId: string | null;
  readonly heldAt: number | null;
  readonly tests: readonly { readonly name: TestName; readonly answer: Answer }[];
  readonly photos: FileList | null;
};
const { Text } = fieldsOf<NewBooking>();

const emptyBooking = (): NewBooking => ({
  unitId: uuidv7(),
  customer: '',
  phone: '',
  machine: '',
  position: '',
  identityMarks: '',
  comebackTag: '',
  withUnitId: null,
  heldAt: null,
  promisedAt: null,
  choice: 'master-single',
  nominalMm: null,
  pots: 1,
  morePotsMm: [null, null],
  material: 'cast-iron',
  complaints: [],
  complaintText: '',
  before: [],
  tests: [],
  photos: null,
});

/** The counter's form: who, what off, which family, what is wrong, until when. Gives the tag. What is half entered outlives the page. */
export function BookIn({
  variants,
  model,
  finished,
}: {
  readonly variants: readonly ShopVariant[];
  readonly model: Likelihoods;
  readonly finished: FinishedCounts;
}) {
  const [start] = useState(emptyBooking);
  const [tag, setTag] = useState<string>();
  const booking = useAskForm(
    bookInAction,
    start,
    ({ photos: _, ...entry }) => ({ ...entry, ...sentOf(entry, variants) }),
    (booked) => {
      void send([...(booking.form.getValues('photos') ?? [])], { kind: 'unit', id: booked.unitId }, 'as it came');
      setTag(tagOf(booked));
      drop();
    },
  );
  const { control, register, setValue, getValues, reset, watch } = booking.form;
  const [kept, keep, drop] = useDraft<Partial<NewBooking> | null>('book-in', null);
  // What was left half entered under another number is there again; what is entered from now on is kept as it is typed.
  useEffect(() => {
    const unitId = getValues('unitId');
    if (kept !== null && kept.unitId !== unitId) reset({ ...emptyBooking(), ...kept, unitId, photos: null });
  }, [kept, getValues, reset]);
  useEffect(() => {
    const { unsubscribe } = watch((now, { type }) => {
      if (type === 'change' || now.customer !== '') keep({ ...now, photos: null } as Partial<NewBooking>);
    });
    return unsubscribe;
  }, [watch, keep]);
  const [unitId, choice, nominalMm, pots, morePotsMm, complaints, before, tests] = useWatch({
    control,
    name: ['unitId', 'choice', 'nominalMm', 'pots', 'morePotsMm', 'complaints', 'before', 'tests'],
  });
  const { send, sending } = usePhotos(unitId, 'out');
  const { kind, family } = chosenFamily(choice, variants);
  const likely = likelyCauses({ kind, complaints, before, tests }, model, finished);
  const again = (more: Partial<NewBooking>): void => {
    drop();
    reset({ ...emptyBooking(), ...more });
    setTag(undefined);
  };
  if (tag !== undefined) {
    const { customer, phone, machine, promisedAt } = getValues();
    return (
      <Booked
        tag={tag}
        machine={machine}
        sending={sending}
        onNext={() => again({})}
        onSameMachine={() => again({ customer, phone, machine, promisedAt, withUnitId: unitId })}
      />
    );
  }
  return (
    <div className="mx-auto max-w-6xl px-4 py-5">
      <div className="mb-4 flex items-center gap-4">
        <h1 className="text-xl font-bold">Book in</h1>
        {kept !== null && (
          <button type="button" className="btn-quiet" onClick={() => again({})}>
            Start afresh
          </button>
        )}
      </div>
      <ActionFormFrame of={booking} submit="Book in and give it a tag" className="grid gap-y-4">
        <BookingFields
          variants={variants}
          promise={<PromiseHint variants={variants} />}
          beside={
            <Text
              name="comebackTag"
              label="Back again? Its old tag"
              takesTag
              placeholder={`${tagOf({ tagNo: 31 })}, if it was here before`}
            />
          }
          below={
            <label className="label mb-0">
              Photos as it came
              <input
                type="file"
                accept="image/*"
                multiple
                className="mt-1 block w-full text-ink2 file:mr-3 file:min-h-[44px] file:border file:border-line file:bg-sheet file:px-3 file:text-ink"
                {...register('photos')}
              />
            </label>
          }
        />
      </ActionFormFrame>
      <div className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2">
        <div className="grid content-start gap-3">
          {family.drawing !== null && (
            <>
              <h2 className="head">{family.label}, as its makers mostly build it</h2>
              <div className="border border-line bg-sheet p-2">
                <Sections
                  bores={drawnAs(family, [nominalMm, ...morePotsMm].slice(0, hasPots(family) ? (pots ?? 1) : 1))}
                  view="together"
                  trayHref={null}
                />
              </div>
            </>
          )}
        </div>
        <section aria-label="Likely causes">
          <h2 className="head mb-2">What it may be</h2>
          <Causes
            likely={likely}
            // Nobody can look inside yet.
            next={testsWorthMaking(
              likely,
              tests.map((t) => t.name),
            ).filter((t) => !NEEDS_OPEN.includes(t.test))}
            tests={tests}
            finished={finished.units}
            onTest={(name, answer) =>
              setValue('tests', [...tests.filter((t) => t.name !== name), ...(answer === null ? [] : [{ name, answer }])])
            }
          />
        </section>
      </div>
    </div>
  );
}

/** A family as it would be with bores of these sizes; one that is not known yet is as the first, or as the family is drawn. @param sizesMm the first first */
const drawnAs = (one: Family, sizesMm: readonly (number | null)[]): readonly DrawnBore[] => {
  const { drawing } = one;
  if (drawing === null) return [];
  const family = withPots(one, Math.min(MOST_POTS, Math.max(1, sizesMm.length)));
  const [geometry = geometryAt(drawing, drawing.atMm), ...more] = sizesMm.map((mm) =>
    geometryAt(drawing, mm ?? sizesMm[0] ?? drawing.atMm),
  );
  const morePots = more.map((g) => ({ geometry: g, material: 'cast-iron' as const, boreChangedAt: 0 }));
  return boreDrawings(family, { geometry, morePots }).map((b) => ({ ...b, parts: partsIn(b, wholeParts(family), family) }));
};

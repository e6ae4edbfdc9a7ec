'use client';

import { useState } from 'react';
import { correctAction } from '@/app/actions/book-in';
import { ActionFormFrame } from '../form/action-form';
import { useUnitForm } from '../form/use-action-form';
import { type Booking, BookingFields, type ShopVariant, sentOf } from './booking-fields';

/** What was entered at the counter, put right: what was there before stands in the history. */
export function Correct({ entered, variants }: { readonly entered: Booking; readonly variants: readonly ShopVariant[] }) {
  const [open, setOpen] = useState(false);
  const saving = useUnitForm(correctAction, entered, (values) => sentOf(values, variants), { done: () => setOpen(false) });
  if (!open)
    return (
      <button type="button" className="btn-quiet w-fit" onClick={() => setOpen(true)}>
        Correct what was entered
      </button>
    );
  return (
    <ActionFormFrame
      of={saving}
      submit="Correct it"
      className="grid gap-3 border-t border-line pt-3"
      beside={
        <button type="button" className="btn-quiet" onClick={() => setOpen(false)}>
          Leave it
        </button>
      }
    >
      <p className="text-ink2">
        What was there before stands in the history. Customer, machine and promise are corrected for all units of the job.
      </p>
      <BookingFields variants={variants} />
    </ActionFormFrame>
  );
}

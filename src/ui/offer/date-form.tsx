import { plain } from '@/core/quantity/figure';

/** What its date is worth to the customer; the options are weighed anew by it. */
export function DateForm({ date }: { readonly date: { readonly latePerDay: number; readonly hard: boolean } }) {
  return (
    <form className="mb-3 flex flex-wrap items-end gap-4">
      <div>
        <label className="label" htmlFor="late">
          A day late costs them
        </label>
        <input
          id="late"
          name="late"
          inputMode="decimal"
          maxLength={10}
          defaultValue={date.latePerDay === 0 ? '' : plain(date.latePerDay)}
          className="field w-32"
        />
      </div>
      <label className="flex min-h-11 items-center gap-2">
        <input type="checkbox" name="hard" value="1" defaultChecked={date.hard} className="size-5 accent-act" />
        Its date may not be missed
      </label>
      <button type="submit" className="btn-quiet">
        Weigh anew
      </button>
    </form>
  );
}

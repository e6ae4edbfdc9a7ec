'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type BookFilter, bookAddress } from '@/core/book/book-filter';
import { sayGroup } from '@/core/book/grouping';
import { CAUSE_NAMES, CAUSES } from '@/core/book-in/cause';
import { FAMILIES } from '@/core/family/families';
import { UNIT_KINDS } from '@/core/family/family-name';
import { MATERIAL_WORDS, MATERIALS } from '@/core/family/material';
import { SCHOOL_WORDS, SCHOOLS } from '@/core/rules/school';
import { EXIT_WORDS, EXITS } from '@/core/station';
import { WAY_WORDS, WAYS } from '@/core/way';
import { DAY } from '../field/day-field';
import { MomentField } from '../field/moment-field';
import { SelectField } from '../field/select-field';
import { TextField } from '../field/text-field';

const ANY = 'any';

/** Which units of the Book are shown; it stands in the address. */
export function FilterForm({
  filter,
  more,
}: {
  readonly filter: BookFilter;
  /** What else stands in the address and stays. */
  readonly more: { readonly [name: string]: string };
}) {
  const router = useRouter();
  const [typed, setTyped] = useState({
    kit: filter.kit ?? '',
    lot: filter.lot ?? '',
    from: filter.from ?? null,
    until: filter.until ?? null,
  });
  const go = (news: Partial<BookFilter>): void => router.push(`/book?${bookAddress({ ...filter, ...news }, more)}`);
  const orNone = (v: string): string | undefined => (v.trim() === '' ? undefined : v.trim());
  return (
    <form
      aria-label="Which units"
      className="mb-3 flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        go({ kit: orNone(typed.kit), lot: orNone(typed.lot), from: typed.from ?? undefined, until: typed.until ?? undefined });
      }}
    >
      <SelectField
        label="Family"
        className="w-44"
        none={ANY}
        value={filter.family ?? null}
        options={UNIT_KINDS.map((f) => ({ value: f, text: FAMILIES[f].label }))}
        onSay={(family) => go({ family: family ?? undefined })}
      />
      <SelectField
        label="Metal"
        className="w-40"
        none={ANY}
        value={filter.material ?? null}
        options={MATERIALS}
        say={MATERIAL_WORDS}
        onSay={(m) => go({ material: m ?? undefined })}
      />
      <SelectField
        label="Bore"
        className="w-32"
        none={ANY}
        value={filter.way ?? null}
        options={WAYS}
        say={WAY_WORDS}
        onSay={(way) => go({ way: way ?? undefined })}
      />
      <SelectField
        label="How it left"
        className="w-36"
        none={ANY}
        value={filter.exit ?? null}
        options={EXITS}
        say={EXIT_WORDS}
        onSay={(exit) => go({ exit: exit ?? undefined })}
      />
      <SelectField
        label="Came back"
        className="w-28"
        none={ANY}
        value={filter.back ?? null}
        options={[
          { value: 'yes', text: 'yes' },
          { value: 'no', text: 'no' },
        ]}
        onSay={(back) => go({ back: (back ?? undefined) as BookFilter['back'] })}
      />
      <SelectField
        label="What it was"
        className="w-44"
        none={ANY}
        value={filter.cause ?? null}
        options={CAUSE_NAMES.map((c) => ({ value: c, text: CAUSES[c].label }))}
        onSay={(cause) => go({ cause: (cause ?? undefined) as BookFilter['cause'] })}
      />
      <SelectField
        label="School"
        className="w-40"
        none={ANY}
        value={filter.school ?? null}
        options={SCHOOLS}
        say={SCHOOL_WORDS}
        onSay={(school) => go({ school: school ?? undefined })}
      />
      <SelectField
        label="The proof"
        className="w-40"
        none={ANY}
        value={filter.rig ?? null}
        options={(['passed', 'failed'] as const).map((r) => ({ value: r, text: sayGroup('rig', r) }))}
        onSay={(rig) => go({ rig: (rig ?? undefined) as BookFilter['rig'] })}
      />
      <TextField label="Kit" className="w-24" value={typed.kit} onSay={(kit) => setTyped({ ...typed, kit })} />
      <TextField label="Lot" className="w-24" value={typed.lot} onSay={(lot) => setTyped({ ...typed, lot })} />
      <MomentField
        label="Left from"
        className="w-44"
        hour={0}
        wording={DAY}
        value={typed.from}
        onSay={(from) => setTyped({ ...typed, from })}
      />
      <MomentField
        label="Left before"
        className="w-44"
        hour={0}
        wording={DAY}
        value={typed.until}
        onSay={(until) => setTyped({ ...typed, until })}
      />
      <button type="submit" className="btn-quiet">
        Show these
      </button>
    </form>
  );
}

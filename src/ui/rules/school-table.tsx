'use client';

import { MATERIAL_WORDS, MATERIALS } from '@/core/family/material';
import { SCHOOL_WHY, SCHOOL_WORDS, SCHOOLS, type School, usualSchool } from '@/core/rules/school';
import type { Schools } from '@/core/rules/schools';

/** How bores of each material are saved in this shop. */
export function SchoolTable({
  schools,
  open,
  onChange,
}: {
  readonly schools: Schools;
  readonly open: boolean;
  readonly onChange: (schools: Schools) => void;
}) {
  return (
    <section className="mt-4">
      <h2 className="head mb-1">HOW BORES ARE SAVED</h2>
      <ul className="mb-2 text-ink2">
        {SCHOOLS.map((s) => (
          <li key={s}>
            <b className="text-ink">{SCHOOL_WORDS[s]}</b>: {SCHOOL_WHY[s]}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-3">
        {MATERIALS.map((m) => (
          <label key={m} className="label mb-0">
            {MATERIAL_WORDS[m]}
            <select
              className="field w-60 text-ink"
              disabled={!open}
              value={schools[m] ?? ''}
              onChange={(e) => onChange({ ...schools, [m]: e.target.value === '' ? undefined : (e.target.value as School) })}
            >
              <option value="">usual: {SCHOOL_WORDS[usualSchool(m)]}</option>
              {SCHOOLS.map((s) => (
                <option key={s} value={s}>
                  {SCHOOL_WORDS[s]}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </section>
  );
}

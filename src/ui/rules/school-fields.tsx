'use client';

import { MATERIAL_WORDS, MATERIALS } from '@/core/family/material';
import { SCHOOL_WHY, SCHOOL_WORDS, SCHOOLS, usualSchool } from '@/core/rules/school';
import type { Schools } from '@/core/rules/schools';
import { fieldsOf } from '../form/fields';

const { Select } = fieldsOf<{ readonly schools: Schools }>();

/** How bores of each material are saved in this shop. */
export const SchoolFields = ({ open }: { readonly open: boolean }) => (
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
        <Select
          key={m}
          name={`schools.${m}`}
          label={MATERIAL_WORDS[m]}
          className="w-60"
          disabled={!open}
          options={SCHOOLS}
          say={SCHOOL_WORDS}
          none={`usual: ${SCHOOL_WORDS[usualSchool(m)]}`}
        />
      ))}
    </div>
  </section>
);

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { uuidv7 } from 'uuidv7';
import { beginJobAction } from '@/app/actions/practice-job';
import { FAMILIES } from '@/core/family/families';
import type { Compared } from '@/core/practice/job/compare';
import { JOB_FAMILIES, type JobFamily } from '@/core/practice/job/truth';
import { sayDate } from '@/core/quantity/say-time';
import { PRACTICE_LETTERS } from '@/core/shop/practice-tag';
import { SelectField } from '../field/select-field';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Go } from '../shell/go';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';

type Job = {
  readonly job: number;
  readonly tag: string;
  readonly family: JobFamily;
  readonly begunAt: number;
  readonly endedAt: number | null;
  readonly compared: readonly Compared[];
};

/** One’s own practice units: the one under way, and how the others came out. */
export function Jobs({ jobs }: { readonly jobs: readonly Job[] }) {
  const { ask, asking, told } = useAsk();
  const router = useRouter();
  const [family, setFamily] = useState<JobFamily>('wheel-double');
  const open = jobs.find((j) => j.endedAt === null);
  const begin = async (): Promise<void> => {
    const begun = await ask(beginJobAction, { id: uuidv7(), family });
    if (begun !== undefined) router.push(`/units/${PRACTICE_LETTERS}-${String(begun.job).padStart(4, '0')}`);
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      {open === undefined ? (
        <div className="flex flex-wrap items-end gap-3">
          <SelectField
            label="Which family"
            className="w-64"
            value={family}
            options={JOB_FAMILIES.map((f) => ({ value: f, text: FAMILIES[f].label }))}
            onSay={setFamily}
          />
          <button type="button" className="btn" disabled={asking} onClick={() => void begin()}>
            Take a practice unit
          </button>
        </div>
      ) : (
        <p className="border-l-4 border-act pl-3">
          Under way:{' '}
          <Go className="font-bold text-act underline" href={`/units/${open.tag}`}>
            {open.tag}, {FAMILIES[open.family].label}
          </Go>
        </p>
      )}
      <Told lines={told} />
      {jobs
        .filter((j) => j.endedAt !== null)
        .map((j) => (
          <Scroll key={j.job} label={`${j.tag}, as it was`}>
            <table className="w-full border-collapse bg-sheet">
              <caption className="mb-1 text-left font-bold">
                {j.tag}, {FAMILIES[j.family].label}, {sayDate(j.endedAt ?? 0)}: {j.compared.filter((c) => c.verdict === 'found').length} of{' '}
                {j.compared.length} found
              </caption>
              <TableHead names={['', 'What', 'The truth', 'What was found']} />
              <tbody>
                {j.compared.map((c) => (
                  <tr key={c.what}>
                    <td className="cell w-24 font-bold">{SIGNS[c.verdict]}</td>
                    <th scope="row" className="cell font-normal">
                      {c.what}
                    </th>
                    <td className="cell">{c.truth}</td>
                    <td className={`cell ${c.verdict === 'found' ? '' : 'font-bold'}`}>{c.found}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </Scroll>
        ))}
    </div>
  );
}

const SIGNS: { readonly [V in Compared['verdict']]: string } = { found: '✓', otherwise: '≠ otherwise', 'not looked at': '– not seen' };

'use client';

import { useState } from 'react';
import type { Otherwise } from '@/core/judge/judged-otherwise';
import { RULE_NAMES, RULES, type RuleName, type Rules } from '@/core/rules/rule-set';
import type { PreviewRules, SaveRules } from '@/core/rules/rules-doors';
import type { Schools } from '@/core/rules/schools';
import { saySaveError } from '@/core/unit/save-error';
import type { Ask } from '../save/use-ask';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';
import { Preview } from './preview';
import { SchoolTable } from './school-table';

type Previewed = { readonly judged: number; readonly otherwise: readonly Otherwise[] };

/** The shop's rules, to read and to edit. Before they are saved one sees which units they would judge otherwise. */
export function RuleTable({
  version,
  rules,
  schools: inForce,
  open,
  preview,
  save,
}: {
  readonly version: number;
  readonly rules: Rules;
  readonly schools: Schools;
  readonly open: boolean;
  readonly preview: Ask<PreviewRules, Previewed>;
  readonly save: Ask<SaveRules>;
}) {
  const [typed, setTyped] = useState<Readonly<Partial<Record<RuleName, string>>>>({});
  const [schools, setSchools] = useState(inForce);
  const [note, setNote] = useState('');
  const [told, setTold] = useState<readonly string[]>([]);
  const [seen, setSeen] = useState<Previewed>();
  const changed = RULE_NAMES.filter((name) => typed[name] !== undefined && numberOf(typed[name]) !== rules[name]);
  const none = changed.length === 0 && schools === inForce;
  const edited = { ...rules, ...Object.fromEntries(changed.map((name) => [name, numberOf(typed[name] ?? '')])) };
  const ask = async <I, T>(action: Ask<I, T>, input: I): Promise<T | undefined> => {
    const result = await action(input).catch(() => undefined);
    if (result === undefined) setTold(['No connection. Everything is still here: try again when it is back.']);
    else setTold(result.ok ? [] : saySaveError(result.error));
    return result?.ok === true ? result.value : undefined;
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        void ask(save, { after: version, note, rules: edited, schools });
      }}
    >
      <Scroll label="Rules">
        <table className="w-full border-collapse bg-sheet">
          <TableHead names={['Rule', 'In force', 'Usual', 'Why']} />
          <tbody>
            {RULE_NAMES.map((name) => (
              <tr key={name} className={changed.includes(name) ? 'bg-tint2' : ''}>
                <th scope="row" className="cell font-normal" title={name}>
                  {RULES[name].label}
                </th>
                <td className="cell whitespace-nowrap">
                  <input
                    className="min-h-9 w-20 border border-line bg-sheet px-1 text-right font-bold disabled:border-transparent"
                    inputMode="decimal"
                    aria-label={`${RULES[name].label}, ${RULES[name].unit}`}
                    disabled={!open}
                    placeholder="not set"
                    value={typed[name] ?? rules[name] ?? ''}
                    onChange={(e) => {
                      setTyped({ ...typed, [name]: e.target.value });
                      setSeen(undefined);
                    }}
                  />{' '}
                  <span className="text-ink2">{RULES[name].unit}</span>
                </td>
                <td className="cell text-ink2">{RULES[name].standard ?? 'by table'}</td>
                <td className="cell text-ink2">{RULES[name].why}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <SchoolTable
        schools={schools}
        open={open}
        onChange={(s) => {
          setSchools(s);
          setSeen(undefined);
        }}
      />
      {open && (
        <div className="sticky bottom-0 mt-3 border-t border-line bg-ground py-2">
          <div role="alert">
            {told.map((t) => (
              <p key={t} className="mb-1 border-l-4 border-red bg-sheet px-3 py-1 text-red">
                {t}
              </p>
            ))}
          </div>
          {seen !== undefined && <Preview {...seen} />}
          <div className="flex flex-wrap items-end gap-3">
            <button
              type="button"
              className="btn-quiet"
              disabled={none}
              onClick={() => void ask(preview, { rules: edited, schools }).then(setSeen)}
            >
              Which units would it change?
            </button>
            <label className="label mb-0">
              Why it changes
              <input className="field w-80" value={note} maxLength={300} onChange={(e) => setNote(e.target.value)} />
            </label>
            <button type="submit" className="btn" disabled={none || note.trim().length < 3}>
              Save as version {version + 1}
            </button>
          </div>
        </div>
      )}
    </form>
  );
}

/** What a field says: nothing is "not set"; what is no number is sent as it is, and refused with its name. */
const numberOf = (text: string): number | string | null => {
  const plain = text.trim().replace(',', '.');
  return plain === '' ? null : Number.isFinite(Number(plain)) ? Number(plain) : text;
};

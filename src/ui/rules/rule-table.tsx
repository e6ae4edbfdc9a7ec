'use client';

import { useState } from 'react';
import { previewRulesAction, saveRulesAction } from '@/app/actions/rules';
import { MATERIALS, type Material } from '@/core/family/material';
import type { Otherwise } from '@/core/judge/judged-otherwise';
import { plain, rewritten } from '@/core/quantity/figure';
import { RULE_NAMES, RULES, type Rules } from '@/core/rules/rule-set';
import type { School } from '@/core/rules/school';
import type { Schools } from '@/core/rules/schools';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';
import { Scroll } from '../unit/scroll';
import { TableHead } from '../unit/table-head';
import { Preview } from './preview';
import { SchoolFields } from './school-fields';

type Edited = { readonly note: string; readonly rules: Rules; readonly schools: { readonly [M in Material]: School | null } };
const { Cell, Text } = fieldsOf<Edited>();
/** What the shop leaves as usual is not said. */
const chosen = ({ note, rules, schools }: Edited) => ({
  note,
  rules,
  schools: Object.fromEntries(MATERIALS.flatMap((m) => (schools[m] === null ? [] : [[m, schools[m]]]))) as Schools,
});

const eachMaterial = (schools: Schools): Edited['schools'] =>
  Object.fromEntries(MATERIALS.map((m) => [m, schools[m] ?? null])) as Edited['schools'];

/** The shop's rules, to read and to edit. Before they are saved one sees which units they would judge otherwise. */
export function RuleTable({
  version,
  rules,
  schools,
  open,
}: {
  readonly version: number;
  readonly rules: Rules;
  readonly schools: Schools;
  readonly open: boolean;
}) {
  const saving = useAskForm(saveRulesAction, { note: '', rules, schools: eachMaterial(schools) }, (values) => ({
    after: version,
    ...chosen(values),
  }));
  const { dirtyFields } = saving.form.formState;
  const changed = dirtyFields.rules !== undefined || dirtyFields.schools !== undefined;
  const { ask, told } = useAsk();
  const [seen, setSeen] = useState<{ readonly judged: number; readonly otherwise: readonly Otherwise[] }>();
  const preview = (): void => {
    const { note: _, ...edited } = chosen(saving.form.getValues());
    void ask(previewRulesAction, edited).then(setSeen);
  };
  return (
    <ActionFormFrame
      of={saving}
      className=""
      submit={open ? `Save as version ${version + 1}` : null}
      may={changed}
      bar={
        <>
          <Told lines={told} />
          {seen !== undefined && <Preview {...seen} />}
          <div className="flex flex-wrap items-end gap-3">
            <button type="button" className="btn-quiet" disabled={!changed} onClick={preview}>
              Which units would it change?
            </button>
            <Text name="note" label="Why it changes" className="w-80" maxLength={300} />
          </div>
        </>
      }
    >
      {/* What was seen is of the rules as they stood. */}
      <div onChange={() => setSeen(undefined)}>
        <Scroll label="Rules">
          <table className="w-full border-collapse bg-sheet">
            <TableHead names={['Rule', 'In force', 'Usual', 'Why']} />
            <tbody>
              {RULE_NAMES.map((name) => (
                <tr key={name} id={name} className={dirtyFields.rules?.[name] === true ? 'bg-tint2' : ''}>
                  <th scope="row" className="cell font-normal" title={name}>
                    {RULES[name].label}
                  </th>
                  <td className="cell whitespace-nowrap">
                    <Cell
                      name={`rules.${name}`}
                      label={`${RULES[name].label}, ${RULES[name].unit}`}
                      className="w-20 font-bold"
                      placeholder="not set"
                      disabled={!open}
                    />{' '}
                    <span className="text-ink2">{RULES[name].unit}</span>
                  </td>
                  <td className="cell text-ink2">{sayUsual(RULES[name].standard)}</td>
                  <td className="cell text-ink2">{rewritten(RULES[name].why)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </Scroll>
        <SchoolFields open={open} />
      </div>
    </ActionFormFrame>
  );
}

const sayUsual = (standard: number | null): string => (standard === null ? 'by table' : plain(standard));

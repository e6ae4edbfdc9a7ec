'use client';

import { useState } from 'react';
import { makeTokenAction, withdrawTokenAction } from '@/app/actions/tokens';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { type ApiToken, TOKEN_SCOPE_WORDS, TOKEN_SCOPES, type TokenScope } from '@/core/shop/token';
import { ActionFormFrame } from '../form/action-form';
import { fieldsOf } from '../form/fields';
import { useAskForm } from '../form/use-action-form';
import { Told } from '../save/told';
import { useAsk } from '../save/use-ask';

type NewToken = { readonly name: string; readonly scope: TokenScope };
const { Text, Select } = fieldsOf<NewToken>();
const BLANK: NewToken = { name: '', scope: 'compute' };

/** The shop's tokens: new ones, and what became of the others. */
export function TokenList({ tokens, now, open }: { readonly tokens: readonly ApiToken[]; readonly now: number; readonly open: boolean }) {
  const [made, setMade] = useState<string>();
  const { ask, asking, told } = useAsk();
  const making = useAskForm(
    makeTokenAction,
    BLANK,
    (values) => values,
    ({ token }) => {
      setMade(token);
      making.form.reset(BLANK);
    },
  );
  return (
    <div className="grid gap-3">
      {open && (
        <ActionFormFrame of={making} submit="Make a token" className="grid max-w-3xl gap-3">
          <div className="flex flex-wrap gap-3">
            <Text name="name" label="What it is for" className="min-w-56 flex-1" maxLength={60} />
            <Select name="scope" label="What it opens" className="w-80" options={TOKEN_SCOPES} say={TOKEN_SCOPE_WORDS} />
          </div>
        </ActionFormFrame>
      )}
      {made !== undefined && (
        <div role="status" className="max-w-3xl border-2 border-act bg-sheet p-3">
          <p>Shown this once; it goes into a header, Authorization: Bearer …</p>
          <p className="break-all font-bold select-all">{made}</p>
        </div>
      )}
      {tokens.length === 0 && <p className="border border-line bg-sheet p-3">None was made yet.</p>}
      <ul className="border border-line bg-sheet px-3 empty:hidden">
        {tokens.map((t) => (
          <li key={t.id} className="flex min-h-12 flex-wrap items-center gap-x-3 border-b py-1.5 border-hair last:border-b-0">
            <b className={t.withdrawnAt === null ? '' : 'text-ink2 line-through'}>{t.name}</b>
            <span className="text-ink2">
              {TOKEN_SCOPE_WORDS[t.scope]}; made {sayWhen(t.at, now)}
              {t.by === null ? '' : ` by ${t.by}`};{' '}
              {t.lastUsedAt === null ? 'never used' : <span title={sayFullDate(t.lastUsedAt)}>last used {sayWhen(t.lastUsedAt, now)}</span>}
            </span>
            <span className="ml-auto">
              {t.withdrawnAt !== null && <span className="text-ink2">withdrawn {sayWhen(t.withdrawnAt, now)}</span>}
              {t.withdrawnAt === null && open && (
                <button
                  type="button"
                  className="btn-quiet"
                  disabled={asking}
                  aria-label={`Withdraw ${t.name}`}
                  onClick={() => void ask(withdrawTokenAction, { id: t.id })}
                >
                  Withdraw
                </button>
              )}
            </span>
          </li>
        ))}
      </ul>
      <Told lines={told} />
    </div>
  );
}

import type { Metadata } from 'next';
import { sayFullDate } from '@/core/quantity/say-time';
import { sayKey } from '@/core/release/certificate-file';
import { theDb } from '@/db/engine/connection';
import { verifyCertificate } from '@/db/release/release';

export const metadata: Metadata = { title: 'Certificate' };

/** What the code on a certificate leads to: whether the shop stands by it. Open to whoever holds the paper; it tells no more than that does. */
export default async function VerifyPage({ params }: { readonly params: Promise<{ readonly number: string; readonly hash: string }> }) {
  const { number, hash } = await params;
  // One form of a number, as it is printed: 7, not 07 nor 7.0.
  const printed = /^[1-9]\d{0,8}$/.test(number);
  const answer = printed ? await verifyCertificate(await theDb(), Number(number), hash) : undefined;
  return (
    <main className="mx-auto max-w-xl px-4 py-10">
      <h1 className="mb-3 text-xl font-bold">Certificate {printed ? number : ''}</h1>
      {answer === undefined ? (
        <p className="border-l-4 border-red pl-3">
          No certificate of this shop has this number and this mark. Either the paper was altered or copied wrongly, or it is not ours. Ask
          the shop before anything is fitted.
        </p>
      ) : (
        <div className="grid gap-2">
          <p className={`border-l-4 pl-3 ${answer.supersededBy === null ? 'border-act' : 'border-amber'}`}>
            {answer.supersededBy === null
              ? 'It stands as it was issued.'
              : `It was issued by this shop, and certificate ${answer.supersededBy} has taken its place: this one no longer counts.`}
          </p>
          <p>
            <b>{answer.statement.tag}</b> · {answer.statement.unit}
          </p>
          <p className="text-ink2">
            {answer.statement.machine} · {sayFullDate(answer.statement.at)}
          </p>
          <p className="text-[12px] break-all text-ink2">{hash}</p>
          {answer.key !== null && (
            <p className="text-ink2">
              Signed with the shop’s key <b>{sayKey(answer.key)}</b>, as{' '}
              <a className="font-bold text-act" href="/verify">
                its list of keys
              </a>{' '}
              has it.
            </p>
          )}
          <p>Hold the paper against this: tag, unit, machine and date must be the same.</p>
        </div>
      )}
    </main>
  );
}

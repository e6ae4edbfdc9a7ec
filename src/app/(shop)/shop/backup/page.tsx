import type { Metadata } from 'next';
import { may } from '@/core/people/role';
import { sayFullDate, sayWhen } from '@/core/quantity/say-time';
import { backupWarning } from '@/core/shop/backup';
import { backupUnderWay, lastGoodBackup, latestBackups } from '@/db/backup/run-backup';
import { theDb } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { BackUp } from '@/ui/shop/back-up';
import { personOrSignIn } from '../../../_server/who';

export const metadata: Metadata = { title: 'Backups' };

export default async function BackupPage() {
  const [db, now, person] = [await theDb(), Date.now(), await personOrSignIn()];
  const [last, all, { settings }] = [await lastGoodBackup(db), await latestBackups(db), await theShop(db)];
  const warning = backupWarning(last, settings.backup.warnDays, now);
  const { hour, keep, folder } = settings.backup;
  return (
    <>
      <h1 className="mb-1 text-xl font-bold">Backups</h1>
      <p className={`mb-1 ${warning === undefined ? '' : 'font-bold text-red'}`}>
        {last.kind === 'made' ? `The last good one was made ${sayWhen(last.at, now)}, and read again to its end.` : 'None was made yet.'}
      </p>
      <p className="mb-3 text-ink2">
        Every night at {hour}:00, {keep} are kept
        {folder === '' ? '; no second folder is set, so that a dead disk takes them too' : `, and a copy in ${folder}`}. A backup holds
        names, telephone numbers and the key of the certificates: keep it as you keep the shop’s keys.
      </p>
      <BackUp state={backupUnderWay() ?? null} open={may(person.role, 'shop')} />
      <ul className="mt-3 border border-line bg-sheet px-3 empty:hidden">
        {all.map((b) => (
          <li key={b.at} className="border-b border-hair py-1.5 last:border-b-0" title={sayFullDate(b.at)}>
            <p className="flex flex-wrap justify-between gap-x-3">
              <span>
                <b>{sayWhen(b.at, now)}</b> {b.verifiedAt === null ? <span className="font-bold text-red">not good</span> : 'good'}
                {b.bytes > 0 && `, ${(b.bytes / 1e6).toFixed(1)} MB`}
              </span>
              <span className="break-all text-ink2">{b.path}</span>
            </p>
            {b.fault !== null && <p className="text-red">{b.fault}</p>}
          </li>
        ))}
      </ul>
      <p className="mt-3 text-[13px] text-ink2">
        To put one back: stop the program, then <code>npm run restore -- FILE</code>. All of it is verified first, and what it replaces is
        kept. <code>npm run check</code> looks through the shop as it is.
      </p>
    </>
  );
}

import { setting } from '@/config';
import { markPosted, takeDue } from '@/db/customer/outbox';
import type { Db } from '@/db/engine/connection';
import { theShop } from '@/db/shop/settings';
import { theLog } from '@/log';
import { postLetter } from '@/ports/mail-line';

/** Letters that are taken at a time. */
const AT_ONCE = 10;

/** Posts the letters that are due, one after another; none where the shop has no mail server. */
export async function postDue(db: Db, clock: () => number = Date.now): Promise<void> {
  const [smtp, address] = [setting('EDDRIN_SMTP'), setting('EDDRIN_MAIL_FROM')];
  if (smtp === undefined || address === undefined) return;
  const { settings } = await theShop(db);
  for (const letter of await takeDue(db, clock(), AT_ONCE)) {
    const posted = await postLetter(smtp, { name: settings.name, address }, letter);
    await markPosted(db, letter, posted, clock());
    if (posted.how !== 'sent') theLog().warn({ message: letter.id, how: posted.how, tries: letter.tries }, 'a message did not go');
  }
}

import { setting } from '@/config';

/** Whether the shop has a mail server; where it has none, messages are read out. */
export const mailGoes = (): 'goes' | 'none' => (setting('EDDRIN_SMTP') === undefined ? 'none' : 'goes');

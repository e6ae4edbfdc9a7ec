import { z } from 'zod';

/** Characters that no keyboard of a bench makes and that bend a calendar, a label or a CSV: control characters but for tab and line feed. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u2028\u2029]/g;
/** What turns the direction of the text after it, and so what a label seems to say. */
const TURNING = /[\u202a-\u202e\u2066-\u2069]/g;

export const plain = (text: string): string => text.replace(/\r\n?/g, '\n').replace(CONTROL, '').replace(TURNING, '');

/** Text from outside: lines end as one kind of end, and nothing in it controls what shows it. */
export const text = (error?: string) => z.string(error).overwrite(plain);

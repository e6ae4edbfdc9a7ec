import { connect, type Socket } from 'node:net';
import { z } from 'zod';
import { setting } from '@/config';
import { text } from '@/core/schema/text';

/** What a rig says; no rig of this trade reads past these. Anything else on its line is rubbish. */
const Message = z.union([
  z.object({ hello: z.literal('rig'), name: text().max(100), speed: z.number().min(0.1).max(1000).default(1) }),
  z.object({ event: z.enum(['filling', 'holding', 'down']) }),
  z.object({
    t: z.number().min(0).max(1_000_000),
    p: z.number().min(-100).max(2000),
    ml: z.number().min(-1000).max(10_000),
    c: z.number().min(-60).max(300).nullish(),
  }),
  z.object({ error: text().max(500) }),
]);
/** A line is a sample or a few words, bytes. */
const LONGEST_LINE = 2000;
export type RigMessage = z.output<typeof Message>;
export type RigCommand =
  | { readonly cmd: 'begin'; readonly unit: string }
  | {
      readonly cmd: 'pressurise';
      readonly targetBar: number;
      readonly rampS: number;
      readonly chamber?: string;
      readonly strokes?: number;
    }
  | { readonly cmd: 'let-go' }
  | { readonly cmd: 'release' };

export type RigLine = { readonly send: (command: RigCommand) => void; readonly close: () => void };

export type RigAddress = { readonly host: string; readonly port: number };

/** Where the shop’s rig listens: `EDDRIN_RIG`, host:port. */
export const rigAddress = (): RigAddress => {
  const [host, port] = setting('EDDRIN_RIG').split(':');
  return { host: host || '127.0.0.1', port: Number(port ?? 7411) };
};

/**
 * Opens a line to the rig: newline-delimited JSON over TCP.
 * @param hear gets every message, or `rubbish` for a line that is none
 * @param lost is called once when the line breaks or cannot be made
 */
export function openRigLine(
  at: RigAddress,
  hear: (message: RigMessage | { readonly rubbish: string }) => void,
  lost: (why: string) => void,
): RigLine {
  const socket: Socket = connect(at);
  let over = false;
  const end = (why: string): void => {
    if (over) return;
    over = true;
    socket.destroy();
    lost(why);
  };
  socket.setTimeout(5000, () => end('the rig does not answer'));
  socket.once('connect', () => socket.setTimeout(0));
  socket.on('error', (error) => end(`no line to the rig: ${error.message}`));
  socket.on('close', () => end('the rig dropped the line'));
  let begun = '';
  socket.setEncoding('utf8').on('data', (piece: string) => {
    const lines = `${begun}${piece}`.split('\n');
    begun = lines.pop() ?? '';
    for (const line of lines) if (!over) hear(line.length > LONGEST_LINE ? { rubbish: line.slice(0, SHOWN) } : parse(line));
    if (begun.length <= LONGEST_LINE || over) return;
    hear({ rubbish: `a line without end, ${begun.slice(0, SHOWN)}` });
    begun = '';
  });
  return {
    send: (command) => void socket.write(`${JSON.stringify(command)}\n`),
    close: () => {
      over = true;
      socket.end();
    },
  };
}

/** Of rubbish, so much is told, characters. */
const SHOWN = 200;

const parse = (line: string): RigMessage | { readonly rubbish: string } => {
  try {
    const message = Message.safeParse(JSON.parse(line));
    return message.success ? message.data : { rubbish: line.slice(0, SHOWN) };
  } catch {
    return { rubbish: line.slice(0, SHOWN) };
  }
};

import { connect, type Socket } from 'node:net';
import { createInterface } from 'node:readline';
import { z } from 'zod';
import { setting } from '@/config';

/** What a rig says. Anything else on its line is rubbish. */
const Message = z.union([
  z.object({ hello: z.literal('rig'), name: z.string().max(100), speed: z.number().positive().default(1) }),
  z.object({ event: z.enum(['filling', 'holding', 'down']) }),
  z.object({ t: z.number(), p: z.number(), ml: z.number(), c: z.number().nullish() }),
  z.object({ error: z.string() }),
]);
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

/** Where the rig listens: `EDDRIN_RIG`, host:port. */
export const rigAddress = (): { readonly host: string; readonly port: number } => {
  const [host, port] = setting('EDDRIN_RIG').split(':');
  return { host: host || '127.0.0.1', port: Number(port ?? 7411) };
};

/**
 * Opens a line to the rig: newline-delimited JSON over TCP.
 * @param hear gets every message, or `rubbish` for a line that is none
 * @param lost is called once when the line breaks or cannot be made
 */
export function openRigLine(hear: (message: RigMessage | { readonly rubbish: string }) => void, lost: (why: string) => void): RigLine {
  const socket: Socket = connect(rigAddress());
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
  // The reader passes the socket's errors on; the socket's own listener has told them.
  createInterface({ input: socket })
    .on('line', (line) => hear(parse(line)))
    .on('error', () => {});
  return {
    send: (command) => void socket.write(`${JSON.stringify(command)}\n`),
    close: () => {
      over = true;
      socket.end();
    },
  };
}

const parse = (line: string): RigMessage | { readonly rubbish: string } => {
  try {
    const message = Message.safeParse(JSON.parse(line));
    return message.success ? message.data : { rubbish: line.slice(0, 200) };
  } catch {
    return { rubbish: line.slice(0, 200) };
  }
};

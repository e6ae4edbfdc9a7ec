import { z } from 'zod';

const text = z.string().min(1);

/** Everything that the environment decides, each with its door and what it is for. Nothing else reads `process.env` for a setting. */
const SETTINGS = {
  EDDRIN_DATA: { door: text.default('./var'), says: 'the folder that a shop’s data lie in' },
  EDDRIN_ORIGIN: {
    door: z.url('is no address, as https://shop.example').optional(),
    says: 'the address that browsers know the shop by; with https its cookies go over https only',
  },
  EDDRIN_PROXY: {
    door: z.string().optional(),
    says: 'addresses of proxies in front, commas between: they are believed where a request came from',
  },
  EDDRIN_SECRET: {
    door: z.string().min(32, 'takes 32 characters or more').optional(),
    says: 'signs cookies; else one is made and kept in the data folder',
  },
  EDDRIN_API_TOKEN: { door: z.string().optional(), says: 'opens /api/v1/compute to scripts and instruments' },
  EDDRIN_RIG: {
    door: z
      .string()
      .regex(/^[^:\s]+:\d{1,5}$/, 'is no host:port')
      .default('127.0.0.1:7411'),
    says: 'where the test rig listens, host:port',
  },
  EDDRIN_LOG: {
    door: z
      .enum(['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'], 'is fatal, error, warn, info, debug, trace or silent')
      .default('info'),
    says: 'how much is logged: fatal, error, warn, info, debug, trace or silent',
  },
  DATABASE_URL: { door: text.optional(), says: 'another database than the file in the data folder, as libsql://…' },
  DATABASE_AUTH_TOKEN: { door: text.optional(), says: 'opens that database' },
} as const satisfies { readonly [name: string]: { readonly door: z.ZodType; readonly says: string } };
type Name = keyof typeof SETTINGS;
const NAMES = Object.keys(SETTINGS) as readonly Name[];

/** A setting as the environment has it now. @throws when it cannot be used: `configFaults` says so at the start */
export const setting = <N extends Name>(name: N): z.output<(typeof SETTINGS)[N]['door']> =>
  SETTINGS[name].door.parse(process.env[name]) as z.output<(typeof SETTINGS)[N]['door']>;

/** All that is wrong with the environment, a line each; empty when the application can start. */
export const configFaults = (environment: Readonly<Record<string, string | undefined>>): readonly string[] =>
  NAMES.flatMap((name) => {
    const parsed = SETTINGS[name].door.safeParse(environment[name]);
    return parsed.success ? [] : [`${name} ${parsed.error.issues[0]?.message ?? 'cannot be used'}.`];
  });

/** The settings as a person reads them: each with what it stands at when it is not set, and what it is for. */
export const sayConfig = (): string =>
  NAMES.map((name) => {
    const usual = SETTINGS[name].door.safeParse(undefined);
    return `  ${name.padEnd(20)} ${SETTINGS[name].says}${usual.success && usual.data !== undefined ? ` (${usual.data})` : ''}`;
  }).join('\n');

import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { betterAuth } from 'better-auth';
import { drizzleAdapter } from 'better-auth/adapters/drizzle';
import { nextCookies } from 'better-auth/next-js';
import { username } from 'better-auth/plugins';
import { overHttps, setting } from '@/config';
import { type Db, dataFolder, shopDb } from '../engine/connection';
import { accounts, people, sessions, verifications } from '../tables';

/** A bench that nobody touches for this long asks for the PIN again, s. */
export const IDLE_S = 2 * 3600;
/** A session in use is renewed this often, s. */
export const RENEW_S = 5 * 60;

/**
 * Sign-in by the library; none of its own routes is served, so people come in by `signIn` only and are made by `addPerson` only.
 * Its writes go through the writer queue like all others.
 */
const makeAuth = (db: Db) =>
  betterAuth({
    baseURL: setting('EDDRIN_ORIGIN') ?? 'http://localhost',
    secret: authSecret(),
    telemetry: { enabled: false },
    database: drizzleAdapter(db, {
      provider: 'sqlite',
      schema: { user: people, session: sessions, account: accounts, verification: verifications },
      transaction: false,
    }),
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: 4, maxPasswordLength: 64 },
    session: { expiresIn: IDLE_S, updateAge: RENEW_S },
    user: {
      additionalFields: {
        role: { type: 'string', input: false },
        bench: { type: 'string', required: false, input: false },
        branch: { type: 'string', required: false, input: false },
      },
    },
    advanced: { useSecureCookies: overHttps(), ipAddress: { ipAddressHeaders: [] } },
    rateLimit: { enabled: false },
    plugins: [
      username({ minUsernameLength: 1, maxUsernameLength: 60, usernameValidator: (name) => /^[a-z0-9-]+$/.test(name) }),
      nextCookies(),
    ],
  });

/** Signs cookies: from the environment, or made once and kept in the data folder. */
let kept: string | undefined;
export const authSecret = (): string => {
  kept ??= setting('EDDRIN_SECRET') ?? storedSecret();
  return kept;
};

const storedSecret = (): string => {
  const file = join(dataFolder(), 'secret');
  if (!existsSync(file)) {
    mkdirSync(dataFolder(), { recursive: true });
    writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600, flag: 'wx' });
  }
  return readFileSync(file, 'utf8');
};

declare global {
  var eddrinAuth: Promise<ReturnType<typeof makeAuth>> | undefined;
}

export const theAuth = (): Promise<ReturnType<typeof makeAuth>> => {
  globalThis.eddrinAuth ??= shopDb().then(makeAuth);
  return globalThis.eddrinAuth;
};

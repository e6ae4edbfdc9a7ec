import { defineConfig } from 'drizzle-kit';

export default defineConfig({ dialect: 'sqlite', schema: './src/db/tables.ts', out: './src/db/engine/migrations', casing: 'snake_case' });

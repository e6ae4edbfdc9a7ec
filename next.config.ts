import type { NextConfig } from 'next';

const language = process.env.EDDRIN_LANGUAGE;

const inWords = (language: string) => ({
  condition: { not: 'foreign' as const },
  loaders: [{ loader: './scripts/words/loader.cjs', options: { language } }],
});

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // `scripts/serve.mjs` does it, at a level of its own for pages.
  compress: false,
  // The tests build into a folder of their own, so that they never replace a running shop's build.
  distDir: process.env.EDDRIN_BUILD ?? '.next',
  serverExternalPackages: ['@libsql/client', 'libsql', '@react-pdf/renderer', 'exceljs', 'highs', 'piscina', 'prom-client', 'sharp'],
  // `npm test` runs the TypeScript 7 compiler itself; Next's own check asks for an API that it no longer has.
  typescript: { ignoreBuildErrors: true },
  // In another language every source of ours goes through its words first (scripts/words).
  ...(language === undefined ? {} : { turbopack: { rules: { '*.ts': inWords(language), '*.tsx': inWords(language) } } }),
  experimental: { serverActions: { bodySizeLimit: '4mb' } },
};

export default config;

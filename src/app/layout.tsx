import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { LANGUAGE, locale } from '@/core/locale';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Eddrin', template: '%s · Eddrin' },
  description: 'From the counter to release: hydraulic cylinders, reconditioned.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

/** How the shop writes, for what the browser says by itself; before any of its scripts. */
const shopWrites = (): string => `eddrinLocale=${JSON.stringify(locale()).replace(/</g, '\\u003c')};`;

/** Follows the system's theme until the person switches; runs before the first paint. */
const FOLLOW_SYSTEM = `if(!document.documentElement.dataset.theme&&matchMedia('(prefers-color-scheme: dark)').matches)document.documentElement.dataset.theme='bench';window.__webpack_nonce__=document.currentScript.nonce`;

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  const theme = (await cookies()).get('theme')?.value;
  const nonce = (await headers()).get('x-nonce') ?? undefined;
  return (
    <html lang={LANGUAGE} data-theme={theme === 'light' || theme === 'bench' ? theme : undefined} suppressHydrationWarning>
      <head>
        <script nonce={nonce} suppressHydrationWarning>
          {shopWrites() + FOLLOW_SYSTEM}
        </script>
      </head>
      <body>{children}</body>
    </html>
  );
}

'use client';

import { Moon, Sun } from 'lucide-react';
import { useRouter } from 'next/navigation';
import type { Units } from '@/core/quantity/units';
import { keep } from './keep';

/** Units (`u`) and theme of this bench, kept in cookies so that the server draws them right at once. */
export function Preferences({ units }: { readonly units: Units }) {
  const router = useRouter();
  const switchUnits = (): void => {
    keep('units', units.length === 'mm' ? 'imperial' : 'metric');
    router.refresh();
  };
  const switchTheme = (): void => {
    const next = document.documentElement.dataset.theme === 'bench' ? 'light' : 'bench';
    document.documentElement.dataset.theme = next;
    keep('theme', next);
  };
  return (
    <span className="flex items-center gap-1">
      <button type="button" data-key="u" onClick={switchUnits} title="Switch units (u)" className="min-h-11 px-2 text-on-bar2">
        {units.length === 'mm' ? 'mm · bar' : 'in · psi'}
      </button>
      <button
        type="button"
        onClick={switchTheme}
        title="Light or bench theme"
        aria-label="Switch between light and bench theme"
        className="flex min-h-11 min-w-9 items-center justify-center text-on-bar2"
      >
        <Sun size={16} className="hidden dark:block" aria-hidden />
        <Moon size={16} className="dark:hidden" aria-hidden />
      </button>
    </span>
  );
}

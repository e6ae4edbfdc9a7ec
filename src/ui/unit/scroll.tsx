import type { ReactNode } from 'react';

/** Something wider or longer than its place, that scrolls by itself; the keyboard reaches it and moves it by arrows. */
export const Scroll = ({
  label,
  className = '',
  children,
}: {
  readonly label: string;
  readonly className?: string;
  readonly children: ReactNode;
}) => (
  // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must take the focus
  <section aria-label={label} tabIndex={0} className={`relative overflow-auto ${className}`}>
    {children}
  </section>
);

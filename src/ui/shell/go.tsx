'use client';

import { useRouter } from 'next/navigation';
import type { AnchorHTMLAttributes, MouseEvent, Ref } from 'react';

/**
 * A link to another page of the application. Nothing is fetched before it is pressed, as each page shows this moment; a page holds
 * dozens, so it does only what a press needs. Anything but a plain press is left to the browser.
 */
export function Go(props: AnchorHTMLAttributes<HTMLAnchorElement> & { readonly href: string; readonly ref?: Ref<HTMLAnchorElement> }) {
  const router = useRouter();
  const go = (e: MouseEvent<HTMLAnchorElement>): void => {
    props.onClick?.(e);
    if (e.button !== 0 || e.metaKey || e.ctrlKey || e.shiftKey || e.altKey || e.defaultPrevented) return;
    e.preventDefault();
    router.push(props.href);
  };
  // biome-ignore lint/a11y: it is a link with its address; the press only spares the page being loaded whole
  return <a {...props} onClick={go} />;
}

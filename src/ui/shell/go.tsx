import Link from 'next/link';
import type { ComponentProps } from 'react';

/** A link to another page. Nothing is fetched before it is pressed: each page shows this moment, and fetching all that a page links to costs more than the page. */
export const Go = (props: ComponentProps<typeof Link>) => <Link {...props} prefetch={false} />;

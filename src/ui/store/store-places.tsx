import { Go } from '../shell/go';

const PLACES = [
  ['store', '/kits', 'Kits and sundries'],
  ['fitments', '/kits?of=fitments', 'Fitments'],
  ['identify', '/kits/identify', 'What is this unit?'],
  ['prices', '/kits/prices', 'Price list'],
  ['files', '/kits/files', 'Import and export'],
] as const;

/** The parts of the kit store. */
export const StorePlaces = ({ here }: { readonly here: (typeof PLACES)[number][0] | 'article' }) => (
  <nav aria-label="Kit store" className="mb-3 flex flex-wrap gap-x-5 border-b border-line">
    {PLACES.map(([name, href, words]) => (
      <Go
        key={name}
        href={href}
        aria-current={name === here ? 'page' : undefined}
        className={`inline-flex min-h-[44px] items-center border-b-2 font-bold ${name === here ? 'border-act text-ink' : 'border-transparent text-act'}`}
      >
        {words}
      </Go>
    ))}
  </nav>
);

import { Go } from '../shell/go';

/** The head of a page of the Book: where it stands, and what it is. @param within pages between the Book and this one */
export const BookHead = ({
  title,
  here,
  within = [],
}: {
  readonly title: string;
  readonly here: string;
  readonly within?: readonly { readonly href: string; readonly text: string }[];
}) => (
  <div>
    <p className="text-[13px]">
      {[{ href: '/book', text: 'Book' }, ...within].map((p) => (
        <span key={p.href}>
          <Go className="font-bold text-act" href={p.href}>
            {p.text}
          </Go>{' '}
          /{' '}
        </span>
      ))}
      {here}
    </p>
    <h1 className="text-xl font-bold">{title}</h1>
  </div>
);

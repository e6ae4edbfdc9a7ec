/** The brass tag that hangs on a unit. */
export function Tag({ text }: { readonly text: string }) {
  return (
    <span
      className="tag-shape inline-flex items-center whitespace-nowrap bg-brass-ground py-px pr-2 pl-4 font-bold text-brass"
      style={{ clipPath: 'polygon(8px 0, 100% 0, 100% 100%, 8px 100%, 0 50%)' }}
    >
      {text}
    </span>
  );
}

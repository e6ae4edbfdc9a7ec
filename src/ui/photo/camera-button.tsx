'use client';

import { Camera } from 'lucide-react';

/** Takes photos with a tablet's camera or from files, several at once. */
export function CameraButton({
  label,
  onPick,
  shortcut,
}: {
  readonly label: string;
  readonly onPick: (files: readonly File[]) => void;
  readonly shortcut?: string;
}) {
  return (
    <label
      className="inline-flex size-[44px] shrink-0 cursor-pointer items-center justify-center border border-line bg-sheet text-act focus-within:outline-3 focus-within:outline-act"
      title={label}
    >
      <Camera size={18} aria-hidden />
      <input
        type="file"
        accept="image/*"
        multiple
        data-key={shortcut}
        className="sr-only"
        aria-label={label}
        onChange={(e) => {
          onPick([...(e.target.files ?? [])]);
          e.target.value = '';
        }}
      />
    </label>
  );
}

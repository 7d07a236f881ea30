import type { Ref } from 'react';

interface Props {
  ref: Ref<HTMLInputElement>;
  label: string;
  take: (files: File[]) => Promise<void>;
}

/** The unseen field behind a button that chooses pictures; the same file may be chosen again. */
export function PictureInput({ ref, label, take }: Props) {
  return (
    <input
      ref={ref}
      type="file"
      hidden
      multiple
      accept="image/jpeg,image/png,image/webp"
      aria-label={label}
      onChange={(event) => {
        void take([...(event.target.files ?? [])]);
        event.target.value = '';
      }}
    />
  );
}

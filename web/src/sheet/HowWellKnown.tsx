import { Select } from 'antd';
import { words } from '../shared/messages';

export type Standing = 'known' | 'said' | 'unknown';

/** How well something claimed is known. */
export function HowWellKnown({ value, name, onChange }: { value: Standing; name: string; onChange: (how: Standing) => void }) {
  return (
    <Select<Standing>
      value={value}
      aria-label={`how well known: ${name}`}
      variant="borderless"
      popupMatchSelectWidth={false}
      onChange={onChange}
      options={(['known', 'said', 'unknown'] as const).map((one) => ({ value: one, label: words.story.standing[one] }))}
    />
  );
}

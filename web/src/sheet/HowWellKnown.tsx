import { Select } from 'antd';
import { useState } from 'react';
import { words } from '../shared/messages';

export type Standing = 'known' | 'said' | 'unknown';

interface Claimed {
  standing: Standing;
  /** Whether anything was recorded of it yet. */
  isOpen: boolean;
  /** What is chosen before there is anything to record goes with what is typed next. */
  mean: (how: Standing | null) => void;
}

/** How well something is known as it was recorded, or as what is typed next is meant to be; what is typed unasked was said. */
export function useStanding(recorded: Standing | undefined): Claimed {
  const [meant, mean] = useState<Standing | null>(null);
  return { standing: meant ?? recorded ?? 'said', isOpen: meant === null && recorded === undefined, mean };
}

interface Props extends Pick<Claimed, 'standing' | 'isOpen'> {
  name: string;
  onChange: (how: Standing) => void;
}

/** How well something claimed is known. */
export function HowWellKnown({ standing, isOpen, name, onChange }: Props) {
  return (
    <Select<Standing>
      value={standing}
      className={isOpen ? 'open' : ''}
      aria-label={`how well known: ${name}`}
      variant="borderless"
      popupMatchSelectWidth={false}
      onChange={onChange}
      options={(['known', 'said', 'unknown'] as const).map((one) => ({ value: one, label: words.story.standing[one] }))}
    />
  );
}

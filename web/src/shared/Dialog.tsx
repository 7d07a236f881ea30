import { Modal } from 'antd';
import { useEffect, useRef, useState, type ReactNode } from 'react';

interface Props {
  open: boolean;
  title: ReactNode;
  onClose: () => void;
  width?: number;
  /** Whether Esc closes it; not where Esc has a meaning within. */
  byEscape?: boolean;
  /** Class of the room whose styles hold within: a dialog stands outside of its place. */
  scope?: string;
  children: ReactNode;
}

/**
 * A dialog as all of ours are: without buttons of its own and without motion; while it is closed it costs nothing. The hand comes to what
 * is marked `data-first` within.
 */
export const Dialog = ({ open, ...opened }: Props): ReactNode => (open ? <Opened {...opened} /> : null);

function Opened({ title, onClose, width = 520, byEscape = true, scope, children }: Omit<Props, 'open'>) {
  const within = useRef<HTMLDivElement>(null);
  // The hand goes back to where it was.
  const [before] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      if (before instanceof HTMLElement || before instanceof SVGElement) before.focus();
    },
    [before],
  );
  return (
    <Modal
      open
      onCancel={onClose}
      footer={null}
      width={width}
      title={title}
      keyboard={byEscape}
      transitionName=""
      maskTransitionName=""
      centered
      afterOpenChange={(isOpen) => {
        if (isOpen) within.current?.querySelector<HTMLElement>('[data-first]')?.focus();
      }}
    >
      <div className={scope} ref={within}>
        {children}
      </div>
    </Modal>
  );
}

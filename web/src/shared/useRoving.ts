import { useRef, useState, type FocusEvent, type KeyboardEvent, type RefObject } from 'react';

/** Where an arrow leads from one of several controls; null where it leads nowhere. */
export type Way = (from: number, key: string) => number | null;

const within = (to: number, count: number): number | null => (to >= 0 && to < count ? to : null);

/** The way over a list, by either pair of arrows. */
export const inList =
  (count: number): Way =>
  (from, key) =>
    key === 'ArrowRight' || key === 'ArrowDown'
      ? within(from + 1, count)
      : key === 'ArrowLeft' || key === 'ArrowUp'
        ? within(from - 1, count)
        : key === 'Home'
          ? 0
          : key === 'End'
            ? count - 1
            : null;

/** The way over rows of equal length. */
export const inGrid =
  (rows: number, columns: number): Way =>
  (from, key) => {
    const column = from % columns;
    if (key === 'ArrowRight') return column + 1 < columns ? from + 1 : null;
    if (key === 'ArrowLeft') return column > 0 ? from - 1 : null;
    if (key === 'ArrowDown') return within(from + columns, rows * columns);
    if (key === 'ArrowUp') return within(from - columns, rows * columns);
    return key === 'Home' ? from - column : key === 'End' ? from - column + columns - 1 : null;
  };

export interface Roving<T extends Element> {
  /** Put on what holds the controls. */
  ref: RefObject<T | null>;
  onKeyDown: (event: KeyboardEvent) => void;
  /** Put on each control. */
  item: (i: number) => { 'data-roving': number; tabIndex: number; onFocus: (event: FocusEvent) => void };
  focus: (i: number) => void;
}

/** Many controls, one tab stop: Tab comes to the one that had the hand last, arrows walk between them. */
export function useRoving<T extends Element>(
  way: Way,
  { first = 0, onWalk }: { first?: number; onWalk?: (i: number) => void } = {},
): Roving<T> {
  const ref = useRef<T>(null);
  const [last, setLast] = useState<number | null>(null);
  const focus = (i: number): void => ref.current?.querySelector<HTMLElement | SVGElement>(`[data-roving="${i}"]`)?.focus();
  return {
    ref,
    focus,
    onKeyDown: (event) => {
      if (event.altKey || event.ctrlKey || event.metaKey || event.defaultPrevented) return;
      const from = Number((event.target as Element).closest('[data-roving]')?.getAttribute('data-roving') ?? NaN);
      const to = Number.isNaN(from) ? null : way(from, event.key);
      if (to === null) return;
      event.preventDefault();
      event.stopPropagation();
      onWalk?.(to);
      focus(to);
    },
    item: (i) => ({ 'data-roving': i, tabIndex: i === (last ?? first) ? 0 : -1, onFocus: () => setLast(i) }),
  };
}

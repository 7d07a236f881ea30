import { useEffect, useRef, type KeyboardEvent, type PointerEvent, type RefObject } from 'react';

/** The shortest stretch that can be looked at, in seconds. */
const NEAREST = 0.2;
const CLOSER = 0.8;
const FARTHER = 1 / CLOSER;
/** By how much of what is shown an arrow moves. */
const STEP = 1 / 5;

interface Stretched {
  onKeyDown: (event: KeyboardEvent) => void;
  onPointerDown: (event: PointerEvent) => void;
  onPointerUp: () => void;
  /** True where the movement was a drag. */
  drag: (event: PointerEvent) => boolean;
  timeAt: (clientX: number) => number;
}

/**
 * A stretch of a longer time that keys, wheel and drag change. The wheel is the chart's only once the chart has the hand, or with Ctrl:
 * else it scrolls the page as everywhere.
 */
export function useStretch(
  svg: RefObject<SVGSVGElement | null>,
  { from, to }: { from: number; to: number },
  whole: { from: number; to: number },
  /** Part of the drawing's width that stands before the axis. */
  before: number,
  onStretch: (from: number, to: number) => void,
): Stretched {
  const show = (start: number, end: number): void => {
    const span = Math.min(Math.max(end - start, NEAREST), whole.to - whole.from);
    const clamped = Math.max(whole.from, Math.min(start, whole.to - span));
    onStretch(clamped, clamped + span);
  };
  const zoom = (factor: number, about: number): void => show(about - (about - from) * factor, about + (to - about) * factor);
  const timeAt = (clientX: number): number => {
    const box = svg.current?.getBoundingClientRect();
    const share = box === undefined || box.width === 0 ? 0.5 : (clientX - box.left) / box.width;
    return from + (Math.max(0, share - before) / (1 - before)) * (to - from);
  };

  const live = useRef({ zoom, timeAt });
  useEffect(() => {
    live.current = { zoom, timeAt };
  });
  useEffect(() => {
    const element = svg.current;
    const onWheel = (event: WheelEvent): void => {
      if (!event.ctrlKey && document.activeElement !== element) return;
      event.preventDefault();
      live.current.zoom(event.deltaY > 0 ? FARTHER : CLOSER, live.current.timeAt(event.clientX));
    };
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, [svg]);

  const held = useRef<{ x: number; from: number } | null>(null);
  return {
    timeAt,
    onKeyDown: (event) => {
      const step = (to - from) * STEP;
      if (event.key === '+' || event.key === '=') zoom(CLOSER, (from + to) / 2);
      else if (event.key === '-') zoom(FARTHER, (from + to) / 2);
      else if (event.key === 'ArrowLeft') show(from - step, to - step);
      else if (event.key === 'ArrowRight') show(from + step, to + step);
      else if (event.key === 'Home') show(whole.from, whole.to);
      else return;
      event.preventDefault();
    },
    onPointerDown: (event) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      held.current = { x: event.clientX, from };
    },
    onPointerUp: () => {
      held.current = null;
    },
    drag: (event) => {
      if (held.current === null) return false;
      const width = (svg.current?.getBoundingClientRect().width ?? 1) * (1 - before);
      const start = held.current.from + ((to - from) / width) * (held.current.x - event.clientX);
      show(start, start + (to - from));
      return true;
    },
  };
}

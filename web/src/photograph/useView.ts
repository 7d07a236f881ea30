import { useEffect, useRef, useState, type RefObject } from 'react';

/** What part of a picture is seen: its centre, and how far it is drawn in, both independent of its size in pixels. */
export interface PictureView {
  /** Centre, 0 to 1 of width and height. */
  x: number;
  y: number;
  /** 1 shows the whole picture. */
  zoom: number;
}

export const WHOLE: PictureView = { x: 0.5, y: 0.5, zoom: 1 };
const CLOSEST = 24;

export function clamped(view: PictureView): PictureView {
  const zoom = Math.min(CLOSEST, Math.max(1, view.zoom));
  const half = 0.5 / zoom;
  const within = (at: number): number => Math.min(1 - half, Math.max(half, at));
  return { x: within(view.x), y: within(view.y), zoom };
}

export const viewBox = (view: PictureView, width: number, height: number): string =>
  `${(view.x - 0.5 / view.zoom) * width} ${(view.y - 0.5 / view.zoom) * height} ${width / view.zoom} ${height / view.zoom}`;

/** Zooming about a point that stays where it is. */
export function zoomedAbout(view: PictureView, factor: number, x: number, y: number): PictureView {
  const next = clamped({ ...view, zoom: view.zoom * factor });
  const ratio = view.zoom / next.zoom;
  return clamped({ x: x + (view.x - x) * ratio, y: y + (view.y - y) * ratio, zoom: next.zoom });
}

interface Hands {
  svg: RefObject<SVGSVGElement | null>;
  /** Where on the picture, 0 to 1, a pointer stands. */
  at: (clientX: number, clientY: number) => [number, number];
}

/** Wheel, two fingers and dragging move a picture's view; a short press without moving is told apart. */
export function useHands(view: PictureView, onView: (view: PictureView) => void, onPress: ((x: number, y: number) => void) | null): Hands {
  const svg = useRef<SVGSVGElement>(null);
  const [pointers] = useState(() => new Map<number, [number, number]>());
  const latest = useRef({ view, onView, onPress });
  useEffect(() => {
    latest.current = { view, onView, onPress };
  });
  const at = (clientX: number, clientY: number): [number, number] => {
    const element = svg.current;
    const matrix = element?.getScreenCTM();
    if (!element || !matrix) return [0.5, 0.5];
    const point = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
    return [point.x / Number(element.dataset['width']), point.y / Number(element.dataset['height'])];
  };
  useEffect(() => {
    const element = svg.current;
    if (element === null) return;
    let moved = 0;
    const onWheel = (event: WheelEvent): void => {
      event.preventDefault();
      const [x, y] = at(event.clientX, event.clientY);
      latest.current.onView(zoomedAbout(latest.current.view, event.deltaY > 0 ? 0.8 : 1.25, x, y));
    };
    const onDown = (event: PointerEvent): void => {
      element.setPointerCapture(event.pointerId);
      pointers.set(event.pointerId, [event.clientX, event.clientY]);
      moved = 0;
    };
    const onMove = (event: PointerEvent): void => {
      const before = pointers.get(event.pointerId);
      if (before === undefined) return;
      const box = element.getBoundingClientRect();
      const { view: now, onView: tell } = latest.current;
      const dx = event.clientX - before[0];
      const dy = event.clientY - before[1];
      moved += Math.abs(dx) + Math.abs(dy);
      const others = [...pointers].filter(([id]) => id !== event.pointerId);
      const other = others[0]?.[1];
      if (other !== undefined) {
        const far = (x: number, y: number): number => Math.hypot(x - other[0], y - other[1]);
        const [x, y] = at((event.clientX + other[0]) / 2, (event.clientY + other[1]) / 2);
        tell(zoomedAbout(now, far(event.clientX, event.clientY) / Math.max(1, far(...before)), x, y));
      } else if (moved > 6) {
        tell(clamped({ ...now, x: now.x - dx / box.width / now.zoom, y: now.y - dy / box.height / now.zoom }));
      }
      pointers.set(event.pointerId, [event.clientX, event.clientY]);
    };
    const onUp = (event: PointerEvent): void => {
      const was = pointers.delete(event.pointerId);
      if (was && moved <= 6 && pointers.size === 0) latest.current.onPress?.(...at(event.clientX, event.clientY));
    };
    element.addEventListener('wheel', onWheel, { passive: false });
    element.addEventListener('pointerdown', onDown);
    element.addEventListener('pointermove', onMove);
    element.addEventListener('pointerup', onUp);
    element.addEventListener('pointercancel', onUp);
    return () => {
      element.removeEventListener('wheel', onWheel);
      element.removeEventListener('pointerdown', onDown);
      element.removeEventListener('pointermove', onMove);
      element.removeEventListener('pointerup', onUp);
      element.removeEventListener('pointercancel', onUp);
    };
  }, [pointers]);
  return { svg, at };
}

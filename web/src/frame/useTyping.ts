import { useCallback, useEffect, useRef } from 'react';

/**
 * Whether a field was typed in since the hand came to it: taking back is the field's own then, even where it was emptied again.
 * A field that was only walked to leaves Ctrl Z to the case.
 */
export function useTyping(): (target: EventTarget | null) => boolean {
  const typed = useRef(new WeakSet<EventTarget>());
  useEffect(() => {
    const onInput = (event: Event): void => {
      if (event.target !== null) typed.current.add(event.target);
    };
    const onLeave = (event: Event): void => {
      if (event.target !== null) typed.current.delete(event.target);
    };
    window.addEventListener('input', onInput, true);
    window.addEventListener('focusout', onLeave, true);
    return () => {
      window.removeEventListener('input', onInput, true);
      window.removeEventListener('focusout', onLeave, true);
    };
  }, []);
  return useCallback((target) => target !== null && typed.current.has(target), []);
}

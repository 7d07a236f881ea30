import { useEffect, useState } from 'react';

/** A value once it has stayed as it is for so many milliseconds: what changes quickly is followed by one question. */
export function useLater<T>(value: T, rest: number): T {
  const [later, setLater] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLater(value), rest);
    return () => clearTimeout(timer);
  }, [value, rest]);
  return later;
}

import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useLater } from './useLater';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

test('what changes quickly is handed on once it rests, and then as it is', () => {
  const seen: string[] = [];
  const { rerender } = renderHook(({ place }) => seen.push(useLater(place, 250)), { initialProps: { place: '1E' } });
  const pass = (milliseconds: number): void =>
    act(() => {
      vi.advanceTimersByTime(milliseconds);
    });
  for (const place of ['1I', '2E', '2I']) {
    rerender({ place });
    pass(249);
  }
  expect(new Set(seen)).toEqual(new Set(['1E']));
  pass(1);
  expect(seen.at(-1)).toBe('2I');
  expect(new Set(seen)).toEqual(new Set(['1E', '2I']));
});

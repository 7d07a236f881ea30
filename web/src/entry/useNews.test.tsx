import { act, screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../shared/api';
import { useSheet, useTimeline } from '../shared/queries';
import { openCase, twin } from '../testing/case';
import { margin } from '../testing/sheets';
import { useBench } from './useBench';
import { patched } from './useNews';

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

const followed = { name: 'springs', whole: false, margins: [], values: [], gone: [], remarks: [], columns: [] };

test('what changed is laid over what is shown: changed in its place, new at the end, gone away', () => {
  const shown = {
    code: 'springs',
    title: 'Springs',
    content: 'a',
    remarks: ['old'],
    values: [],
    margins: [margin({ place: 'A1-E1', sentence: 'first' }), margin({ place: 'A1-I1' }), margin({ place: 'A2-E1' })],
  };
  const told = {
    ...followed,
    margins: [margin({ place: 'A1-E1', sentence: 'changed' }), margin({ place: 'A2-I1' })],
    gone: ['A1-I1 travel_to_bind outer'],
    remarks: ['new'],
  };
  const now = patched(shown, told, 'b');
  expect(now.margins.map((one) => [one.place, one.sentence])).toEqual([
    ['A1-E1', 'changed'],
    ['A2-E1', ''],
    ['A2-I1', ''],
  ]);
  expect([now.content, now.remarks]).toEqual(['b', ['new']]);
  expect(patched(shown, { ...told, whole: true }, 'b').margins).toHaveLength(2);
});

/** A place that shows a sheet and something that is derived aside from it. */
function Place() {
  const { view, record } = useBench();
  const sheet = useSheet(view.id, 'springs').data;
  useTimeline(view.id);
  return (
    <button
      type="button"
      onClick={() => record('reading', { place: 'A1-E1', part: 'spring', item: 'free_height', index: 'outer' }, { text: '2' }, 'x')}
    >
      {sheet?.margins[0]?.sentence}, {view.steps[0]?.left}
    </button>
  );
}

type Request = [path: string, options: { params: { query: { sheets: string } } }];
const requests = (): Request[] => vi.mocked(api.GET).mock.calls;
const asked = (path: string): number => requests().filter(([one]) => one === path).length;

test('ten entries in a row are followed a few times, the whole case is not fetched, and what nobody waits for comes at the end', async () => {
  const view = twin();
  let told = 0;
  const news = () => ({
    revision: 99,
    content: 'b',
    steps: [{ code: 'bench', label: 'Bench', done: 0.1, left: `told ${(told += 1)}`, overdue: false }],
    next: view.next,
    days: view.days,
    sheets: [{ ...followed, margins: [margin({ sentence: 'told what changed' })] }],
    margins: [],
  });
  const { sent } = openCase(<Place />, {
    view,
    get: {
      '/api/cases/{id}/sheets/{sheet}': {
        code: 'springs',
        title: '',
        content: 'a',
        remarks: [],
        values: [],
        margins: [margin({ sentence: 'first' })],
      },
      '/api/cases/{id}/timeline': { order: [], contradictions: [], carried: [] },
      '/api/cases/{id}/news': () => ({ ...news(), revision: sent.length }),
    },
  });
  await screen.findByText(/^first/);
  vi.useFakeTimers({ shouldAdvanceTime: true, toFake: ['setTimeout', 'clearTimeout', 'Date'] }); // the database of the browser goes on
  for (let i = 0; i < 10; i++) {
    act(() => {
      screen.getByRole('button').click();
    });
    await vi.waitFor(() => expect(sent).toHaveLength(i + 1));
    await act(() => vi.advanceTimersByTimeAsync(800));
  }
  await act(() => vi.advanceTimersByTimeAsync(3000));
  expect(sent).toHaveLength(10);
  expect(screen.getByRole('button')).toHaveTextContent(/told what changed, told/);
  expect(asked('/api/cases/{id}/news')).toBeLessThanOrEqual(5);
  expect(asked('/api/cases/{id}/news')).toBeGreaterThanOrEqual(3);
  expect(asked('/api/cases/{id}/sheets/{sheet}')).toBe(1);
  expect(asked('/api/cases/{id}/timeline')).toBe(2);
  expect(asked('/api/cases/{id}')).toBe(0);
  expect(requests().findLast(([path]) => path === '/api/cases/{id}/news')?.[1].params.query.sheets).toBe('springs@b');
});

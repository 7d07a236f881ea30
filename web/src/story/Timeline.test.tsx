import { screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, told } from '../testing/case';
import { ClaimedParts } from './ClaimedParts';
import { Timeline } from './Timeline';

afterEach(() => vi.restoreAllMocks());

const event = (id: string, what: 'build' | 'failure', date: string, amount: number) => ({
  kind: 'event' as const,
  place: 'engine',
  part: 'timeline',
  item: 'event',
  index: id,
  content: { what, date, amount, unit: 'h' as const },
});
const timeline = (order: string[], contradictions: string[] = [], carried: string[] = []) => ({
  '/api/cases/{id}/timeline': { revision: 0, order, contradictions, carried },
});
const life = [event('late', 'failure', '2026-05-01', 31), event('early', 'build', '2025-03-02', 0)];

test('events stand in the order that the server found, with what contradicts itself', async () => {
  openCase(<Timeline />, { entries: life, get: timeline(['early', 'late'], ['The count runs backwards.']) });
  expect(await screen.findByRole('alert')).toHaveTextContent('The count runs backwards.');
  expect(screen.getAllByLabelText(/: date$/).map((input) => (input as HTMLInputElement).value)).toEqual(['2025-03-02', '2026-05-01']);
});

test('a change of one field keeps the others', async () => {
  const { user, sent } = openCase(<Timeline />, { entries: life, get: timeline(['early', 'late']) });
  const words = await screen.findByLabelText('failure: in words');
  await user.type(words, 'Rough, then dead.{Enter}');
  await expect
    .poll(() => told(sent))
    .toEqual([['engine/timeline/event/late', { what: 'failure', date: '2026-05-01', amount: 31, unit: 'h', words: 'Rough, then dead.' }]]);
  expect(sent[0]?.supersedes).toBe('e0');
  await user.click(screen.getByLabelText('failure: same symptom'));
  await expect.poll(() => told(sent).at(-1)?.[1]).toMatchObject({ words: 'Rough, then dead.', sameSymptom: true });
});

test('a new event takes the unit of the last', async () => {
  const { user, sent } = openCase(<Timeline />, {
    entries: [{ ...life[1], content: { what: 'build', unit: 'runs' } } as never],
    get: timeline(['early']),
  });
  await user.click(await screen.findByRole('button', { name: 'Add a run' }));
  await expect.poll(() => told(sent)[0]?.[1]).toEqual({ what: 'run', unit: 'runs' });
});

test('a refused date stays in its row with its reason', async () => {
  const { user } = openCase(<Timeline />, {
    entries: life,
    get: timeline(['early', 'late']),
    refuse: (entry) => (entry.data.date === 'in May' ? { detail: 'x', reason: '“in May” is not a date', pointer: '/data/date' } : null),
  });
  const date = await screen.findByLabelText('failure: date');
  await user.clear(date);
  await user.type(date, 'in May{Enter}');
  expect(await screen.findByText('“in May” is not a date')).toBeVisible();
  expect(date).toHaveValue('in May');
});

test('one letter fills a cell of the carried-over table and goes on downward', async () => {
  const { user, sent } = openCase(<Timeline />, { entries: life, get: timeline(['early', 'late']) });
  (await screen.findByRole('button', { name: /^head, build 2025-03-02/ })).focus();
  await user.keyboard('{ArrowRight}cnx');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['engine/timeline/carry.head/late', { state: 'carried' }],
      ['engine/timeline/carry.cam/late', { state: 'new' }],
      ['engine/timeline/carry.springs/late', { state: 'changed' }],
    ]);
  await user.keyboard('{ArrowUp}{Backspace}');
  await expect.poll(() => sent.at(-1)?.kind).toBe('withdrawal');
  expect(sent.at(-1)?.slot.item).toBe('carry.cam');
});

test('what the table comes to is said under it', async () => {
  openCase(<Timeline />, {
    entries: life,
    get: timeline(['early', 'late'], [], ['In every failure that came again: cam.', 'Ran without trouble too: head.']),
  });
  expect(await screen.findByText('In every failure that came again: cam. Ran without trouble too: head.')).toBeVisible();
});

test('an earlier failure names its case; what follows from tags is said, and a press says what a person says', async () => {
  const first = {
    ...event('first', 'failure', '2026-01-10', 12),
    content: { what: 'failure' as const, earlier: { case: 'c9', parts: [{}] } },
  };
  const { user, sent } = openCase(<Timeline />, {
    entries: [...life, first],
    get: {
      '/api/cases/{id}/timeline': {
        ...timeline(['early', 'first', 'late'])['/api/cases/{id}/timeline'],
        byTags: [{ component: 'springs', event: 'late', state: 'carried' }],
      },
      '/api/cases/{id}/comparable': [
        { id: 'c8', number: 8, name: 'Before' },
        { id: 'c9', number: 9, name: 'In the winter' },
      ],
    },
  });
  expect(await screen.findByText('1 tagged part')).toBeVisible();
  expect(screen.getByText(words.timeline.thisCase)).toBeVisible();
  await user.click(screen.getByRole('combobox', { name: 'failure: case of it' }));
  await user.click(await screen.findByRole('option', { name: 'Before' }));
  await expect.poll(() => told(sent)).toEqual([['engine/timeline/event/first', { what: 'failure', earlier: { case: 'c8' } }]]);
  const cell = screen.getByRole('button', { name: 'springs, failure 2026-05-01: carried' });
  expect(cell.parentElement).toHaveTextContent(words.timeline.byTags);
  await user.click(cell);
  await expect.poll(() => told(sent).at(-1)).toEqual(['engine/timeline/carry.springs/late', { state: 'new' }]);
});

test('a press goes through the states', async () => {
  const { user, sent } = openCase(<Timeline />, { entries: life, get: timeline(['early', 'late']) });
  const cell = await screen.findByRole('button', { name: /^head, failure 2026-05-01/ });
  await user.click(cell);
  await user.click(cell);
  await expect.poll(() => sent.map((entry) => entry.data.state)).toEqual(['new', 'carried']);
});

test('what was fitted is said by kind, with how well it is known', async () => {
  const { user, sent } = openCase(<ClaimedParts />);
  await user.type(await screen.findByLabelText('claimed springs, all exhausts'), 'dual, 1.55{Enter}');
  await user.type(screen.getByLabelText('claimed oil: grade and maker’s code'), '10W-50{Enter}');
  const figure = await screen.findByLabelText('claimed oil phosphorus');
  await user.type(figure, '1100{Enter}');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['kind-E/springs/claimed.words', { words: 'dual, 1.55', standing: 'said' }],
      ['engine/oil/claimed.words', { words: '10W-50', standing: 'said' }],
      ['engine/oil/claimed.oil_phosphorus', { text: '1100', standing: 'said' }],
    ]);
  expect(within(screen.getByRole('table')).getAllByRole('row')).toHaveLength(4);
});

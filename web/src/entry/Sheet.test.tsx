import { screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { openCase, told, twin } from '../shared/test-case';
import { Asked } from './Asked';
import { Sheet, type ReadingColumn, type SheetRow } from './Sheet';
import { catalogue } from '../shared/test-case';

afterEach(() => vi.restoreAllMocks());

const rows: SheetRow[] = ['A1-E1', 'A1-I1', 'A2-E1'].map((key) => ({ key, name: key.slice(1), head: key }));
const column = (key: string, gauge?: string, without?: string): ReadingColumn => ({
  key,
  name: key,
  head: key,
  gauge,
  slot: (row) => (row.key === without ? null : { place: row.key, part: 'valve', item: key }),
});

function Opened({ columns, enter }: { columns: readonly ReadingColumn[]; enter: 'down' | 'across' }) {
  const [at, setAt] = useState('A1-E1');
  return <Sheet label="sheet" rows={rows} columns={columns} rowHead="valve" enter={enter} at={at} onRow={setAt} />;
}

const live = (): string => document.activeElement?.getAttribute('aria-label') ?? '';

test('Enter saves and goes down the column, then to the head of the next', async () => {
  const { user, sent } = openCase(<Opened columns={[column('lash'), column('pull')]} enter="down" />);
  await user.keyboard('0.016{Enter}0.017{Enter}{Enter}');
  expect(live()).toBe('1-E1 pull');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A1-E1/valve/lash', { text: '0.016' }],
      ['A1-I1/valve/lash', { text: '0.017' }],
    ]);
});

test('Enter goes along the row and passes over cells that are not there', async () => {
  const { user } = openCase(<Opened columns={[column('lash'), column('pull', undefined, 'A1-E1'), column('third')]} enter="across" />);
  await user.keyboard('{Enter}');
  expect(live()).toBe('1-E1 third');
  await user.keyboard('{Enter}');
  expect(live()).toBe('1-I1 lash');
});

test('arrows step while nothing is being typed, and stop at what is not there', async () => {
  const { user } = openCase(<Opened columns={[column('lash'), column('pull', undefined, 'A1-I1')]} enter="across" />);
  await user.keyboard('{ArrowDown}{ArrowRight}');
  expect(live()).toBe('1-I1 lash');
  await user.keyboard('{ArrowDown}{ArrowRight}');
  expect(live()).toBe('2-E1 pull');
});

test('a refused entry brings the hand back, says why, and takes what is offered', async () => {
  const { user, sent } = openCase(<Opened columns={[column('lash')]} enter="down" />, {
    refuse: (entry) =>
      entry.data.text === '16'
        ? { detail: '16 in is not plausible', reason: '16 in is not plausible', accepted: '0.016, 16 thou', offers: ['16 thou'] }
        : null,
  });
  await user.keyboard('16{Enter}');
  const alert = await screen.findByRole('alert');
  expect(alert).toHaveTextContent('1-E1 lash: 16 in is not plausible');
  expect(alert).toHaveTextContent('Accepted: 0.016, 16 thou.');
  expect(live()).toBe('1-E1 lash');
  await user.click(screen.getByRole('button', { name: 'Take 16 thou' }));
  await expect.poll(() => told(sent).at(-1)).toEqual(['A1-E1/valve/lash', { text: '16 thou' }]);
  await expect.poll(() => screen.queryByRole('alert')).toBeNull();
});

test('an emptied cell is taken back', async () => {
  const { user, sent } = openCase(<Opened columns={[column('lash')]} enter="down" />, {
    entries: [{ kind: 'reading', place: 'A1-E1', part: 'valve', item: 'lash', content: { text: '0.016' } }],
  });
  await user.clear(screen.getByLabelText('1-E1 lash'));
  await user.keyboard('{Enter}');
  await expect.poll(() => sent.map((entry) => [entry.kind, entry.supersedes])).toEqual([['withdrawal', 'e0']]);
});

test('a gauge on its cable fills the live cell and says that it was not typed', async () => {
  const { user, sent } = openCase(<Opened columns={[column('pull', 'lever_tester')]} enter="down" />, {
    get: { '/api/gauges/{gauge}/reading': { gauge: 'lever_tester', value: '118', unit: 'lbf', simulated: true } },
  });
  await user.keyboard('{F8}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/valve/pull', { text: '118 lbf', received: true }]]);
  expect(live()).toBe('1-I1 pull');
});

test('a question is answered, changed and taken back', async () => {
  const question = catalogue.asked[0];
  if (question === undefined) throw new Error('no question');
  const { user, sent } = openCase(<Asked question={question as never} place="A1-E1" />, { view: twin() });
  await user.click(screen.getByRole('radio', { name: 'by finger' }));
  expect(screen.getByText('Oil film or a light burr.')).toBeVisible();
  await user.click(screen.getByRole('radio', { name: 'would not slide' }));
  await user.click(screen.getByRole('radio', { name: 'not asked' }));
  await expect
    .poll(() => sent.map((entry) => [entry.kind, entry.data.choice ?? null]))
    .toEqual([
      ['answer', 'finger'],
      ['answer', 'stuck'],
      ['withdrawal', null],
    ]);
  expect(sent[1]?.supersedes).toBe(sent[0]?.id);
});

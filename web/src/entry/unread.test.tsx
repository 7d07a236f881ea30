import { screen } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, twin } from '../testing/case';
import { Unread } from './Unread';

afterEach(() => vi.restoreAllMocks());

const unread = {
  id: '01900000-0000-7000-8000-0000000000aa',
  kind: 'reading',
  place: 'A1-E1',
  part: 'valve',
  item: 'lash',
  index: null,
  by: 'somebody',
  at: '2026-11-26T10:00:00.000Z',
  reason: '/data/value: nothing stands here; accepted is an object.',
  raw: {},
};

test('an entry that cannot be read is named, and taken back over itself', async () => {
  const { user, sent } = openCase(<Unread />, { view: { ...twin(), unread: [unread] } });
  await user.click(await screen.findByRole('button', { name: words.unread.count(1) }));
  expect(await screen.findByText(unread.reason)).toBeVisible();
  await user.click(screen.getByRole('button', { name: words.unread.takeBack }));
  await expect.poll(() => sent).toHaveLength(1);
  expect(sent[0]).toMatchObject({ kind: 'withdrawal', supersedes: unread.id, slot: { place: 'A1-E1', part: 'valve', item: 'lash' } });
});

test('where everything can be read nothing is said', () => {
  openCase(<Unread />);
  expect(screen.queryByRole('button')).toBeNull();
});

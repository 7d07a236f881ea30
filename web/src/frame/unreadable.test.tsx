import { screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Refused } from '../shared/api';
import { words } from '../shared/messages';
import { useRanking } from '../shared/queries';
import { openCase, twin } from '../testing/case';
import { Unreadable } from './Unreadable';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

function Place({ id }: { id: string }) {
  const ranking = useRanking(id);
  return (
    <>
      <Unreadable caseId={id} />
      <p>{ranking.data?.sentence}</p>
    </>
  );
}

const refused = (status: number): Error => new Refused({ title: 'x', status, detail: 'The program has a fault.', fault: 'ab12' });

test('a fault behind an empty place is said with its number, and trying again brings what was missing', async () => {
  const view = twin();
  let answers = (): unknown => {
    throw refused(500);
  };
  const { user } = openCase(<Place id={view.id} />, { view, get: { '/api/cases/{id}/ranking': () => answers() } });
  expect(await screen.findByRole('alert')).toHaveTextContent('The program has a fault. (ab12)');
  answers = () => ({ sentence: 'Established.' });
  await user.click(screen.getByRole('button', { name: words.tryAgain }));
  expect(await screen.findByText('Established.')).toBeVisible();
  expect(screen.queryByRole('alert')).toBeNull();
});

test('what is refused for a reason is left to the place that asked', async () => {
  const view = twin();
  const ranking = vi.fn(() => {
    throw refused(404);
  });
  openCase(<Place id={view.id} />, { view, get: { '/api/cases/{id}/ranking': ranking } });
  await vi.waitFor(() => expect(ranking).toHaveBeenCalled());
  await new Promise((done) => setTimeout(done, 50));
  expect(screen.queryByRole('alert')).toBeNull();
});

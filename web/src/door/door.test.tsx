import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Troubles } from '../keeping/Troubles';
import { api } from '../shared/api';
import { words } from '../shared/messages';
import { DoorGate } from './DoorGate';

afterEach(() => vi.restoreAllMocks());

const ok = (data: unknown) => Promise.resolve({ data, response: new Response(null, { status: 200 }) });

function atTheDoor(door: { open: boolean; network: string }, state: object = { troubles: [], waiting: 0 }) {
  vi.spyOn(api, 'GET').mockImplementation(((path: string) => ok(path === '/api/door' ? { ...door } : state)) as never);
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <DoorGate>
        <Troubles />
        <p>inside</p>
      </DoorGate>
    </QueryClientProvider>,
  );
  return userEvent.setup();
}

test('a device that is not known tells the shop word, and is let in when it is right', async () => {
  const door = { open: false, network: 'http://192.0.2.7:8740' };
  const user = atTheDoor(door);
  const told: unknown[] = [];
  vi.spyOn(api, 'POST').mockImplementation(((_path: string, { body }: { body: { word: string } }) => {
    told.push(body.word);
    if (body.word !== 'right') {
      const error = { title: 'Device not known', status: 401, detail: 'This is not the shop word.' };
      return Promise.resolve({ error, response: new Response(null, { status: 401 }) });
    }
    door.open = true;
    return ok({ ...door });
  }) as never);
  await user.type(await screen.findByLabelText(words.door.word), 'wrong{Enter}');
  expect(await screen.findByRole('alert')).toHaveTextContent('This is not the shop word.');
  expect(screen.queryByText('inside')).toBeNull();
  await user.clear(screen.getByLabelText(words.door.word));
  await user.type(screen.getByLabelText(words.door.word), 'right{Enter}');
  expect(await screen.findByText('inside')).toBeVisible();
  expect(told).toEqual(['wrong', 'right']);
  expect(screen.getByRole('note')).toHaveTextContent('http://192.0.2.7:8740');
});

test('on this computer alone nothing is asked, and nothing is said', async () => {
  atTheDoor({ open: true, network: '' });
  expect(await screen.findByText('inside')).toBeVisible();
  expect(screen.queryByRole('note')).toBeNull();
  expect(screen.queryByRole('alert')).toBeNull();
});

test('what is wrong with the computer is said', async () => {
  atTheDoor({ open: true, network: '' }, { troubles: ['The disk is nearly full.', 'The helper does not run.'], waiting: 3 });
  expect(await screen.findByRole('alert')).toHaveTextContent('The disk is nearly full. The helper does not run.');
});

import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen } from '@testing-library/react';
import { createMemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { routes } from './App';
import { api } from './shared/api';
import { words } from './shared/messages';
import { Routed } from './shared/Routed';
import { catalogue, twin } from './testing/case';

const view = twin({
  steps: [
    { code: 'story', label: 'Story', done: 1, left: '', overdue: false },
    { code: 'remedy', label: 'Remedy', done: null, left: '', overdue: false },
    { code: 'report', label: 'Report', done: null, left: 'no call yet', overdue: false },
  ],
  next: { step: 'report', words: 'Print it', place: null },
});

afterEach(() => {
  vi.restoreAllMocks();
  vi.doUnmock('./report/Report');
});

/** The whole page on a server that has one case. */
function openPage(address: string) {
  const known: Record<string, unknown> = {
    '/api/cases/{id}': view,
    '/api/catalogue': catalogue,
    '/api/door': { open: true, network: '' },
    '/api/state': { troubles: [], waiting: 0 },
    '/api/cases': { rows: [], plans: {}, counts: {}, next: null },
  };
  vi.spyOn(api, 'GET').mockImplementation(((path: string) =>
    path in known
      ? Promise.resolve({ data: known[path], response: new Response(null, { status: 200 }) })
      : new Promise(() => undefined)) as never);
  const router = createMemoryRouter(routes, { initialEntries: [address] });
  render(
    <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
      <Routed router={router} />
    </QueryClientProvider>,
  );
  return router;
}

test('an unknown address ends in words, with the way back', async () => {
  openPage('/no/such/thing');
  expect(await screen.findByText(words.nowhere.page('/no/such/thing'))).toBeVisible();
  expect(screen.getByRole('link', { name: words.newCase.back })).toHaveAttribute('href', '/');
});

test('an unknown place of a case is said, and a step of the work is none', async () => {
  const router = openPage(`/case/${view.id}/nonsense`);
  expect(await screen.findByText(words.nowhere.place('nonsense'))).toBeVisible();
  await act(() => router.navigate(`/case/${view.id}/remedy`));
  expect(await screen.findByText(words.remedy.sections.reassembly)).toBeVisible();
});

test('a case without a step opens where its next act is, under a title of its own', async () => {
  const router = openPage(`/case/${view.id}`);
  await expect.poll(() => router.state.location.pathname).toBe(`/case/${view.id}/report`);
  await expect.poll(() => document.title).toBe('Report · 0007 · Made-up twin · Mute Tapper');
  expect(screen.getByRole('main', { name: 'Report' })).toBeVisible();
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('0007 · Made-up twin: Report');
});

test('the step line leads to every step and keeps the station', async () => {
  openPage(`/case/${view.id}/report?at=A2-I1`);
  expect(await screen.findByRole('link', { name: /Remedy/ })).toHaveAttribute('href', `/case/${view.id}/remedy?at=A2-I1`);
  expect(screen.getByRole('link', { name: /Story/ })).toHaveAttribute('href', `/case/${view.id}/story?at=A2-I1`);
});

test('a place whose part is not there any more ends in words inside the frame', async () => {
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  vi.doMock('./report/Report', () => {
    throw new Error('Failed to fetch dynamically imported module: /build/assets/Report-1.js');
  });
  openPage(`/case/${view.id}/report`);
  expect(await screen.findByRole('alert')).toBeVisible();
  expect(screen.getByRole('navigation', { name: words.step.all })).toBeVisible();
});

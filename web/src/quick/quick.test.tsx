import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter } from 'react-router';
import { afterEach, expect, test, vi } from 'vitest';
import { api } from '../shared/api';
import { Routed } from '../shared/Routed';
import Quick from './Quick';

afterEach(() => vi.restoreAllMocks());

const calculation = (name: string, title: string, inputs: string[], isList = false) => ({
  name,
  title,
  formula: inputs.join(' − '),
  mark: 'practice',
  source: 'common practice of the trade',
  resultDimension: 'length',
  home: name === 'travel' ? 'Springs' : null,
  inputs: inputs.map((input) => ({ name: input, meaning: `the ${input}`, dimension: 'length', isList })),
});
const travel = calculation('travel', 'Travel to bind', ['height', 'lift']);
const shown = (text: string) => ({ figure: text, unit: 'in', plusMinus: null, shown: `${text} in` });
const trace = {
  calculation: 'travel',
  title: 'Travel to bind',
  formula: 'height − lift',
  mark: 'practice',
  source: 'common practice of the trade',
  inputs: ['height', 'lift'].map((name) => ({ name, meaning: `the ${name}`, value: shown('1.0'), origin: 'as typed', share: 0.5 })),
  result: shown('0.130'),
};

function openQuick(at: string, answered: { status?: number; body: unknown } = { body: trace }) {
  const reply = (body: unknown, status = 200) =>
    Promise.resolve(
      status === 200 ? { data: body, response: new Response(null, { status }) } : { error: body, response: new Response(null, { status }) },
    ) as never;
  vi.spyOn(api, 'GET').mockImplementation(() => reply([calculation('other', 'Stem in guide', ['a']), travel]));
  const asked = vi.spyOn(api, 'POST').mockImplementation(() => reply(answered.body, answered.status));
  const router = createMemoryRouter([{ path: '/quick', element: <Quick /> }], { initialEntries: [at] });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Routed router={router} />
    </QueryClientProvider>,
  );
  return { user: userEvent.setup(), asked, address: () => decodeURIComponent(router.state.location.search) };
}

test('what is typed is worked out once it is complete, and stands in the address', async () => {
  const { user, asked, address } = openQuick('/quick?of=travel');
  await user.type(await screen.findByLabelText('the height'), '1.9');
  expect(asked).not.toHaveBeenCalled();
  await user.type(screen.getByLabelText('the lift'), '570 thou');
  expect(await screen.findByRole('status')).toHaveTextContent('0.130 in');
  expect(asked.mock.lastCall?.[1]).toMatchObject({
    params: { path: { name: 'travel' }, query: { units: 'inch' } },
    body: { height: '1.9', lift: '570 thou' },
  });
  expect(address().replaceAll('+', ' ')).toContain('in.lift=570 thou');
});

test('an address that was sent opens with its figures and units', async () => {
  const { asked } = openQuick('/quick?of=travel&units=metric&in.height=48&in.lift=14');
  expect(await screen.findByLabelText('the height')).toHaveValue('48');
  expect(await screen.findByRole('status')).toHaveTextContent('0.130 in');
  expect(asked.mock.lastCall?.[1]).toMatchObject({ params: { query: { units: 'metric' } } });
  expect(screen.getByRole('radio', { name: 'metric' })).toBeChecked();
});

test('what is not understood says so, and the last result is gone', async () => {
  openQuick('/quick?of=travel&in.height=1.9.0&in.lift=1', { status: 422, body: { detail: '/height: two decimal points.' } });
  expect(await screen.findByRole('alert')).toHaveTextContent('the height: two decimal points');
  expect(screen.queryByRole('status')).toBeNull();
});

test('a calculation is found by a word of its title, and the result is copied as text', async () => {
  const { user } = openQuick('/quick?of=travel&in.height=1&in.lift=1');
  await user.type(await screen.findByLabelText('Find a calculation'), 'guide');
  expect(within(screen.getByRole('list')).getAllByRole('link')).toHaveLength(1);
  expect(screen.getByRole('link', { name: 'Stem in guide' })).toBeVisible();
  await screen.findByRole('status');
  await user.click(screen.getByRole('button', { name: 'Copy as text' }));
  expect(await navigator.clipboard.readText()).toBe(
    'Travel to bind\nheight − lift\nthe height: 1.0 in\nthe lift: 1.0 in\n= 0.130 in\ncommon practice of the trade',
  );
});

test('calculations stand under the sheet that they are at home on, those of no sheet last', async () => {
  openQuick('/quick');
  const list = within(await screen.findByRole('navigation', { name: 'Quick calculations' }));
  const homes = await list.findAllByRole('heading', { level: 2 });
  expect(homes.map((one) => one.textContent)).toEqual(['Springs', 'On no sheet']);
  await userEvent.type(screen.getByLabelText('Find a calculation'), 'springs');
  expect(list.getAllByRole('link').map((one) => one.textContent)).toEqual(['Travel to bind']);
});

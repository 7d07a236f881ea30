import { act, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { ChainView } from '../draw/chainLayout';
import { words } from '../shared/messages';
import { openCase, told } from '../testing/case';
import { Chain } from './Chain';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

const event = (code: string, label: string, number: number | null, more: object = {}) => ({
  code,
  label,
  isCause: false,
  standing: 'seen',
  number,
  evidence: '1E',
  sentence: `${label}, 1E.`,
  because: '',
  probability: 0.9,
  places: ['A1-E1'],
  signs: ['coils_bright'],
  step: 'teardown',
  strand: 0,
  needsAll: false,
  isOlder: false,
  addedBy: '',
  ...more,
});
const link = (from: string, to: string, more: object = {}) => ({ from, to, standing: 'seen', isCut: false, by: '', words: '', ...more });
const chain = {
  events: [
    event('height', 'Height too small', 1, { isCause: true }),
    event('bind', 'Spring goes solid', 2, { signs: ['end_coil_dug'], because: 'Because of 1: lost travel.' }),
    event('overload', 'Train overloaded', 3, { places: ['A2-E1'] }),
    event('leak', 'Valve does not seal', null, { standing: 'not_looked', step: '' }),
  ],
  links: [link('height', 'bind'), link('bind', 'overload'), link('bind', 'leak', { standing: 'not_looked' })],
  orders: [],
  first: 'bind',
  firstBy: '',
  edits: [],
  contained: [{ event: 'bind', label: 'Spring goes solid', words: 'Less lift.' }],
  left: [],
} as unknown as ChainView;

function open(given: ChainView = chain, at = 'cause/chain', entries: Parameters<typeof openCase>[1] = {}) {
  return openCase(<Chain beside={<p>beside</p>} />, { get: { '/api/cases/{id}/chain': given }, at, ...entries });
}
const box = (name: RegExp): Promise<HTMLElement> => screen.findByRole('button', { name });
const take = async (name: RegExp): Promise<void> => {
  const found = await box(name);
  act(() => found.focus());
};

test('each event is said with its number, how it is known, and what led to it', async () => {
  open();
  expect(await box(/^2, Spring goes solid, seen, 1E, first event, because of 1, leads to 3 and Valve does not seal$/)).toBeVisible();
  expect(await box(/^Valve does not seal, not looked, 1E, because of 2$/)).toBeVisible();
  const story = screen.getByRole('region', { name: words.chain.story });
  expect(
    within(story)
      .getAllByRole('listitem')
      .slice(0, 3)
      .map((one) => one.textContent),
  ).toEqual([
    '1Height too small, 1E. teardown',
    '2Spring goes solid, 1E. teardownBecause of 1: lost travel.',
    '3Train overloaded, 1E. teardown',
  ]);
  expect(story).toHaveTextContent('Less lift.');
  expect(story).toHaveTextContent(words.cause.leftNothing);
});

test('an event of which something else is known than at the last look is marked', async () => {
  openCase(<Chain beside={null} changed={['end_coil_dug', 'other']} />, { get: { '/api/cases/{id}/chain': chain }, at: 'cause/chain' });
  expect(await box(new RegExp(`^2, Spring goes solid,.*${words.cause.changed}$`))).toBeVisible();
  expect(screen.getAllByRole('button', { name: new RegExp(words.cause.changed) })).toHaveLength(1);
});

test('arrows go along the links and between the lanes, and the story follows the hand', async () => {
  const { user, address } = open();
  await take(/^1, Height/);
  await user.keyboard('{ArrowRight}');
  expect(document.activeElement).toHaveAccessibleName(/^2, Spring/);
  await user.keyboard('{ArrowRight}');
  const upper = document.activeElement;
  await user.keyboard('{ArrowDown}');
  if (document.activeElement === upper) await user.keyboard('{ArrowUp}');
  expect(document.activeElement).not.toBe(upper);
  await user.keyboard('{ArrowLeft}');
  expect(document.activeElement).toHaveAccessibleName(/^2, Spring/);
  await waitFor(() => expect(address()).toBe('cause/chain?event=bind'));
  expect(document.querySelector('.story-of-chain .chosen')).toHaveTextContent('Spring goes solid');
});

test('a link is cut with its reason, without a mouse', async () => {
  const { user, sent } = open();
  await take(/^2, Spring/);
  await user.keyboard('c');
  const dialog = await screen.findByRole('dialog');
  await waitFor(() => expect(within(dialog).getByLabelText(words.chain.why)).toHaveFocus());
  await user.keyboard('the shim was out before{Enter}');
  await waitFor(() =>
    expect(told(sent)).toEqual([
      ['engine/chain/cut/height.bind', { edit: 'cut', event: 'height', to: 'bind', words: 'the shim was out before' }],
    ]),
  );
  expect(screen.queryByRole('dialog')).toBeNull();
});

test('a cut link is mended by taking the cut back', async () => {
  const cut = { edit: 'cut', event: 'height', to: 'bind' } as const;
  const { user, sent } = open(
    { ...chain, links: [link('height', 'bind', { isCut: true }), ...chain.links.slice(1)] } as ChainView,
    'cause/chain?event=bind',
    { entries: [{ kind: 'chain', place: 'engine', part: 'chain', item: 'cut', index: 'height.bind', content: cut }] },
  );
  await take(/^2, Spring/);
  await user.keyboard('c');
  await user.click(await screen.findByRole('button', { name: words.chain.mend }));
  await waitFor(() => expect(sent.map((one) => [one.kind, one.slot.index, one.supersedes])).toEqual([['withdrawal', 'height.bind', 'e0']]));
});

test('an event is added behind the chosen one, with the link to it', async () => {
  const { user, sent } = open();
  await take(/^3, Train/);
  await user.keyboard('a');
  await waitFor(() => expect(screen.getByLabelText(words.chain.what)).toHaveFocus());
  expect(screen.getByRole('button', { name: words.chain.add })).toBeDisabled();
  await user.keyboard('crown struck{Enter}');
  await waitFor(() => expect(sent).toHaveLength(2));
  const [added, linked] = sent;
  expect(added?.data).toMatchObject({ edit: 'event', words: 'crown struck', known: 'seen' });
  expect(added?.data.event).toMatch(/^own-[a-z0-9]{10}$/);
  expect(linked?.data).toEqual({ edit: 'link', event: 'overload', to: added?.data.event });
});

test('one event is moved after another, which says which came first', async () => {
  const { user, sent } = open();
  await take(/^2, Spring/);
  await user.keyboard('m');
  await screen.findByRole('dialog');
  await user.click(screen.getByRole('combobox', { name: words.chain.way.order }));
  await user.click(await screen.findByText(words.chain.ways.order[1]));
  await user.type(screen.getByLabelText(words.chain.why), 'old witness{Enter}');
  await waitFor(() => expect(sent[0]?.data).toEqual({ edit: 'order', event: 'height', to: 'bind', words: 'old witness' }));
});

test('where it began and what is older are said by one key, and taken back by the same', async () => {
  const older = { edit: 'older', event: 'bind' } as const;
  const { user, sent } = open(chain, 'cause/chain', {
    entries: [{ kind: 'chain', place: 'engine', part: 'chain', item: 'older', index: 'bind', content: older }],
  });
  await take(/^2, Spring/);
  await user.keyboard('f');
  await waitFor(() => expect(told(sent)).toEqual([['engine/chain/first', { edit: 'first', event: 'bind' }]]));
  await user.keyboard('o');
  await waitFor(() => expect(sent[1]).toMatchObject({ kind: 'withdrawal', slot: { item: 'older', index: 'bind' } }));
});

test('what was changed by hand stands below with name and reason, and does not fit where it does not', async () => {
  const { user, sent } = open(
    {
      ...chain,
      edits: [
        {
          edit: 'cut',
          event: 'surge',
          to: 'float',
          label: 'Cut: surge → float',
          words: 'not so',
          by: 'E. S.',
          at: '2026-11-28T10:00:00Z',
          isAdrift: true,
        },
      ],
    },
    'cause/chain',
    {
      entries: [
        {
          kind: 'chain',
          place: 'engine',
          part: 'chain',
          item: 'cut',
          index: 'surge.float',
          content: { edit: 'cut', event: 'surge', to: 'float' },
        },
      ],
    },
  );
  expect(await screen.findByText(words.chain.adrift)).toBeVisible();
  expect(screen.getByText(/Cut: surge → float, E. S./)).toHaveTextContent('not so');
  await user.click(screen.getByRole('button', { name: words.chain.takeBackOf('Cut: surge → float') }));
  await waitFor(() => expect(sent[0]).toMatchObject({ kind: 'withdrawal', supersedes: 'e0' }));
});

test('without any event it says what would start a chain', async () => {
  open({ ...chain, events: [], links: [], first: null, contained: [] });
  expect(await screen.findByText(words.chain.empty)).toBeVisible();
  expect(screen.getByText('beside')).toBeVisible();
});

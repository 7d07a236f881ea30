import { screen, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { EntryView } from '../shared/api';
import { openCase, told, twin } from '../testing/case';
import { Annotator } from './Annotator';
import { PhotoDesk } from './PhotoDesk';

const SHA = 'b'.repeat(64);
const view = () =>
  ({
    ...twin(),
    photographs: [{ sha256: SHA, mediaType: 'image/png', bytes: 10, width: 1760, height: 1200, fileName: 'p.png', workingCopy: 'ready' }],
  }) as never;
const photo = (index: string, state = 'as_found') => ({
  kind: 'photograph' as const,
  place: 'A1-E1',
  part: 'spring',
  item: 'photograph',
  index,
  content: { sha256: SHA, caption: `1E spring ${index}`, state: state as 'as_found' },
});
const entry = {
  id: 'e0',
  kind: 'photograph',
  place: 'A1-E1',
  part: 'spring',
  item: 'photograph',
  index: 'p',
  sha256: SHA,
  caption: '1E spring',
  state: 'as_found',
  content: { sha256: SHA },
} as unknown as EntryView;

beforeEach(() => {
  // The drawn page of the tests has no camera of its own on a drawing.
  SVGElement.prototype.setPointerCapture = () => undefined;
});
afterEach(() => vi.restoreAllMocks());

const opened = (measures: object[] = [], onClose = () => undefined) =>
  openCase(<Annotator entry={entry} onClose={onClose} />, {
    view: view(),
    entries: [
      photo('p'),
      ...measures.map((_, i) => ({
        kind: 'annotation' as const,
        place: 'A1-E1',
        part: 'spring',
        item: 'annotation',
        index: `m${i}`,
        content: {},
      })),
    ],
    get: { '/api/cases/{id}/measures': measures },
  });

test('a length is placed with keys alone, in pixels of the picture', async () => {
  const { user, sent } = opened();
  await expect.poll(() => document.activeElement?.className).toBe('annotator');
  await user.keyboard('6{Enter}{ArrowRight}{ArrowRight}{Shift>}{ArrowDown}{/Shift}{Enter}');
  // 1760 pixels over 880 on the screen: an arrow goes 8 of them, with Shift 80.
  await expect
    .poll(() => sent[0]?.data)
    .toEqual({
      sha256: SHA,
      shape: 'length',
      points: [
        [880, 600],
        [896, 680],
      ],
    });
  expect(sent[0]?.slot).toMatchObject({ place: 'A1-E1', part: 'spring', item: 'annotation' });
});

test('a scale asks for its distance, and Escape lays it aside', async () => {
  const { user, sent } = opened();
  await expect.poll(() => document.activeElement?.className).toBe('annotator');
  await user.keyboard('5{Enter}{Shift>}{ArrowRight}{/Shift}{Enter}');
  await user.type(screen.getByLabelText('Distance between the two points'), '10{Escape}');
  expect(screen.queryByLabelText('Distance between the two points')).toBeNull();
  expect(sent).toEqual([]);
  screen.getByRole('group', { name: 'Draw and measure' }).parentElement?.focus();
  await user.keyboard('5{Enter}{Shift>}{ArrowRight}{/Shift}{Enter}');
  await user.type(screen.getByLabelText('Distance between the two points'), '10 mm{Enter}');
  await expect.poll(() => sent[0]?.data).toMatchObject({ shape: 'scale', text: '10 mm' });
});

test('an outline closes when Enter is pressed twice in one place', async () => {
  const { user, sent } = opened();
  await expect.poll(() => document.activeElement?.className).toBe('annotator');
  await user.keyboard('2{Enter}{Shift>}{ArrowRight}{/Shift}{Enter}{Shift>}{ArrowDown}{/Shift}{Enter}{Enter}');
  await expect.poll(() => sent[0]?.data.points).toHaveLength(3);
});

test('Escape lays the tool aside, then closes', async () => {
  const onClose = vi.fn();
  const { user } = opened([], onClose);
  await expect.poll(() => document.activeElement?.className).toBe('annotator');
  await user.keyboard('1');
  expect(screen.getByRole('button', { name: 'arrow 1' })).toHaveAttribute('aria-pressed', 'true');
  await user.keyboard('{Escape}');
  expect(onClose).not.toHaveBeenCalled();
  expect(screen.getByRole('button', { name: 'arrow 1' })).toHaveAttribute('aria-pressed', 'false');
  await user.keyboard('{Escape}');
  expect(onClose).toHaveBeenCalled();
});

test('what is drawn is listed with its measure, or with why there is none, and taken back', async () => {
  const measure = (index: string, more: object) => ({
    id: index,
    index,
    sha256: SHA,
    shape: 'length',
    points: [
      [0, 0],
      [10, 0],
    ],
    words: '',
    measured: null,
    why: null,
    ...more,
  });
  const { user, sent } = opened([
    measure('m0', { measured: { figure: '0.4', unit: 'in', plusMinus: '0.01', shown: '0.400 ± 0.010 in' } }),
    measure('m1', { why: 'Lay a scale first: two points whose distance is known.' }),
  ]);
  const list = await screen.findByRole('list', { name: 'Drawn on it' });
  await expect.poll(() => within(list).queryAllByRole('listitem').length).toBe(2);
  expect(list).toHaveTextContent('0.400 ± 0.010 in');
  expect(list).toHaveTextContent('Lay a scale first');
  await user.click(within(list).getAllByRole('button', { name: 'take back' })[0] as HTMLElement);
  await expect.poll(() => sent.map((one) => [one.kind, one.slot.index])).toEqual([['withdrawal', 'm0']]);
});

test('a photograph is moved to another part: taken back there, recorded here', async () => {
  const { user, sent } = opened();
  await user.click(screen.getByLabelText('part'));
  await user.click(await screen.findByTitle('valve'));
  await expect
    .poll(() => told(sent))
    .toMatchObject([
      ['A1-E1/spring/photograph/p', {}],
      ['A1-E1/valve/photograph/p', { sha256: SHA, caption: '1E valve', state: 'as_found' }],
    ]);
});

test('photographs are walked, two are picked and compared', async () => {
  const { user } = openCase(<PhotoDesk place="A1-E1" shots={[]} />, {
    view: view(),
    entries: [photo('p'), photo('q', 'after_cleaning')],
    get: { '/api/cases/{id}/measures': [] },
  });
  const photos = screen.getAllByRole('button', { name: /open large/ });
  photos[0]?.focus();
  await user.keyboard('p{ArrowRight}p');
  expect(document.activeElement).toBe(photos[1]);
  expect(screen.getAllByLabelText('pick').map((one) => (one as HTMLInputElement).checked)).toEqual([true, true]);
  await user.keyboard('c');
  expect(await screen.findByText('Side by side')).toBeVisible();
  expect(screen.getByText('1E spring q, after cleaning')).toBeVisible();
});

import { act, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { useBench } from '../entry/useBench';
import type { EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { setPerson } from '../shared/person';
import { openCase, twin } from '../testing/case';
import { CaseFrame } from './CaseFrame';

beforeEach(() => localStorage.clear());
afterEach(() => vi.restoreAllMocks());

/** A place with a field of its own, a button that records, and a control that has a meaning for the question mark. */
function Place() {
  const { record } = useBench();
  return (
    <>
      <textarea aria-label="words" />
      <button
        type="button"
        onClick={() => record('look', { place: 'A1-E1', part: 'valve', item: 'look' }, { state: 'as_found' }, '1E valve')}
      >
        nothing there
      </button>
      <button type="button" onKeyDown={(event) => event.key === '?' && event.preventDefault()}>
        unknown
      </button>
    </>
  );
}

const schedule = { tasks: [], sentence: '', overdue: '', late: false };
/** The case in its frame, on a server that has what was sent. */
function inFrame(get: Record<string, unknown> = {}) {
  const stored: Pick<EntryView, 'id' | 'kind' | 'place' | 'part' | 'item' | 'index' | 'content'>[] = [];
  return openCase(
    <CaseFrame id={twin().id} step="teardown">
      <Place />
    </CaseFrame>,
    {
      get: {
        '/api/cases/{id}': () => ({ ...twin(), entries: stored }),
        '/api/cases/{id}/schedule': schedule,
        '/api/door': { open: true, network: '' },
        '/api/state': { troubles: [], waiting: 0 },
        ...get,
      },
      refuse: (entry) => {
        stored.push({ id: entry.id, kind: entry.kind, ...entry.slot, content: entry.data });
        return null;
      },
    },
  );
}

test('a place takes letters only once the signs they find are there', async () => {
  let arrive = (): void => undefined;
  const asked = new Promise<void>((done) => (arrive = done));
  const catalogue = (): Promise<unknown> => asked.then(() => ({ signs: [] }));
  inFrame({ '/api/catalogue': catalogue });
  await new Promise((done) => setTimeout(done, 50));
  expect(screen.queryByLabelText('words')).toBeNull();
  arrive();
  expect(await screen.findByLabelText('words')).toBeVisible();
});

test('taking back in a field that was typed in, even emptied again, takes nothing back elsewhere', async () => {
  const { user, sent } = inFrame();
  await user.click(await screen.findByRole('button', { name: 'nothing there' }));
  await expect.poll(() => sent).toHaveLength(1);
  await user.type(screen.getByLabelText('words'), 'x{Backspace}');
  await user.keyboard('{Control>}z{/Control}');
  await new Promise((done) => setTimeout(done, 50));
  expect(sent).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'unknown' }));
  await user.keyboard('{Control>}z{/Control}');
  await expect.poll(() => sent.map((entry) => entry.kind)).toEqual(['look', 'withdrawal']);
});

test('a field that was only walked to leaves taking back to the case', async () => {
  const { user, sent } = inFrame();
  await user.click(await screen.findByRole('button', { name: 'nothing there' }));
  await expect.poll(() => sent).toHaveLength(1);
  await user.click(screen.getByLabelText('words'));
  await user.keyboard('{Control>}z{/Control}');
  await expect.poll(() => sent.map((entry) => entry.kind)).toEqual(['look', 'withdrawal']);
});

test('a key that the place has a meaning for does not open the keys', async () => {
  const { user } = inFrame();
  (await screen.findByRole('button', { name: 'unknown' })).focus();
  await user.keyboard('?');
  expect(screen.queryByRole('dialog')).toBeNull();
  screen.getByRole('button', { name: 'nothing there' }).focus();
  await user.keyboard('?');
  expect(await screen.findByRole('dialog')).toBeVisible();
});

test('a name that is changed in another tab is the one that is shown here', async () => {
  setPerson('Anna');
  inFrame();
  expect(await screen.findByRole('button', { name: `${words.atTheBench}: Anna` })).toBeVisible();
  localStorage.setItem('mute-tapper.person', 'Bert');
  act(() => void window.dispatchEvent(new StorageEvent('storage', { key: 'mute-tapper.person' })));
  expect(screen.getByRole('button', { name: `${words.atTheBench}: Bert` })).toBeVisible();
});

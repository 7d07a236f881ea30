import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { beforeEach, expect, test, vi } from 'vitest';
import { draftsOf } from '../entry/drafts';
import type { EntryView } from '../shared/api';
import type { Outgoing } from '../entry/outbox';
import type { SlotState } from '../entry/slots';
import { SheetCell } from './SheetCell';

const entry = (shown: string, atText: string | null = null): EntryView =>
  ({ shown, text: shown, atText, atShown: atText, content: {} }) as EntryView;
const filled = (shown: string): SlotState => ({ slot: null, headId: 'a', entry: entry(shown), outgoing: null });
const EMPTY: SlotState = { slot: null, headId: null, entry: null, outgoing: null };
const refused = (text: string, offers: string[]): SlotState => ({
  slot: null,
  headId: null,
  entry: null,
  outgoing: {
    state: 'refused',
    entry: { data: { text } },
    problem: { title: '', status: 422, detail: '', offers },
  } as unknown as Outgoing,
});

beforeEach(() => draftsOf('c').set('A1-E1/valve/lash/', null));

function draw(state: SlotState, active = true) {
  const commit = vi.fn();
  const step = vi.fn();
  const open = vi.fn();
  const cell = (now: SlotState) => (
    <table>
      <tbody>
        <tr>
          <SheetCell
            name="1E lash"
            state={now}
            active={active}
            headAt={null}
            onOpen={open}
            caseId="c"
            slot="A1-E1/valve/lash/"
            onCommit={commit}
            onStep={step}
          />
        </tr>
      </tbody>
    </table>
  );
  const { rerender } = render(cell(state));
  return { commit, step, open, user: userEvent.setup(), change: (now: SlotState): void => rerender(cell(now)) };
}

test('what another hand entered is replaced by typing, what is half typed is not', async () => {
  const { user, change } = draw(EMPTY);
  await user.keyboard('0.0');
  change(filled('0.020'));
  await user.keyboard('16');
  expect(screen.getByLabelText('1E lash')).toHaveValue('0.016');
  await user.keyboard('{Escape}');
  change(filled('0.022'));
  await user.keyboard('5');
  expect(screen.getByLabelText('1E lash')).toHaveValue('5');
});

test('a figure that was kept has its reason, a word in place of one is no figure', () => {
  const { change } = draw({ ...filled('4.200'), entry: { ...entry('4.200'), content: { kept: 'a marine head' } } }, false);
  expect(screen.getByLabelText('kept: a marine head')).toBeVisible();
  change({ ...filled('worn'), entry: { ...entry('worn'), content: { notMeasurable: 'worn' } } });
  expect(screen.getByText('worn')).toHaveClass('no-figure');
  change(filled('0.016'));
  expect(screen.queryByLabelText(/^kept/)).toBeNull();
});

test('Enter records what was typed and goes on; Shift and Enter goes back', async () => {
  const { commit, user } = draw(EMPTY);
  await user.keyboard('0.016{Enter}');
  expect(commit).toHaveBeenLastCalledWith('0.016', 1);
  await user.keyboard('0.018{Shift>}{Enter}{/Shift}');
  expect(commit).toHaveBeenLastCalledWith('0.018', -1);
});

test('an unchanged cell records nothing and still goes on', async () => {
  const { commit, user } = draw(filled('0.016'));
  await user.keyboard('{Enter}');
  expect(commit).toHaveBeenLastCalledWith(null, 1);
  await user.keyboard('0.016{Enter}');
  expect(commit).toHaveBeenLastCalledWith(null, 1);
});

test('Escape puts back what stood there', async () => {
  const { commit, user } = draw(filled('0.016'));
  await user.keyboard('9{Escape}');
  expect(screen.getByRole('textbox')).toHaveValue('0.016');
  await user.keyboard('{Enter}');
  expect(commit).toHaveBeenLastCalledWith(null, 1);
});

test('emptying a cell is a wish to take the reading back', async () => {
  const { commit, user } = draw(filled('0.016'));
  await user.keyboard('{Backspace}{Enter}');
  expect(commit).toHaveBeenLastCalledWith('', 1);
});

test('arrows move over the cells until something is typed', async () => {
  const { step, user } = draw(filled('0.016'));
  await user.keyboard('{ArrowDown}{ArrowLeft}');
  expect(step.mock.calls).toEqual([
    [1, 0],
    [0, -1],
  ]);
  await user.keyboard('1{ArrowDown}');
  expect(step).toHaveBeenCalledTimes(2);
});

test('Enter on a refused entry takes the first offer; a correction goes before it', async () => {
  const { commit, user } = draw(refused('16', ['16 thou', '16 tenths']));
  expect(screen.getByRole('textbox')).toBeInvalid();
  await user.keyboard('{Enter}');
  expect(commit).toHaveBeenLastCalledWith('16 thou', 1);
  await user.keyboard('0.017{Enter}');
  expect(commit).toHaveBeenLastCalledWith('0.017', 1);
});

test('a half-typed reading is a draft in its cell: leaving the field records nothing and loses nothing', async () => {
  const { commit, user } = draw(filled('0.016'));
  await user.keyboard('2.0');
  screen.getByRole('textbox').blur();
  expect(commit).not.toHaveBeenCalled();
  expect(screen.getByRole('textbox')).toHaveValue('2.0');
  cleanup();
  const later = draw(filled('0.016'), false);
  expect(screen.getByLabelText('1E lash: 2.0, half typed, not entered')).toBeVisible();
  cleanup();
  const again = draw(filled('0.016'));
  await again.user.keyboard('{End}5{Enter}');
  expect(again.commit).toHaveBeenLastCalledWith('2.05', 1);
  expect(later.commit).not.toHaveBeenCalled();
});

test('Tab enters what was typed, as Enter does, and goes where Tab goes', async () => {
  const { commit, user } = draw(EMPTY);
  await user.keyboard('0.018{Tab}');
  expect(commit).toHaveBeenCalledExactlyOnceWith('0.018', 0);
});

test('what an input method composes is its own', () => {
  const { commit } = draw(EMPTY);
  fireEvent.keyDown(screen.getByRole('textbox'), { key: 'Enter', isComposing: true });
  expect(commit).not.toHaveBeenCalled();
});

test('a cell that is not live opens when pressed, and says what it holds', async () => {
  const { open, user } = draw(filled('0.016'), false);
  await user.click(screen.getByLabelText('1E lash: 0.016'));
  expect(open).toHaveBeenCalledOnce();
  expect(screen.queryByRole('textbox')).toBeNull();
});

test('a load taken at another height than the head says so', () => {
  render(
    <table>
      <tbody>
        <tr>
          <SheetCell
            name="1E seat load"
            state={{ slot: null, headId: 'a', entry: entry('120.0', '1.790'), outgoing: null }}
            active={false}
            headAt="1.800"
            onOpen={vi.fn()}
            caseId="c"
            slot="other"
            onCommit={vi.fn()}
            onStep={vi.fn()}
          />
        </tr>
      </tbody>
    </table>,
  );
  expect(screen.getByText('@1.790')).toBeInTheDocument();
});

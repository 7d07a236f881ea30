import { screen, within } from '@testing-library/react';
import { afterEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { openCase, told, twin } from '../testing/case';
import { StepCard, type PlannedStep } from './NextStep';
import { Pieces } from './Pieces';
import { Plan } from './Plan';

afterEach(() => vi.restoreAllMocks());

const step = (code: string, more: Partial<PlannedStep> = {}): PlannedStep => ({
  code,
  label: `Step ${code}`,
  minutes: 20,
  state: 'open',
  reason: '',
  destroys: [],
  recordFirst: [],
  missing: 0,
  tooEarlyFor: [],
  because: null,
  caution: null,
  ...more,
});
const teardown = (steps: PlannedStep[], more: object = {}) => ({
  revision: 0,
  steps,
  next: steps[0]?.code ?? null,
  shots: [],
  missingPieces: [],
  ...more,
});
const lash = { kind: 'reading' as const, code: 'lash', label: 'lash', recorded: false, known: '0 of 4, missing at 1E', place: 'A1-E1' };

test('a step with nothing missing is done in one press', async () => {
  const { user, sent } = openCase(<StepCard step={step('covers')} />);
  await user.click(screen.getByRole('button', { name: 'Step is done' }));
  await expect.poll(() => told(sent)).toEqual([['engine/plan/step.covers', { state: 'done' }]]);
});

test('what is missing is named with the way to it, and going on without it needs a reason', async () => {
  const { user, sent } = openCase(
    <StepCard step={step('rockers', { missing: 1, recordFirst: [lash], destroys: ['lash', 'where each rocker stood'] })} />,
  );
  expect(screen.getByText(/lash; where each rocker stood/)).toBeVisible();
  const link = screen.getByRole('link', { name: '0 of 4, missing at 1E' });
  await expect.poll(() => link.getAttribute('href')).toContain('/before/valves?at=A1-E1');
  await user.click(screen.getByRole('button', { name: 'Go on without 1' }));
  const goOn = screen.getByRole('button', { name: 'Go on' });
  expect(goOn).toBeDisabled();
  await user.type(screen.getByLabelText('Reason'), 'The rockers were off when it came.');
  await user.click(goOn);
  await expect
    .poll(() => told(sent))
    .toEqual([['engine/plan/step.rockers', { state: 'done', note: 'The rockers were off when it came.' }]]);
});

test('a step is left out only with a reason, and Escape asks no further', async () => {
  const { user, sent } = openCase(<StepCard step={step('phase')} />);
  await user.click(screen.getByRole('button', { name: 'Leave it out' }));
  await user.type(screen.getByLabelText('Reason'), 'x{Escape}');
  expect(screen.queryByLabelText('Reason')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Leave it out' }));
  await user.type(screen.getByLabelText('Reason'), '{Backspace}No degree wheel fits.{Enter}');
  await expect.poll(() => told(sent)).toEqual([['engine/plan/step.phase', { state: 'skipped', note: 'No degree wheel fits.' }]]);
});

test('what a person confirms is ticked and can be unticked', async () => {
  const tags = { kind: 'confirm' as const, code: 'tags', label: 'tags on every part', recorded: false, known: 'missing', place: 'engine' };
  const { user, sent } = openCase(<StepCard step={step('springs', { missing: 1, recordFirst: [tags] })} />);
  await user.click(screen.getByLabelText('tags on every part'));
  expect(screen.getByLabelText('tags on every part')).toBeChecked();
  await user.click(screen.getByLabelText('tags on every part'));
  await expect.poll(() => sent.map((entry) => entry.kind)).toEqual(['step', 'withdrawal']);
});

test('what was done can be taken back', async () => {
  const { user, sent } = openCase(<StepCard step={step('oil', { state: 'skipped', reason: 'It was dry.' })} />, {
    entries: [{ kind: 'step', place: 'engine', part: 'plan', item: 'step.oil', content: { state: 'skipped', note: 'It was dry.' } }],
  });
  expect(screen.getByText(/left out: It was dry\./)).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'take back' }));
  await expect.poll(() => sent.map((entry) => [entry.kind, entry.supersedes])).toEqual([['withdrawal', 'e0']]);
});

test('Alt and an arrow move a step and keep the hand on it; the usual order is one press away', async () => {
  const { user, sent } = openCase(<Plan teardown={teardown([step('a'), step('b'), step('c')])} />);
  const labels = (): string[] =>
    screen.getAllByRole('button', { name: /^Step [abc]/ }).map((button) => /Step ([abc])/.exec(button.textContent)?.[1] ?? '');
  screen.getByRole('button', { name: /^Step c/ }).focus();
  await user.keyboard('{Alt>}{ArrowUp}{ArrowUp}{/Alt}');
  expect(labels()).toEqual(['c', 'a', 'b']);
  expect(document.activeElement).toHaveTextContent('Step c');
  await user.keyboard('{Alt>}{ArrowUp}{/Alt}{ArrowDown}');
  expect(document.activeElement).toHaveTextContent('Step a');
  await user.click(screen.getByRole('button', { name: 'Back to the usual order' }));
  expect(labels()).toEqual(['a', 'b', 'c']);
  await expect.poll(() => sent.map((entry) => entry.data.codes ?? entry.kind)).toEqual([['a', 'c', 'b'], ['c', 'a', 'b'], 'withdrawal']);
});

test('a step that stands too early says so in its line', () => {
  openCase(<Plan teardown={teardown([step('head', { tooEarlyFor: ['Compression'], destroys: ['gasket tracks'] })])} />);
  expect(screen.getByRole('button', { name: /too early, destroys gasket tracks, about 20 min/ })).toBeVisible();
  expect(screen.getByText(/Too early: these belong before it: Compression/)).toBeVisible();
});

test('what is still to be photographed is listed under the step that would destroy it', () => {
  const shot = (place: string, part: string, label: string, before: string) => ({ place, part, label, before });
  const shots = [
    shot('A1-E1', 'spring', '1E spring', 'Springs off'),
    shot('A1-E1', 'seat', '1E seat', 'Cleaning'),
    shot('A2-E1', 'spring', '2E spring', 'Springs off'),
  ];
  openCase(<Plan teardown={teardown([step('a')], { shots })} />);
  const lines = within(screen.getByRole('region', { name: 'Still to photograph' })).getAllByRole('listitem');
  expect(lines.map((line) => line.textContent)).toEqual(['before: springs off1E spring, 2E spring', 'before: cleaning1E seat']);
});

test('with nothing left to photograph the list says so', () => {
  openCase(<Plan teardown={teardown([step('a')])} />);
  expect(screen.getByRole('region', { name: 'Still to photograph' })).toHaveTextContent(words.photo.noShots);
});

function opened(view = twin(), get: Record<string, unknown> = {}, missingPieces: object[] = []) {
  return openCase(<Pieces teardown={teardown([], { missingPieces })} chosen="A1-E1" choose={() => undefined} />, {
    view,
    get: { '/api/cases/{id}/custody': [], ...get },
  });
}

test('lock halves are counted by digits, station after station', async () => {
  const { user, sent } = opened();
  within(screen.getByRole('radiogroup', { name: '1E lock halves' }))
    .getByRole('radio', { name: '0' })
    .focus();
  await user.keyboard('21x2');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A1-E1/locks/pieces', { expected: 2, found: 2 }],
      ['A1-I1/locks/pieces', { expected: 2, found: 1 }],
      ['A2-E1/locks/pieces', { expected: 2, found: 2 }],
    ]);
});

test('needles are counted only where there are rollers, once their number is known', async () => {
  const view = twin();
  const { user, sent } = opened({ ...view, engine: { ...view.engine, face: 'roller' } } as never);
  expect(screen.getByLabelText('1E needles')).toBeDisabled();
  await user.type(screen.getByLabelText('each'), '21');
  await user.type(screen.getByLabelText('1E needles'), '19');
  expect(sent).toEqual([]);
  await user.tab();
  await user.type(screen.getByLabelText('1I needles'), '20{Enter}');
  await expect
    .poll(() => told(sent))
    .toEqual([
      ['A1-E1/follower/pieces', { expected: 21, found: 19 }],
      ['A1-I1/follower/pieces', { expected: 21, found: 20 }],
    ]);
});

test('other pieces are counted by name', async () => {
  const { user, sent } = opened();
  await user.type(screen.getByLabelText('head bolts, and so on'), 'head bolts');
  await user.type(screen.getByLabelText('how many'), '10');
  await user.click(screen.getByRole('button', { name: 'Count them too' }));
  await expect.poll(() => sent[0]?.data).toEqual({ expected: 10, found: 0, note: 'head bolts' });
  await user.type(screen.getByLabelText('head bolts found'), '{Backspace}9{Enter}');
  await expect.poll(() => sent.at(-1)?.data).toEqual({ expected: 10, found: 9, note: 'head bolts' });
  expect(sent.at(-1)?.slot.index).toBe(sent[0]?.slot.index);
});

test('missing pieces stand on top', () => {
  opened(twin(), {}, [{ place: 'A1-E1', part: 'locks', label: '1E locks', missing: 1, note: '' }]);
  expect(screen.getByText('1E locks: 1 missing')).toBeVisible();
});

test('a part leaves the shop only with a name, and is destroyed only with both parties invited', async () => {
  const { user, sent } = opened();
  const move = screen.getByRole('button', { name: words.custody.move });
  expect(move).toBeDisabled();
  await user.type(screen.getByLabelText('who has it'), 'Made-up lab');
  await user.type(screen.getByLabelText(words.custody.seal), 'S-14');
  await user.click(screen.getByLabelText(words.custody.destroys));
  expect(move).toBeDisabled();
  await user.type(screen.getByLabelText(words.custody.invited(1)), 'owner');
  expect(move).toBeDisabled();
  await user.type(screen.getByLabelText(words.custody.invited(2)), 'maker');
  await user.click(move);
  const moved = { where: 'laboratory', whom: 'Made-up lab', seal: 'S-14', destroyed: true, invited: ['owner', 'maker'] };
  await expect.poll(() => told(sent)).toEqual([['A1-E1/valve/custody', moved]]);
  expect(within(screen.getByRole('region', { name: 'Where the parts are' })).getByText('Now at the laboratory.')).toBeVisible();
});

test('tags are asked for with the parts that are chosen, followed, and handed over when they are made', async () => {
  const view = twin();
  const clicked = vi.spyOn(HTMLAnchorElement.prototype, 'click').mockReturnValue(undefined);
  const states = [
    { id: 'p', state: 'making', done: 0.4, message: null },
    { id: 'p', state: 'ready', done: 1, message: null },
  ];
  const { user, asked } = opened(
    { ...view, story: { answers: {}, failed: ['A2-E1'] } },
    {
      '/api/cases/{id}/papers': { id: 'p', state: 'waiting', done: 0, message: null },
      '/api/cases/{id}/papers/{paper}': () => states.shift() ?? { id: 'p', state: 'ready', done: 1, message: null },
    },
  );
  await user.click(screen.getByRole('button', { name: words.tags.make }));
  expect(asked.at(-1)).toEqual({
    path: '/api/cases/{id}/papers',
    body: { kind: 'tags', options: { stations: ['A2-E1'], parts: ['valve', 'spring', 'retainer', 'locks'] } },
  });
  expect(await screen.findByText(words.paper.making(40))).toBeVisible();
  expect(screen.getByRole('button', { name: words.paper.cancel })).toBeVisible();
  expect(await screen.findByRole('link', { name: words.paper.again })).toHaveAttribute('href', `/api/cases/${view.id}/papers/p/file`);
  expect(clicked).toHaveBeenCalledTimes(1);
});

test('a paper that could not be made says why', async () => {
  const { user } = opened(twin(), {
    '/api/cases/{id}/papers': { id: 'p', state: 'waiting', done: 0, message: null },
    '/api/cases/{id}/papers/{paper}': { id: 'p', state: 'failed', done: 0.2, message: 'It is in the log as fault 1A2B.' },
  });
  await user.click(screen.getByRole('button', { name: words.tags.make }));
  expect(await screen.findByRole('alert')).toHaveTextContent('fault 1A2B');
  expect(screen.getByText(words.tags.make)).toBeVisible();
});

test('a part at a station is told by a tag of its own; where it was met before is said', async () => {
  const { user, sent } = openCase(<Pieces teardown={teardown([])} chosen="A1-E1" choose={() => undefined} />, {
    entries: [{ kind: 'tag', place: 'A1-E1', part: 'valve', item: 'tag', content: { tag: 'v-3' } }],
    get: { '/api/parts/{tag}': [{ case: 'c9', number: 9, name: 'In the winter', place: 'A2-E1', label: '3E', isLoose: false }] },
  });
  expect(await screen.findByRole('link', { name: words.bench.standsIn('3E', 'In the winter') })).toHaveAttribute(
    'href',
    '/case/c9/teardown/pieces?at=A2-E1',
  );
  const spring = screen.getByLabelText(/^tag of the spring, outer/);
  await user.type(spring, 'no tag!{Enter}');
  expect(screen.getByText(words.bench.tagWrong)).toBeVisible();
  await user.clear(spring);
  await user.type(spring, 'Drawer 9{Enter}');
  await expect.poll(() => told(sent)).toEqual([['A1-E1/spring/tag/outer', { tag: 'drawer-9' }]]);
});

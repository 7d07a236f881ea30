import { screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { words } from '../shared/messages';
import { setPerson } from '../shared/person';
import { openCase, told } from '../testing/case';
import { Afterwards } from './Afterwards';
import { passesOf } from './lines';
import { Plan } from './Plan';

beforeEach(() => {
  localStorage.clear();
  setPerson('E. Sallow');
});
afterEach(() => vi.restoreAllMocks());

const STATIONS = ['A1-E1', 'A1-I1', 'A2-E1', 'A2-I1'];
const at = (place: string, code: string, more: object = {}) => ({
  place,
  code,
  label: place === 'engine' ? 'engine' : `${place[1] ?? ''}${place[3] ?? ''}`,
  cylinder: place.slice(0, 2),
  index: 'built-rebuild',
  state: null,
  note: '',
  choice: '',
  by: null,
  at: null,
  planned: null,
  built: null,
  margin: null,
  isOut: false,
  follows: '',
  mend: '',
  unmet: [],
  ...more,
});
const line = (number: number, code: string, stage: string, label: string, more: object = {}) => ({
  number,
  code,
  stage,
  label,
  note: '',
  caution: null,
  risk: '',
  reads: null,
  part: null,
  gauge: null,
  unit: '',
  choices: [],
  wanting: null,
  places: STATIONS.map((place) => at(place, code)),
  ...more,
});
const outside = {
  verdict: 'outside',
  value: { figure: '1.752', shown: '1.752 ± 0.001 in' },
  side: 'between',
  limit: {},
  notch: 0.3,
  upper: 0.7,
  goodIsRight: true,
  at: 1,
  low: 0.9,
  high: 1,
  offScale: 'high',
  others: [],
  strokes: [],
  scaleFrom: '1.710',
  scaleTo: '1.750',
  sentence: 'Outside by 0.020 in.',
  spoken: 'height',
};
const height = (more: object = {}) =>
  line(1, 'installed_height', 'Springs', 'Installed height', {
    reads: 'installed_height',
    part: 'spring_seat',
    gauge: 'height_micrometer',
    unit: 'in',
    places: STATIONS.map((place) => at(place, 'installed_height', { planned: '1.727', ...(place === 'A1-E1' ? more : {}) })),
  });
const spring = (more: object = {}) =>
  line(2, 'spring_in', 'Springs', 'Spring in', {
    caution: 'Guard shut.',
    risk: 'the height cannot be read any more',
    places: STATIONS.map((place) => at(place, 'spring_in', { unmet: ['Installed height'], ...more })),
  });
const seals = line(3, 'elements', 'Followers', 'Elements', { choices: ['soaked', 'dry'], places: [at('engine', 'elements')] });
const bolts = line(4, 'head_tight', 'Bolts', 'Head bolts', { wanting: 'head', places: [at('engine', 'head_tight')] });
const joint = { joint: 'head', label: 'head bolts', passes: [], bolts: null, threads: '', order: '', source: '', words: '' };
const plan = (lines: object[]) => ({ taken: ['Shims'], lines, joints: [joint], done: 0, total: 9 });
const open = (lines: object[], where = 'remedy/reassembly?at=A1-E1&stage=Springs') =>
  openCase(<Plan />, { get: { '/api/cases/{id}/reassembly': plan(lines) }, at: where });
const head = (name: RegExp): Promise<HTMLElement> => screen.findByRole('button', { name, expanded: true });

test('a line with a value waits for it, and is ticked with the person’s name', async () => {
  const { user, sent } = open([height(), spring()]);
  await head(/Installed height/);
  const tick = screen.getByRole('button', { name: /^Tick as E. Sallow/ });
  expect(tick).toBeDisabled();
  expect(tick).toHaveTextContent('its value first');
  expect(screen.getByText('planned 1.727 in')).toBeVisible();
  await user.type(screen.getByLabelText('Installed height, 1E'), '1.728{Enter}');
  await waitFor(() =>
    expect(told(sent)).toEqual([['A1-E1/spring_seat/installed_height/built-rebuild', { text: '1.728', gauge: 'height_micrometer' }]]),
  );
  await user.click(await screen.findByRole('button', { name: 'Tick as E. Sallow' }));
  await waitFor(() => expect(told(sent.slice(1))).toEqual([['A1-E1/assembly/line/installed_height', { state: 'ticked' }]]));
  await head(/Spring in/);
});

test('a value out of range is not ticked; it is kept with words, with what follows and what would mend it', async () => {
  const entries = [
    { kind: 'reading', place: 'A1-E1', part: 'spring_seat', item: 'installed_height', index: 'built-rebuild', content: { text: '1.752' } },
  ] as const;
  const { user, sent } = openCase(<Plan />, {
    get: {
      '/api/cases/{id}/reassembly': plan([
        height({
          built: '1.752',
          isOut: true,
          margin: outside,
          follows: 'At 1.752 the seat load is 149, not 158.',
          mend: 'A shim of 0.025 would do.',
        }),
        spring(),
      ]),
    },
    at: 'remedy/reassembly?at=A1-E1&stage=Springs',
    entries,
  });
  await head(/Installed height/);
  expect(screen.getByText(/the seat load is 149, not 158/)).toHaveTextContent('Outside by 0.020 in. At 1.752');
  expect(screen.getByText(/A shim of 0.025/)).toBeVisible();
  expect(screen.getByRole('button', { name: /^Tick as/ })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: words.reassembly.keepOut }));
  const why = screen.getByLabelText(words.reassembly.why);
  expect(screen.getByRole('button', { name: words.reassembly.say })).toBeDisabled();
  await user.type(why, 'no shim in the house{Enter}');
  await waitFor(() =>
    expect(told(sent)).toEqual([['A1-E1/assembly/line/installed_height', { state: 'kept', note: 'no shim in the house' }]]),
  );
});

test('what belongs before it is said with its risk, the caution stands at the act, and a line is left out with its reason', async () => {
  const { user, sent, address } = open([height(), spring()]);
  await user.click(await screen.findByRole('button', { name: /Spring in/ }));
  expect(screen.getByText('Installed height first: else the height cannot be read any more.')).toBeVisible();
  expect(screen.getByText('Guard shut.', { selector: '.caution' })).toBeVisible();
  expect(screen.queryByText(words.reassembly.broken)).toBeNull();
  await user.click(screen.getByRole('button', { name: words.reassembly.leaveOut }));
  await user.type(screen.getByLabelText(words.reassembly.why), 'spring waits{Enter}');
  await waitFor(() => expect(told(sent)).toEqual([['A1-E1/assembly/line/spring_in', { state: 'left_out', note: 'spring waits' }]]));
  // The last line of a valve leads to the first of the next; at this one it is said.
  await waitFor(() => expect(address()).toContain('at=A1-I1'));
  await user.click(screen.getByRole('button', { name: words.reassembly.back('1E') }));
  expect(await screen.findByText(words.reassembly.leftOut)).toBeVisible();
});

test('an order that was broken stands at the line', async () => {
  openCase(<Plan />, {
    get: { '/api/cases/{id}/reassembly': plan([height(), spring({ state: 'ticked' })]) },
    at: 'remedy/reassembly?at=A1-E1&stage=Springs',
    entries: [{ kind: 'line', place: 'A1-E1', part: 'assembly', item: 'line', index: 'spring_in', content: { state: 'ticked' } }],
  });
  const broken = await screen.findByRole('button', { name: /Spring in.*out of order/ });
  expect(within(broken).getByRole('img', { name: 'ticked' })).toBeInTheDocument();
});

test('keys walk over lines and valves and tick', async () => {
  const { user, sent, address } = open([height(), spring()]);
  await head(/Installed height/);
  (document.activeElement as HTMLElement).blur();
  await user.keyboard('j');
  await head(/Spring in/);
  await user.keyboard('n');
  await waitFor(() => expect(address()).toContain('at=A1-I1'));
  await user.keyboard('y');
  await waitFor(() => expect(told(sent)).toEqual([['A1-I1/assembly/line/spring_in', { state: 'ticked' }]]));
});

test('a school is chosen before its line is ticked; a joint waits for the maker’s figures', async () => {
  const { user, sent } = open([seals, bolts], 'remedy/reassembly?at=A1-E1&stage=Followers');
  await head(/Elements/);
  expect(screen.getByRole('button', { name: /^Tick as/ })).toHaveTextContent('which first');
  await user.click(screen.getByRole('radio', { name: 'dry' }));
  await user.click(screen.getByRole('button', { name: 'Tick as E. Sallow' }));
  await waitFor(() => expect(told(sent)).toEqual([['engine/assembly/line/elements', { state: 'ticked', choice: 'dry' }]]));
});

test('passes are copied from the manual with their source; what is none is named', async () => {
  const { user, sent } = open([bolts], 'remedy/reassembly?at=A1-E1&stage=Bolts');
  expect(await screen.findByRole('button', { name: /^Tick as/ })).toHaveTextContent('the maker’s figures first');
  await user.click(screen.getByRole('button', { name: words.reassembly.enter('head bolts') }));
  await user.type(screen.getByLabelText(words.reassembly.passes), '30 N·m, tight');
  await user.type(screen.getByLabelText(words.reassembly.source), 'manual, page 12');
  expect(screen.getByRole('button', { name: words.reassembly.keepJoint })).toBeDisabled();
  await user.click(screen.getByRole('combobox', { name: words.reassembly.bolts }));
  await user.click(await screen.findByTitle(words.reassembly.boltUses.once));
  await user.click(screen.getByRole('button', { name: words.reassembly.keepJoint }));
  expect(screen.getByRole('alert')).toHaveTextContent('“tight” is no pass');
  await user.clear(screen.getByLabelText(words.reassembly.passes));
  await user.type(screen.getByLabelText(words.reassembly.passes), '30 Nm, 90 deg');
  await user.click(screen.getByRole('button', { name: words.reassembly.keepJoint }));
  await waitFor(() =>
    expect(told(sent)).toEqual([
      [
        'engine/assembly/tightening/head',
        {
          passes: [
            { figure: 30, unit: 'N·m' },
            { figure: 90, unit: '°' },
          ],
          bolts: 'once',
          source: 'manual, page 12',
        },
      ],
    ]),
  );
});

test('passes are read as they are written in manuals', () => {
  expect(passesOf('22 lb-ft; 1/2 turn').wrong).toBe('1/2 turn');
  expect(passesOf('22,5 N·m, 90°')).toEqual({
    passes: [
      { figure: 22.5, unit: 'N·m' },
      { figure: 90, unit: '°' },
    ],
    wrong: null,
  });
});

test('the wall has every line with its places', async () => {
  open([height(), spring({ note: 'by eye' })]);
  await head(/Installed height/);
  const wall = document.querySelector('.wall');
  expect(wall).toHaveTextContent('1 Installed height');
  expect(wall).toHaveTextContent('1E planned 1.727');
  expect(wall).toHaveTextContent('(by eye)');
});

const back = {
  returns: [
    {
      day: '2026-12-20',
      amount: 10,
      unit: 'h',
      symptom: 'gone',
      symptomWords: 'gone',
      words: '',
      by: 'E. Sallow',
      held: true,
      sentence: 'The call held so far: nothing of it after 10 h.',
      values: [{ place: 'A1-E1', label: '1E', name: 'lash', rebuild: '0.012', returned: null, moved: null, isOut: false }],
    },
  ],
  record: { signed: 3, followed: 2, held: 1, failed: 1, bySureness: [{ words: 'likely', followed: 2, held: 1 }] },
};

test('the return is kept with its day, and lash and pulls again stand under it', async () => {
  const { user, sent } = openCase(<Afterwards />, { get: { '/api/cases/{id}/afterwards': back }, at: 'remedy/afterwards' });
  expect(await screen.findByText(back.returns[0]?.sentence ?? '')).toBeVisible();
  expect(screen.getByText('3 signed, 2 came back: 1 held, 1 did not.')).toBeVisible();
  expect(screen.getByText('1 of 2 held', { exact: false })).toBeVisible();
  await user.type(screen.getByLabelText('Lash now, 1E'), '0.013{Enter}');
  await user.type(screen.getByLabelText('Pull now, 1E'), '117 lb{Enter}');
  await waitFor(() =>
    expect(told(sent)).toEqual([
      ['A1-E1/valve/lash/built-2026-12-20', { text: '0.013' }],
      ['A1-E1/valve/pull/built-2026-12-20.1', { text: '117 lb' }],
    ]),
  );
  await user.type(screen.getByLabelText(words.afterwards.amount), 'many{Enter}');
  expect(screen.getByRole('alert')).toHaveTextContent('“many” is no figure');
  await user.clear(screen.getByLabelText(words.afterwards.amount));
  await user.type(screen.getByLabelText(words.afterwards.amount), '12,5{Enter}');
  await waitFor(() => expect(sent.at(-1)?.data).toEqual({ amount: 12.5, unit: 'h', symptom: 'gone' }));
  expect(sent.at(-1)?.slot.item).toBe('outcome');
});

import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query';
import { act, render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type ReactNode } from 'react';
import { createMemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { BenchProvider } from '../entry/useBench';
import { ChosenProvider } from '../frame/Chosen';
import { api, type CaseView, type EntryInput, type EntryView } from '../shared/api';
import { Routed } from '../shared/Routed';
import { uuidv7 } from '../shared/uuid';
import { answerEntries, replied, type Answer } from './entries';

const station = (cylinder: number, kind: 'E' | 'I') => ({
  code: `A${cylinder}-${kind}1`,
  label: `${cylinder}${kind}`,
  kind,
  cylinder: `A${cylinder}`,
  failed: false,
});
const part = (code: string, letter: string, site = 'station') => ({ code, label: code.replace('_', ' '), letter, site });

/** A made-up twin with pushrods: four stations, a handful of parts. */
export function twin(more: Partial<Record<keyof CaseView, unknown>> = {}): CaseView {
  const stations = [station(1, 'E'), station(1, 'I'), station(2, 'E'), station(2, 'I')];
  return {
    id: uuidv7(),
    number: 7,
    name: 'Made-up twin',
    revision: 0,
    engine: { drive: 'pushrod', lash: 'solid', face: 'flat', summary: 'Inline 2, 4 valves', firingOrder: [], numbering: { A: [1, 2] } },
    engineVersion: 1,
    plan: {
      width: 320,
      height: 456,
      crankLine: null,
      castings: [],
      columns: [],
      bores: [
        { cylinder: 'A1', number: 1, x: 160, y: 100, radius: 46, box: { x: 0, y: 0 } },
        { cylinder: 'A2', number: 2, x: 160, y: 220, radius: 46, box: { x: 0, y: 0 } },
      ],
      cells: stations.map((one, i) => ({
        station: one.code,
        label: one.label,
        kind: one.kind,
        name: one.kind,
        x: one.kind === 'E' ? 130 : 190,
        y: i < 2 ? 100 : 220,
        radius: 17,
        ports: [],
        letter: null,
      })),
    },
    story: { answers: {}, failed: [] },
    settings: { units: 'inch', school: 'usual', schools: {} },
    descriptionVersion: 1,
    call: null,
    callVersion: 1,
    signed: null,
    stations,
    parts: [
      part('valve', 'V'),
      part('spring', 'S'),
      part('locks', 'L'),
      part('follower', 'F'),
      part('port', 'X'),
      part('chamber', 'H', 'cylinder'),
      part('timing', 'M', 'engine'),
    ],
    entries: [],
    photographs: [],
    unread: [],
    setAside: false,
    steps: [],
    next: { step: 'story', words: '', place: null },
    days: { sentence: '', late: false, overdue: '' },
    possibleSigns: ['tip_peened', 'coils_bright', 'element_stuck'],
    buildParts: [
      { code: 'springs', label: 'springs', byKind: true },
      { code: 'oil', label: 'oil: grade and maker’s code', byKind: false },
    ],
    components: [
      { code: 'head', label: 'head' },
      { code: 'cam', label: 'cam' },
      { code: 'springs', label: 'springs' },
    ],
    cams: [{ code: 'cam', label: 'cam' }],
    ...more,
  } as CaseView;
}

const sign = (code: string, name: string, parts: string[], words: string[], needsFill = false) => ({
  code,
  name,
  parts,
  site: 'station',
  seenBy: 'eye',
  lookFor: 'Look.',
  photograph: 'Side on.',
  lookAlike: 'Something else.',
  severity: ['none', 'a little', 'clear', 'much', 'gone'],
  words,
  gross: false,
  requires: [],
  fromBench: false,
  needsFill,
});
const column = (code: string, partCode: string, site: string, sheet: string, unit: string, gauge: string) => ({
  code,
  label: code.replace('_', ' '),
  short: code.replace('_', ' '),
  part: partCode,
  site,
  sheet,
  step: ['before', 'pulls', 'cylinders'].includes(sheet) ? 'before' : 'bench',
  units: [unit, unit],
  dimension: 'length',
  byCoil: false,
  atHeight: false,
  claimable: sheet === 'build',
  gauge,
  gaugeLabel: gauge,
  gaugeStated: '',
});

export const catalogue = {
  hash: 'h',
  signs: [
    sign('tip_peened', 'tip mushroomed or peened', ['valve'], ['mushroom']),
    sign('coils_bright', 'adjacent coils bright on facing sides', ['spring'], ['polish', 'between']),
    sign('element_stuck', 'element does not sink', ['follower'], [], true),
  ],
  columns: [
    column('compression', 'chamber', 'cylinder', 'before', 'psi', 'compression_gauge'),
    column('leak_down', 'chamber', 'cylinder', 'before', '%', 'leak_tester'),
    column('pull', 'valve', 'station', 'before', 'lbf', 'lever_tester'),
    column('lash', 'valve', 'station', 'pulls', 'in', 'feeler'),
    column('oil_phosphorus', 'oil', 'engine', 'build', 'ppm', 'caliper'),
  ],
  gauges: [],
  schools: [],
  questions: [],
  asked: [
    {
      code: 'slide',
      ask: 'Force to slide the valve out',
      step: 'teardown',
      part: 'valve',
      site: 'station',
      signs: ['valve_seized'],
      choices: [
        { code: 'finger', label: 'by finger', meaning: 'Oil film or a light burr.' },
        { code: 'stuck', label: 'would not slide', meaning: 'Never driven out.' },
      ],
    },
  ],
};

interface Opened {
  user: ReturnType<typeof userEvent.setup>;
  /** What was sent, in order. */
  sent: EntryInput[];
  /** Other requests than entries: path and body. */
  asked: { path: string; body: unknown }[];
  /** Where the page is, after the case. */
  address: () => string;
  go: (address: string) => void;
  /** The case is fetched again, as when the window comes back to the front. */
  refetch: () => Promise<void>;
}

interface Setting {
  view?: CaseView;
  /** What is open, as the address says it after the case. */
  at?: string;
  entries?: readonly {
    kind: EntryView['kind'];
    place: string;
    part: string;
    item: string;
    index?: string;
    content: EntryView['content'];
  }[];
  /** Answers of the server by path; a function is asked with the request. */
  get?: Record<string, unknown>;
  /** What another hand changed of the case, once it is fetched again. */
  meanwhile?: () => Partial<CaseView>;
  /** What the server waits for before it answers an entry. */
  until?: Promise<void>;
  /** What a place outside of the case waits for before it opens. */
  elsewhere?: Promise<void>;
  /** Why the server refuses an entry; null where it takes it. */
  refuse?: (entry: EntryInput) => object | null;
}

/** Opens something of a case on a server that is not there: what it reads is given, what it sends is kept. */
export function openCase(
  what: ReactNode,
  {
    view = twin(),
    at = 'teardown',
    entries = [],
    get = {},
    meanwhile,
    until = Promise.resolve(),
    elsewhere = Promise.resolve(),
    refuse = () => null,
  }: Setting = {},
): Opened {
  const sent: EntryInput[] = [];
  const asked: Opened['asked'] = [];
  vi.spyOn(api, 'GET').mockImplementation(((path: string, options: unknown) => {
    const known: Record<string, unknown> = { '/api/catalogue': catalogue, ...get };
    const given = known[path];
    const data = typeof given === 'function' ? (given as (options: unknown) => unknown)(options) : given;
    return path in known
      ? Promise.resolve(data).then((told) => ({ data: told, response: new Response(null, { status: 200 }) }))
      : new Promise(() => undefined);
  }) as never);
  const answer = (entry: EntryInput, revision: number): Answer => {
    const problem = refuse(entry);
    if (problem !== null) return { status: 422, body: { title: 'No', status: 422, ...problem } };
    const stored = {
      ...blank,
      id: entry.id,
      kind: entry.kind,
      ...entry.slot,
      by: entry.by,
      ...entry.data,
      shown: entry.data.text ?? null,
      content: entry.data,
    };
    return { status: 201, body: { entry: stored, revision } };
  };
  vi.spyOn(api, 'POST').mockImplementation(((path: string, { body }: { body: unknown }) => {
    const answered = answerEntries(path, body, sent, answer);
    if (answered !== null) return until.then(() => replied(answered));
    asked.push({ path, body });
    return Promise.resolve(replied({ status: 202, body: get[path] ?? {} }));
  }) as never);
  const standing = entries.map((one, i) => ({
    ...blank,
    ...one.content,
    id: `e${i}`,
    kind: one.kind,
    place: one.place,
    part: one.part,
    item: one.item,
    index: one.index ?? null,
    by: 'x',
    shown: one.content.text ?? null,
    content: one.content,
  }));
  const opened = { ...view, entries: standing } as CaseView;
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const whole = `/case/${opened.id}/`;
  const router = createMemoryRouter(
    [
      {
        path: '/case/:id/:step/:section?',
        element: (
          <Followed view={opened} meanwhile={meanwhile}>
            {what}
          </Followed>
        ),
      },
      { path: '*', loader: () => elsewhere.then(() => null), element: <p>elsewhere</p> },
    ],
    { initialEntries: [`${whole}${at}`] },
  );
  render(
    <QueryClientProvider client={queries}>
      <Routed router={router} />
    </QueryClientProvider>,
  );
  const address = (): string => `${router.state.location.pathname}${router.state.location.search}`.replace(whole, '');
  const go = (to: string): void => act(() => void router.navigate(`${whole}${to}`));
  const refetch = (): Promise<void> => queries.invalidateQueries({ queryKey: ['case', opened.id] });
  return { user: userEvent.setup(), sent, asked, address, go, refetch };
}

const blank = {
  supersedes: null,
  at: '2026-11-26T10:00:00Z',
  text: null,
  shown: null,
  atText: null,
  atShown: null,
  gauge: null,
  gaugeCode: null,
  standing: null,
  severity: null,
  state: null,
  sureness: null,
  note: null,
  sha256: null,
  caption: null,
};

interface Behind {
  view: CaseView;
  meanwhile: (() => Partial<CaseView>) | undefined;
  children: ReactNode;
}

/** The case follows what was stored, as it does behind the frame. */
function Followed({ view: first, meanwhile, children }: Behind) {
  const queries = useQueryClient();
  const key = ['case', first.id];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => ({ ...(queries.getQueryData<CaseView>(key) ?? first), ...meanwhile?.() }),
    initialData: first,
    staleTime: Infinity,
  });
  return (
    <BenchProvider view={data}>
      <ChosenProvider>{children}</ChosenProvider>
    </BenchProvider>
  );
}

/** What was sent, short: slot and content. */
export const told = (sent: readonly EntryInput[]): [string, EntryInput['data']][] =>
  sent.map((entry) => [
    [entry.slot.place, entry.slot.part, entry.slot.item, entry.slot.index].filter((one) => one !== null).join('/'),
    entry.data,
  ]);

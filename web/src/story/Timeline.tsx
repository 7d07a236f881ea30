import { Button, Input, InputNumber, Select } from 'antd';
import { useState, type KeyboardEvent } from 'react';
import { useBench } from '../entry/useBench';
import type { EntryInput, EntryView } from '../shared/api';
import { words } from '../shared/messages';
import { useTimeline } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';

type What = NonNullable<EntryInput['data']['what']>;
type RunUnit = NonNullable<EntryInput['data']['unit']>;
type State = 'new' | 'carried' | 'changed' | 'unknown';

const WHATS: readonly What[] = ['build', 'run', 'service', 'failure'];
const STATES: readonly State[] = ['new', 'carried', 'changed', 'unknown'];
const KEY_OF: Record<string, State> = { n: 'new', c: 'carried', x: 'changed', '?': 'unknown' };

const eventSlot = (id: string) => ({ place: 'engine', part: 'timeline', item: 'event', index: id });
const carrySlot = (component: string, event: string) => ({ place: 'engine', part: 'timeline', item: `carry.${component}`, index: event });

/** Builds, runs, services and failures in order, and what went from one into the next. */
export function Timeline() {
  const { view, slots, record, withdraw } = useBench();
  const timeline = useTimeline(view.id, view.revision);
  const standing = slots.standing('event');
  const order = timeline.data?.order ?? [];
  const rank = (event: EntryView): number => {
    const at = order.indexOf(event.index ?? '');
    return at < 0 ? order.length : at;
  };
  const events = [...standing].sort((a, b) => rank(a) - rank(b));
  const change = (event: EntryView, part: EntryInput['data'], what: string): void =>
    record(
      'event',
      eventSlot(event.index ?? ''),
      { ...event.content, ...part },
      `${words.timeline.whats[event.content.what ?? 'run']}, ${what}`,
    );

  return (
    <div className="timeline">
      <p className="note">{words.timeline.hint}</p>
      {(timeline.data?.contradictions ?? []).map((one) => (
        <p key={one} className="warn" role="alert">
          {one}
        </p>
      ))}
      <table className="events">
        <thead>
          <tr>
            <th>{words.timeline.what}</th>
            <th>{words.timeline.date}</th>
            <th>{words.timeline.since}</th>
            <th>{words.timeline.same}</th>
            <th>{words.timeline.words}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {events.map((event) => (
            <EventRow key={event.index} event={event} change={change} remove={() => withdraw(event, words.timeline.event)} />
          ))}
        </tbody>
      </table>
      <div className="acts-row">
        {WHATS.map((what) => (
          <Button
            key={what}
            onClick={() =>
              record('event', eventSlot(uuidv7()), { what, unit: events.at(-1)?.content.unit ?? 'h' }, words.timeline.whats[what])
            }
          >
            {words.timeline.add(words.timeline.whats[what])}
          </Button>
        ))}
      </div>
      {events.length > 0 && <CarryOver events={events} />}
    </div>
  );
}

interface EventRowProps {
  event: EntryView;
  change: (event: EntryView, part: EntryInput['data'], what: string) => void;
  remove: () => void;
}

function EventRow({ event, change, remove }: EventRowProps) {
  const { slots } = useBench();
  const { outgoing } = slots.get(eventSlot(event.index ?? ''));
  const refused = outgoing !== null && outgoing.state !== 'waiting' ? outgoing : null;
  const content = refused?.entry.data ?? event.content;
  const name = words.timeline.whats[content.what ?? 'run'];
  return (
    <>
      <tr>
        <td>
          <Select<What>
            value={content.what ?? 'run'}
            aria-label={`${name}: ${words.timeline.what}`}
            variant="borderless"
            onChange={(what) => change(event, { ...content, what }, words.timeline.whats[what])}
            options={WHATS.map((value) => ({ value, label: words.timeline.whats[value] }))}
          />
        </td>
        <td>
          <Committed
            value={content.date ?? ''}
            label={`${name}: ${words.timeline.date}`}
            placeholder="2026-03-14"
            wrong={refused?.problem?.pointer?.includes('date') ?? false}
            onCommit={(date) => change(event, { ...content, date }, date)}
          />
        </td>
        <td className="since">
          <InputNumber
            value={content.amount ?? null}
            min={0}
            aria-label={`${name}: ${words.timeline.since}`}
            controls={false}
            onBlur={(blur) => {
              const amount = blur.target.value.trim() === '' ? undefined : Number(blur.target.value);
              if (amount !== content.amount && (amount === undefined || !Number.isNaN(amount))) {
                const rest = { ...content };
                delete rest.amount;
                change(event, amount === undefined ? rest : { ...rest, amount }, String(amount ?? ''));
              }
            }}
          />
          <Select<RunUnit>
            value={content.unit ?? 'h'}
            aria-label={`${name}: ${words.timeline.unit}`}
            variant="borderless"
            onChange={(unit) => change(event, { ...content, unit }, unit)}
            options={(['h', 'km', 'mi', 'runs'] as const).map((value) => ({ value, label: value }))}
          />
        </td>
        <td>
          <input
            type="checkbox"
            checked={content.sameSymptom ?? false}
            disabled={content.what !== 'failure'}
            aria-label={`${name}: ${words.timeline.same}`}
            onChange={(event2) => change(event, { ...content, sameSymptom: event2.target.checked }, words.timeline.same)}
          />
        </td>
        <td>
          <Committed
            value={content.words ?? ''}
            label={`${name}: ${words.timeline.words}`}
            placeholder=""
            wrong={false}
            onCommit={(text) => change(event, { ...content, words: text }, text)}
          />
        </td>
        <td>
          <button type="button" className="take-back" onClick={remove}>
            {words.teardown.takeBack}
          </button>
        </td>
      </tr>
      {refused && (
        <tr>
          <td colSpan={6} className="wrong" role="alert">
            {refused.problem?.reason ?? refused.problem?.detail}
          </td>
        </tr>
      )}
    </>
  );
}

interface CommittedProps {
  value: string;
  label: string;
  placeholder: string;
  wrong: boolean;
  onCommit: (text: string) => void;
}

/** A text that is recorded when its field is left or Enter pressed. */
function Committed({ value, label, placeholder, wrong, onCommit }: CommittedProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const commit = (): void => {
    if (typed !== null && typed.trim() !== value) onCommit(typed.trim());
    setTyped(null);
  };
  return (
    <Input
      value={typed ?? value}
      data-committed={value}
      aria-label={label}
      placeholder={placeholder}
      status={wrong ? 'error' : ''}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onPressEnter={commit}
    />
  );
}

/** Component by event: new, carried, changed or unknown. Arrows walk, one letter fills and goes on. */
function CarryOver({ events }: { events: readonly EntryView[] }) {
  const { view, slots, record, withdraw } = useBench();
  const head = (event: EntryView): string => `${words.timeline.whats[event.content.what ?? 'run']} ${event.content.date ?? ''}`.trim();
  const fill = (row: number, column: number, state: State | null): void => {
    const component = view.components[row];
    const event = events[column];
    if (component === undefined || event === undefined) return;
    const slot = carrySlot(component.code, event.index ?? '');
    const what = `${component.label}, ${head(event)}`;
    if (state === null) withdraw(slot, what);
    else record('carry', slot, { state }, `${what}: ${words.timeline.states[state]}`);
  };
  const focus = (row: number, column: number): void => {
    const at = Math.max(0, Math.min(view.components.length - 1, row));
    document.querySelector<HTMLElement>(`[data-carry="${at}.${Math.max(0, Math.min(events.length - 1, column))}"]`)?.focus();
  };
  const onKey = (event: KeyboardEvent, row: number, column: number): void => {
    const state = KEY_OF[event.key.toLowerCase()];
    if (state !== undefined) {
      event.preventDefault();
      fill(row, column, state);
      focus(row + 1, column);
    } else if (event.key === 'Backspace' || event.key === 'Delete') {
      event.preventDefault();
      fill(row, column, null);
    } else if (event.key.startsWith('Arrow')) {
      event.preventDefault();
      focus(
        row + (event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0),
        column + (event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0),
      );
    }
  };
  return (
    <section aria-label={words.timeline.carry}>
      <h3>{words.timeline.carry}</h3>
      <p className="note">{words.timeline.carryHint}</p>
      <table className="carry" role="grid">
        <thead>
          <tr>
            <th />
            {events.map((event) => (
              <th key={event.index}>{head(event)}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.components.map((component, row) => (
            <tr key={component.code}>
              <th scope="row">{component.label}</th>
              {events.map((event, column) => {
                const state = (slots.get(carrySlot(component.code, event.index ?? '')).entry?.content.state ?? null) as State | null;
                return (
                  <td key={event.index}>
                    <button
                      type="button"
                      data-carry={`${row}.${column}`}
                      data-state={state ?? 'none'}
                      tabIndex={row === 0 && column === 0 ? 0 : -1}
                      aria-label={`${component.label}, ${head(event)}: ${state === null ? words.timeline.notSaid : words.timeline.states[state]}`}
                      onKeyDown={(key) => onKey(key, row, column)}
                      onClick={() => fill(row, column, STATES[(state === null ? 0 : STATES.indexOf(state) + 1) % STATES.length] ?? 'new')}
                    >
                      {state === null ? '–' : words.timeline.states[state]}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

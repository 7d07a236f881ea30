import { useBench } from '../entry/useBench';
import type { EntryView, Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { inGrid, useRoving } from '../shared/useRoving';

type State = 'new' | 'carried' | 'changed' | 'unknown';
const STATES: readonly State[] = ['new', 'carried', 'changed', 'unknown'];
const KEY_OF: Record<string, State> = { n: 'new', c: 'carried', x: 'changed', '?': 'unknown' };
const carrySlot = (component: string, event: string) => ({ place: 'engine', part: 'timeline', item: `carry.${component}`, index: event });

interface Props {
  events: readonly EntryView[];
  /** What follows from the tags of the parts: it is heard before what is said. */
  byTags: readonly Schemas['CarriedByTagsView'][];
  comesTo: readonly string[];
}

/** Component by event: new, carried, changed or unknown. Arrows walk, one letter fills and goes on. */
export function CarryOver({ events, byTags, comesTo }: Props) {
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
  const columns = events.length;
  const roving = useRoving<HTMLTableSectionElement>(inGrid(view.components.length, columns));
  const at = (event: KeyboardEvent): [number, number, number] => {
    const i = Number((event.target as HTMLElement).dataset['roving'] ?? NaN);
    return [i, Math.floor(i / columns), i % columns];
  };
  const onKeyDown = useKeys([
    {
      shown: 'N C X ?',
      does: words.keysDo.carry,
      on: /^[ncx?]$/i,
      run: (event) => {
        const [i, row, column] = at(event);
        fill(row, column, KEY_OF[event.key.toLowerCase()] ?? null);
        roving.focus(i + columns);
      },
    },
    {
      shown: 'Backspace',
      does: words.keysDo.carryNone,
      on: /^(Backspace|Delete)$/,
      run: (event) => {
        const [, row, column] = at(event);
        fill(row, column, null);
      },
    },
  ]);
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
        <tbody ref={roving.ref} onKeyDown={roving.onKeyDown}>
          {view.components.map((component, row) => (
            <tr key={component.code}>
              <th scope="row">{component.label}</th>
              {events.map((event, column) => {
                const tagged = byTags.find((one) => one.component === component.code && one.event === event.index)?.state;
                const said = (slots.get(carrySlot(component.code, event.index ?? '')).entry?.content.state ?? null) as State | null;
                const state = tagged ?? said;
                return (
                  <td key={event.index}>
                    <button
                      type="button"
                      data-state={state ?? 'none'}
                      {...roving.item(row * columns + column)}
                      aria-label={`${component.label}, ${head(event)}: ${state === null ? words.timeline.notSaid : words.timeline.states[state]}`}
                      onKeyDown={onKeyDown}
                      onClick={() => fill(row, column, STATES[(said === null ? 0 : STATES.indexOf(said) + 1) % STATES.length] ?? 'new')}
                    >
                      {state === null ? '–' : words.timeline.states[state]}
                    </button>
                    {tagged !== undefined && <small className="by-tags">{words.timeline.byTags}</small>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {comesTo.length > 0 && (
        <p className="comes-to" role="status">
          {comesTo.join(' ')}
        </p>
      )}
    </section>
  );
}

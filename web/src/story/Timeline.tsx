import { Button, Select } from 'antd';
import { EntryField } from '../entry/EntryField';
import { reasonOf, refusedIn } from '../entry/refusal';
import { useBench } from '../entry/useBench';
import type { EntryInput, EntryView } from '../shared/api';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useComparable, useTimeline } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';
import { CarryOver } from './CarryOver';

type What = NonNullable<EntryInput['data']['what']>;
type RunUnit = NonNullable<EntryInput['data']['unit']>;

const WHATS: readonly What[] = ['build', 'run', 'service', 'failure'];

const eventSlot = (id: string) => ({ place: 'engine', part: 'timeline', item: 'event', index: id });

/** Builds, runs, services and failures in order, and what went from one into the next. */
export function Timeline() {
  const { view, slots, record, withdraw } = useBench();
  const timeline = useTimeline(view.id);
  const standing = slots.standing('event');
  const order = timeline.data?.order ?? [];
  const rank = (event: EntryView): number => {
    const at = order.indexOf(event.index ?? '');
    return at < 0 ? order.length : at;
  };
  const events = [...standing].sort((a, b) => rank(a) - rank(b));
  const onBench = events.findLast((event) => event.content.what === 'failure');
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
            <th>{words.timeline.case}</th>
            <th>{words.timeline.words}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {events.map((event) => (
            <EventRow
              key={event.index}
              event={event}
              isOnBench={event === onBench}
              change={change}
              remove={() => withdraw(event, words.timeline.event)}
            />
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
      {events.length > 0 && <CarryOver events={events} byTags={timeline.data?.byTags ?? []} comesTo={timeline.data?.carried ?? []} />}
    </div>
  );
}

interface EventRowProps {
  event: EntryView;
  /** The case at hand is that of this event. */
  isOnBench: boolean;
  change: (event: EntryView, part: EntryInput['data'], what: string) => void;
  remove: () => void;
}

function EventRow({ event, isOnBench, change, remove }: EventRowProps) {
  const { slots } = useBench();
  const refused = refusedIn(slots.get(eventSlot(event.index ?? '')));
  const wrongIn = (field: string, text: string): { text: string; reason: string } | null =>
    refused?.problem?.pointer?.includes(field) === true ? { text, reason: reasonOf(refused) } : null;
  const isShownInField = ['date', 'amount', 'words'].some((field) => refused?.problem?.pointer?.includes(field) === true);
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
          <EntryField
            stands={event.content.date ?? ''}
            refused={wrongIn('date', content.date ?? '')}
            label={`${name}: ${words.timeline.date}`}
            placeholder="2026-03-14"
            onRecord={(date) => change(event, { ...content, date }, date)}
          />
        </td>
        <td className="since">
          <EntryField
            stands={String(event.content.amount ?? '')}
            refused={wrongIn('amount', String(content.amount ?? ''))}
            label={`${name}: ${words.timeline.since}`}
            check={(text) => (/^\d+(\.\d+)?$/.test(text) ? null : words.timeline.notAnAmount)}
            isFigure
            onRecord={(text) => {
              const rest = { ...content };
              delete rest.amount;
              change(event, text === '' ? rest : { ...rest, amount: Number(text) }, text);
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
        <td>{isOnBench ? words.timeline.thisCase : <CaseOfIt event={event} name={name} change={change} />}</td>
        <td>
          <EntryField
            stands={event.content.words ?? ''}
            refused={wrongIn('words', content.words ?? '')}
            label={`${name}: ${words.timeline.words}`}
            onRecord={(text) => change(event, { ...content, words: text }, text)}
          />
        </td>
        <td>
          <button type="button" className="take-back" onClick={remove}>
            {words.teardown.takeBack}
          </button>
        </td>
      </tr>
      {refused !== null && !isShownInField && (
        <tr>
          <td colSpan={7} className="wrong" role="alert">
            {reasonOf(refused)}
          </td>
        </tr>
      )}
    </>
  );
}

/** The shop's own case of an event: what was tagged there says which parts stood in that build. */
function CaseOfIt({ event, name, change }: { event: EntryView; name: string; change: EventRowProps['change'] }) {
  const { view } = useBench();
  const cases = useComparable(view.id).data ?? [];
  const { earlier, ...rest } = event.content;
  const known = cases.map((one) => ({ value: one.id, label: one.name }));
  const isAway = earlier !== undefined && !known.some((one) => one.value === earlier.case);
  return (
    <>
      <Choice
        value={earlier?.case ?? null}
        label={`${name}: ${words.timeline.case}`}
        placeholder={words.timeline.noCase}
        width={150}
        onClear={() => change({ ...event, content: rest }, {}, words.timeline.ofCase(name, words.timeline.noCase))}
        onChange={(id) =>
          change(event, { earlier: { case: id } }, words.timeline.ofCase(name, known.find((one) => one.value === id)?.label ?? id))
        }
        options={isAway ? [...known, { value: earlier.case, label: earlier.name ?? earlier.case }] : known}
      />
      {earlier !== undefined && <small className="note">{words.timeline.knownByTags(earlier.parts?.length ?? 0)}</small>}
    </>
  );
}

import { Button, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { LargeMarginRule } from '../draw/MarginRule';
import { useBench } from '../entry/useBench';
import { when } from '../shared/days';
import { isWriting, useKeysEverywhere } from '../shared/keys';
import { words } from '../shared/messages';
import { usePerson } from '../shared/person';
import { Radios } from '../shared/Radios';
import { lineSlot, mark, open, readingSlot, readOf, stateOf, wants, type Line, type LinePlace, type LineState } from './lines';

interface Props {
  line: Line;
  at: LinePlace;
  isOpen: boolean;
  onOpen: () => void;
  onDone: () => void;
}

/** A line: closed it says how it stands; open it is done, read, ticked or left out with a reason. */
export function LineRow({ line, at, isOpen, onOpen, onDone }: Props) {
  const bench = useBench();
  const state = stateOf(bench, at);
  const isBroken = state !== null && at.unmet.length > 0;
  const isOff = isBroken || (state === 'ticked' && at.isOut);
  return (
    <li className={isOpen ? 'assembly-line is-open' : 'assembly-line'}>
      <button type="button" className="line-head" aria-expanded={isOpen} onClick={onOpen}>
        <Box state={state} />
        <span className="number figures">{line.number}</span>
        <span className="what">
          {line.label}
          {line.places.length > 1 && <small> {at.label}</small>}
        </span>
        <span className="figures value">{readOf(bench, line, at) || at.built}</span>
        {isOff && (
          <span className="off">
            <svg width="15" height="14" aria-hidden="true">
              <path d="M7.5 1L14 13H1Z" fill="none" stroke="currentColor" strokeWidth="1.5" />
            </svg>
            {isBroken ? words.reassembly.broken : words.reassembly.wasOut}
          </span>
        )}
        {state === 'left_out' && <span className="off">{words.reassembly.leftOut}</span>}
        {state === 'kept' && <span className="off">{words.reassembly.kept}</span>}
      </button>
      {isOpen && <Opened line={line} at={at} state={state} onDone={onDone} />}
    </li>
  );
}

function Box({ state }: { state: LineState | null }) {
  return (
    <svg width="22" height="22" className="box" role="img" aria-label={state === null ? 'open' : state.replace('_', ' ')}>
      <rect x="1.5" y="1.5" width="19" height="19" fill="none" stroke="currentColor" strokeWidth="1.5" />
      {(state === 'ticked' || state === 'kept') && <path d="M5 11l4 4 8-9" fill="none" stroke="currentColor" strokeWidth="2.4" />}
      {state === 'left_out' && <path d="M5 11h12" stroke="currentColor" strokeWidth="2.4" />}
    </svg>
  );
}

function Opened({ line, at, state, onDone }: { line: Line; at: LinePlace; state: LineState | null; onDone: () => void }) {
  const bench = useBench();
  const person = usePerson();
  const entry = bench.slots.get(lineSlot(at)).entry;
  const [choice, choose] = useState<string | null>(entry?.content.choice ?? null);
  const [asks, ask] = useState<'left_out' | 'kept' | null>(null);
  const [why, setWhy] = useState('');
  const want = wants(bench, line, at, choice);
  const chosen = choice === null ? {} : { choice };
  const tick = (): void => {
    if (want !== null) return;
    mark(bench, line, at, 'ticked', chosen);
    onDone();
  };
  useKeysEverywhere([
    {
      shown: 'Y',
      does: words.keysDo.tickLine,
      on: /^y$/i,
      when: (event) => state === null && !isWriting(event) && !event.ctrlKey,
      run: tick,
    },
  ]);
  return (
    <div className="line-body">
      {line.note !== '' && <p className="note">{line.note}</p>}
      {line.choices.length > 0 && (
        <Radios
          label={line.label}
          value={choice}
          onChange={choose}
          className="joined"
          options={line.choices.map((value) => ({ value, label: value }))}
        />
      )}
      {line.reads !== null && <Value line={line} at={at} />}
      {line.reads !== null && (
        <p className="note">
          {at.planned === null
            ? at.margin === null
              ? words.reassembly.notPlanned
              : ''
            : words.reassembly.planned(`${at.planned} ${line.unit}`)}
        </p>
      )}
      {at.margin !== null && (
        <div className={at.isOut ? 'stands is-out' : 'stands'}>
          <LargeMarginRule margin={at.margin} width={330} />
          <p>
            {at.isOut ? <b className="wrong">{at.margin.sentence}</b> : at.margin.sentence} {at.follows} {at.mend}
          </p>
        </div>
      )}
      {at.unmet.length > 0 && <p className={state === null ? 'note' : 'wrong'}>{words.reassembly.risk(at.unmet.join('; '), line.risk)}</p>}
      {line.caution !== null && state === null && (
        <p className="caution">
          <b>{words.reassembly.now}</b> {line.caution}
        </p>
      )}
      {state !== null ? (
        <div className="acts-row">
          <span>
            {at.by !== null && at.at !== null && words.reassembly.tickedAs(at.by, when(at.at).full)}
            {entry?.content.note !== undefined && `: ${entry.content.note}`}
            {entry?.content.choice !== undefined && `: ${entry.content.choice}`}
          </span>
          <Button onClick={() => open(bench, line, at)}>{words.reassembly.untick}</Button>
        </div>
      ) : asks === null ? (
        <div className="acts-row">
          <Button onClick={() => ask('left_out')}>{words.reassembly.leaveOut}</Button>
          {at.isOut && (
            <Button danger onClick={() => ask('kept')}>
              {words.reassembly.keepOut}
            </Button>
          )}
          <Button type="primary" className={want === null ? '' : 'waits'} disabled={want !== null} onClick={tick}>
            {want === null ? words.reassembly.tick(person) : `${words.reassembly.tick(person)}: ${words.reassembly.first(want)}`}
          </Button>
        </div>
      ) : (
        <form
          className="acts-row"
          onSubmit={(event) => {
            event.preventDefault();
            if (why.trim() === '') return;
            mark(bench, line, at, asks, { note: why.trim(), ...chosen });
            onDone();
          }}
        >
          <Input
            value={why}
            maxLength={1000}
            aria-label={words.reassembly.why}
            placeholder={words.reassembly.why}
            onChange={(event) => setWhy(event.target.value)}
            autoFocus
          />
          <Button htmlType="submit" disabled={why.trim() === ''}>
            {words.reassembly.say}
          </Button>
        </form>
      )}
    </div>
  );
}

/** The figure of a line; it goes into the same sheet, as built. */
function Value({ line, at }: { line: Line; at: LinePlace }) {
  const bench = useBench();
  const slot = readingSlot(line, at);
  const state = bench.slots.get(slot);
  const stored = readOf(bench, line, at);
  const [text, setText] = useState(stored);
  const [last, setLast] = useState(stored);
  if (last !== stored) {
    setLast(stored);
    setText(stored);
  }
  const input = useRef<HTMLInputElement>(null);
  const place = `${at.place}.${at.code}`;
  useEffect(() => input.current?.focus({ preventScroll: true }), [place]);
  const refused = state.outgoing?.problem?.detail ?? null;
  const keep = (): void => {
    const typed = text.trim();
    if (typed === '' || typed === stored) return;
    bench.record(
      'reading',
      slot,
      { text: typed, ...(line.gauge === null ? {} : { gauge: line.gauge }) },
      `${words.reassembly.reading(line.label, at.label)}: ${typed}`,
    );
  };
  return (
    <div className="value-row">
      <input
        ref={input}
        className={at.isOut ? 'figure-input figures is-out' : 'figure-input figures'}
        value={text}
        inputMode="decimal"
        aria-label={words.reassembly.reading(line.label, at.label)}
        aria-invalid={refused !== null}
        onChange={(event) => setText(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault();
            keep();
          }
        }}
      />
      <span>{line.unit}</span>
      {at.isOut && (
        <Button
          onClick={() => {
            setText('');
            input.current?.focus();
          }}
        >
          {words.reassembly.readAgain}
        </Button>
      )}
      {refused !== null && (
        <p className="wrong" role="alert">
          {refused}
        </p>
      )}
    </div>
  );
}

import { Button, Input } from 'antd';
import { useState } from 'react';
import type { ChainView } from '../draw/chainLayout';
import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { ownCode, record, slotOfEdit, stands, type Edit } from './edits';

type Event = ChainView['events'][number];
export type Asked = 'cut' | 'order' | 'link' | 'add';

interface Props {
  chain: ChainView;
  event: Event | null;
  asks: Asked;
  onDone: () => void;
}

/** Asks what a change of the chain needs: the other event, the reason. */
export function EditForm({ asks, ...props }: Props) {
  if (asks === 'add') return <AddForm {...props} />;
  if (props.event === null) return null;
  return asks === 'cut' ? <CutForm {...props} event={props.event} /> : <TwoForm {...props} event={props.event} asks={asks} />;
}

interface OfOne extends Omit<Props, 'asks' | 'event'> {
  event: Event;
}

/** A link of the event is cut, or mended: what a person drew is taken back instead. */
function CutForm({ chain, event, onDone }: OfOne) {
  const bench = useBench();
  const label = (code: string): string => chain.events.find((one) => one.code === code)?.label ?? code;
  const links = chain.links.filter((one) => one.to === event.code || one.from === event.code);
  const [picked, pick] = useState(0);
  const link = links[picked];
  const [why, setWhy] = useState('');
  if (link === undefined) return <p>{words.chain.noLink(event.label)}</p>;
  const name = words.chain.link(label(link.from), label(link.to));
  const drawn: Edit | undefined = (
    [
      { edit: 'link', event: link.from, to: link.to },
      { edit: 'order', event: link.from, to: link.to },
    ] as const
  ).find((one) => stands(bench, one));
  const keep = (): void => {
    if (link.isCut) bench.withdraw(slotOfEdit({ edit: 'cut', event: link.from, to: link.to }), words.chain.mended(name));
    else if (drawn !== undefined) bench.withdraw(slotOfEdit(drawn), words.chain.tookBack(name));
    else record(bench, [{ edit: 'cut', event: link.from, to: link.to, words: why.trim() }], words.chain.wasCut(name));
    onDone();
  };
  return (
    <Asking send={link.isCut ? words.chain.mend : drawn === undefined ? words.chain.cut : words.chain.takeBack} onSend={keep}>
      <Choice
        label={words.chain.whichLink}
        value={picked}
        width="100%"
        onChange={pick}
        options={links.map((one, value) => ({ value, label: words.chain.link(label(one.from), label(one.to)) }))}
      />
      {!link.isCut && drawn === undefined && <Why value={why} onChange={setWhy} />}
    </Asking>
  );
}

/** That the event came before or after another, or led to another. */
function TwoForm({ chain, event, asks, onDone }: OfOne & { asks: 'order' | 'link' }) {
  const bench = useBench();
  const others = chain.events.filter((one) => one.code !== event.code);
  const [other, pick] = useState(others[0]?.code ?? null);
  const [isAfter, setAfter] = useState(false);
  const [why, setWhy] = useState('');
  if (other === null) return <p>{words.chain.alone}</p>;
  const label = chain.events.find((one) => one.code === other)?.label ?? '';
  const [first, second] = isAfter ? [other, event.code] : [event.code, other];
  const keep = (): void => {
    record(bench, [{ edit: asks, event: first, to: second, words: why.trim() }], words.chain.changed[asks](event.label, label, isAfter));
    onDone();
  };
  return (
    <Asking send={words.chain.keep} onSend={keep}>
      <p>
        <b>{event.label}</b>
      </p>
      <Choice
        label={words.chain.way[asks]}
        value={isAfter ? 1 : 0}
        width="100%"
        onChange={(value) => setAfter(value === 1)}
        options={words.chain.ways[asks].map((text, value) => ({ value, label: text }))}
      />
      <Choice
        label={words.chain.other}
        value={other}
        width="100%"
        onChange={pick}
        options={others.map((one) => ({ value: one.code, label: one.label }))}
      />
      <Why value={why} onChange={setWhy} />
    </Asking>
  );
}

const KNOWN = ['seen', 'told', 'implied'] as const;

/** Something that the catalogue does not have; it follows the chosen event, where one is chosen. */
function AddForm({ event, onDone }: Omit<Props, 'asks'>) {
  const bench = useBench();
  const [what, setWhat] = useState('');
  const [known, setKnown] = useState<(typeof KNOWN)[number]>('seen');
  const [place, setPlace] = useState<string | null>(null);
  const keep = (): void => {
    if (what.trim() === '') return;
    const code = ownCode();
    const added: Edit = { edit: 'event', event: code, words: what.trim(), known, ...(place === null ? {} : { place }) };
    record(bench, event === null ? [added] : [added, { edit: 'link', event: event.code, to: code }], words.chain.added(what.trim()));
    onDone();
  };
  return (
    <Asking send={words.chain.add} onSend={keep} isReady={what.trim() !== ''}>
      <label>
        <span>{words.chain.what}</span>
        <Input value={what} maxLength={80} onChange={(typed) => setWhat(typed.target.value)} data-first />
      </label>
      <Choice
        label={words.chain.known}
        value={known}
        width="100%"
        onChange={setKnown}
        options={KNOWN.map((value) => ({ value, label: words.chain.standings[value] }))}
      />
      <Choice
        label={words.chain.where}
        value={place}
        placeholder={words.chain.where}
        width="100%"
        onChange={setPlace}
        onClear={() => setPlace(null)}
        options={bench.view.stations.map((one) => ({ value: one.code, label: one.label }))}
      />
      {event !== null && <p className="note">{words.chain.follows(event.label)}</p>}
    </Asking>
  );
}

function Why({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <label>
      <span>{words.chain.why}</span>
      <Input value={value} maxLength={1000} onChange={(event) => onChange(event.target.value)} data-first />
    </label>
  );
}

function Asking({
  send,
  onSend,
  isReady = true,
  children,
}: {
  send: string;
  onSend: () => void;
  isReady?: boolean;
  children: React.ReactNode;
}) {
  return (
    <form
      className="chain-form"
      onSubmit={(event) => {
        event.preventDefault();
        onSend();
      }}
    >
      {children}
      <Button type="primary" htmlType="submit" disabled={!isReady}>
        {send}
      </Button>
    </form>
  );
}

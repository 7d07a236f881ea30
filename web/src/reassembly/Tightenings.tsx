import { Button, Input } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { passesOf, tighteningSlot, type Plan } from './lines';

type Joint = Plan['joints'][number];
type BoltUse = NonNullable<Joint['bolts']>;

const USES: readonly BoltUse[] = ['once', 'again', 'measured'];

/** What is tightened by the maker's figures: nothing of it is known here, each pass is copied from the manual with its source. */
export function Tightenings({ joints }: { joints: readonly Joint[] }) {
  const [asked, ask] = useState<string | null>(null);
  return (
    <section className="tightenings" aria-label={words.reassembly.joints}>
      <h3>{words.reassembly.joints}</h3>
      <p className="note">{words.reassembly.jointsNote}</p>
      <ul>
        {joints.map((joint) => (
          <li key={joint.joint}>
            <b>{joint.label}</b>{' '}
            {joint.passes.length === 0 ? (
              <span className="note">{words.reassembly.missing}</span>
            ) : (
              <span>
                <span className="figures">{joint.passes.join(', ')}</span>; {joint.words}
              </span>
            )}
            {asked === joint.joint ? (
              <Form joint={joint} onDone={() => ask(null)} />
            ) : (
              <Button size="small" onClick={() => ask(joint.joint)}>
                {joint.passes.length === 0 ? words.reassembly.enter(joint.label) : words.reassembly.change(joint.label)}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Form({ joint, onDone }: { joint: Joint; onDone: () => void }) {
  const bench = useBench();
  const [passes, setPasses] = useState(joint.passes.join(', '));
  const [bolts, setBolts] = useState<BoltUse | null>(joint.bolts);
  const [threads, setThreads] = useState(joint.threads);
  const [order, setOrder] = useState(joint.order);
  const [source, setSource] = useState(joint.source);
  const [wrong, setWrong] = useState<string | null>(null);
  const isReady = passes.trim() !== '' && source.trim() !== '' && bolts !== null;
  const keep = (): void => {
    if (bolts === null) return;
    const typed = passesOf(passes);
    if (typed.wrong !== null || typed.passes.length === 0) {
      setWrong(words.reassembly.badPass(typed.wrong ?? passes));
      return;
    }
    bench.record(
      'tightening',
      tighteningSlot(joint.joint),
      {
        passes: typed.passes,
        bolts,
        source: source.trim(),
        ...(threads.trim() === '' ? {} : { threads: threads.trim() }),
        ...(order.trim() === '' ? {} : { order: order.trim() }),
      },
      words.reassembly.keptJoint(joint.label),
    );
    onDone();
  };
  const text = (label: string, value: string, set: (value: string) => void, placeholder = '') => (
    <label>
      <span>{label}</span>
      <Input value={value} maxLength={200} placeholder={placeholder} onChange={(event) => set(event.target.value)} />
    </label>
  );
  return (
    <form
      className="joint-form"
      onSubmit={(event) => {
        event.preventDefault();
        keep();
      }}
    >
      {text(words.reassembly.passes, passes, setPasses, words.reassembly.passesHint)}
      {wrong !== null && (
        <p className="wrong" role="alert">
          {wrong}
        </p>
      )}
      <Choice
        label={words.reassembly.bolts}
        value={bolts}
        placeholder={words.reassembly.bolts}
        width="100%"
        onChange={setBolts}
        options={USES.map((value) => ({ value, label: words.reassembly.boltUses[value] }))}
      />
      {text(words.reassembly.threads, threads, setThreads)}
      {text(words.reassembly.order, order, setOrder)}
      {text(words.reassembly.source, source, setSource)}
      <Button htmlType="submit" type="primary" disabled={!isReady}>
        {words.reassembly.keepJoint}
      </Button>
    </form>
  );
}

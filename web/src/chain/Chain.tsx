import { Button } from 'antd';
import { useState, type FocusEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import { ChainGraph } from '../draw/ChainGraph';
import { laidOut, type ChainLayout, type ChainView } from '../draw/chainLayout';
import { Keycap } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { useOpened } from '../frame/useSection';
import { Dialog } from '../shared/Dialog';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useChain } from '../shared/queries';
import { useRoving, type Way } from '../shared/useRoving';
import { Changes } from './Changes';
import { EditForm, type Asked } from './EditForm';
import { record, slotOfEdit, stands, storedChanges, type Edit } from './edits';
import './chain.css';

type Event = ChainView['events'][number];

/**
 * What follows here on the ranking: what each event is known by, what led to what, and the story of it. `changed` are signs of which
 * something else is known than at the last look.
 */
export function Chain({ beside, changed = [] }: { beside: ReactNode; changed?: readonly string[] }) {
  const bench = useBench();
  const chain = useChain(bench.view.id, storedChanges(bench.view)).data;
  const [, choosePlace] = useChosen();
  const [opened, open] = useOpened('event');
  const [asks, ask] = useState<Asked | null>(null);
  // The address follows the hand; a key can come before it has.
  const [held, hold] = useState(opened);
  const event = chain?.events.find((one) => one.code === held) ?? null;
  const toggle = (edit: 'first' | 'older' | 'both'): void => {
    if (event === null) return;
    const change: Edit = { edit, event: event.code };
    if (stands(bench, change)) bench.withdraw(slotOfEdit(change), words.chain.tookBack(words.chain.toggles[edit](event.label)));
    else record(bench, [change], words.chain.toggles[edit](event.label));
  };
  const acts = ACTS.map(({ key, act }) => {
    const does = (): void => (act === 'first' || act === 'older' || act === 'both' ? toggle(act) : ask(act));
    return { key, act, does, isReady: act === 'add' || event !== null };
  });
  const onKeys = useKeys(
    acts.map(({ key, act, does }) => ({
      shown: key,
      does: words.chain.acts[act],
      on: new RegExp(`^${key}$`, 'i'),
      when: (pressed: KeyboardEvent) => pressed.target instanceof SVGElement,
      run: does,
    })),
    [...CHAIN_KEYS, ...acts.map(({ key, act }) => ({ shown: key, does: words.keysDo.onChain(words.chain.acts[act]) }))],
  );
  const layout = chain === undefined ? null : laidOut(chain);
  const roving = useRoving<HTMLDivElement>(chain === undefined || layout === null ? () => null : along(chain, layout), {
    first: Math.max(0, chain?.events.findIndex((one) => one.code === held) ?? 0),
  });
  if (chain === undefined) return <p className="pad note">{words.cause.weighing}</p>;
  const choose = (one: Event): void => {
    if (one.code !== held) {
      hold(one.code);
      open(one.code);
    }
    const [place] = one.places;
    if (place?.includes('-') === true) choosePlace(place);
  };
  const told = chain.events.filter((one) => one.number !== null);
  const isChanged = (one: Event): boolean => one.signs.some((sign) => changed.includes(sign));
  return (
    <div className="in-chain">
      <div className="chain">
        <div className="chain-head">
          <h2>{words.chain.title}</h2>
          <Key />
          <span className="acts-row">
            {acts.map(({ key, act, does, isReady }) => (
              <Button key={act} size="small" disabled={!isReady} onClick={does}>
                {words.chain.acts[act]} <Keycap>{key}</Keycap>
              </Button>
            ))}
          </span>
        </div>
        {chain.events.length === 0 ? (
          <div className="empty">
            <b>{words.chain.empty}</b>
            {words.chain.emptyWhat}
          </div>
        ) : (
          <div
            className="chain-graph"
            ref={roving.ref}
            onKeyDown={(pressed) => {
              onKeys(pressed);
              roving.onKeyDown(pressed);
            }}
          >
            <ChainGraph
              chain={chain}
              words={words.chain.drawn}
              label={words.chain.title}
              chosen={held}
              changed={chain.events.filter(isChanged).map((one) => one.code)}
              held={(one) => {
                const item = roving.item(chain.events.indexOf(one));
                return {
                  ...item,
                  role: 'button',
                  className: 'chain-event',
                  'aria-pressed': one.code === held,
                  'aria-label': isChanged(one) ? `${spoken(one, chain)}, ${words.cause.changed}` : spoken(one, chain),
                  onClick: () => choose(one),
                  onFocus: (focus: FocusEvent) => {
                    item.onFocus(focus);
                    choose(one);
                  },
                };
              }}
            />
          </div>
        )}
        <div className="chain-below">
          <section aria-label={words.chain.story}>
            <h3>{words.chain.story}</h3>
            {told.length === 0 && <p className="note">{words.chain.noStory}</p>}
            <ol className="story-of-chain">
              {told.map((one) => (
                <li key={one.code} className={one.code === held ? 'chosen' : ''}>
                  <button type="button" className="number" onClick={() => choose(one)} aria-label={words.chain.show(one.number ?? 0)}>
                    {one.number}
                  </button>
                  <span>
                    {one.sentence} {one.step !== '' && <Evidence of={one} caseId={bench.view.id} />}
                    {one.because !== '' && <small className="note">{one.because}</small>}
                  </span>
                </li>
              ))}
            </ol>
            <p>
              <b>{words.cause.left}:</b> {chain.left.length === 0 ? words.cause.leftNothing : `${chain.left.join('; ')}.`}
            </p>
            <Changes chain={chain} />
            {chain.contained.length > 0 && (
              <>
                <h3>{words.chain.contained}</h3>
                <ul className="contained">
                  {chain.contained.map((one) => (
                    <li key={one.event}>
                      <b>{one.label}:</b> {one.words}
                    </li>
                  ))}
                </ul>
                <p className="note">{words.chain.containedWhat}</p>
              </>
            )}
          </section>
          <div className="chain-beside">{beside}</div>
        </div>
        <Dialog open={asks !== null} title={asks === null ? '' : words.chain.acts[asks]} onClose={() => ask(null)} scope="in-chain">
          {asks !== null && <EditForm chain={chain} event={event} asks={asks} onDone={() => ask(null)} />}
        </Dialog>
      </div>
    </div>
  );
}

const ACTS: readonly { key: string; act: Asked | 'first' | 'older' | 'both' }[] = [
  { key: 'C', act: 'cut' },
  { key: 'L', act: 'link' },
  { key: 'M', act: 'order' },
  { key: 'A', act: 'add' },
  { key: 'F', act: 'first' },
  { key: 'B', act: 'both' },
  { key: 'O', act: 'older' },
];
const CHAIN_KEYS = [
  { shown: '← →', does: words.keysDo.chainAlong },
  { shown: '↑ ↓', does: words.keysDo.chainLanes },
];

function Evidence({ of: { step, places }, caseId }: { of: Event; caseId: string }) {
  const place = places.find((one) => one.includes('-'));
  return <Link to={`/case/${caseId}/${step}${place === undefined ? '' : `?at=${place}`}`}>{step}</Link>;
}

/** What the drawing of an event means. */
function Key() {
  return (
    <ul className="chain-key">
      {(['seen', 'told', 'implied', 'not_looked', 'denied'] as const).map((standing) => (
        <li key={standing} className={standing}>
          {words.chain.standings[standing]}
        </li>
      ))}
    </ul>
  );
}

/** An event as it is said: "4, retainer met the seal, seen, 4E, because of 1 and 2, leads to 5". */
function spoken(event: Event, chain: ChainView): string {
  const name = (code: string): string => {
    const one = chain.events.find((other) => other.code === code);
    return one?.number === null ? one.label : String(one?.number ?? code);
  };
  const list = (codes: string[]): string => codes.map(name).join(' and ');
  const [before, after] = [
    chain.links.filter((one) => one.to === event.code && !one.isCut).map((one) => one.from),
    chain.links.filter((one) => one.from === event.code && !one.isCut).map((one) => one.to),
  ];
  return [
    ...(event.number === null ? [] : [String(event.number)]),
    event.label,
    words.chain.standings[event.standing],
    event.evidence,
    ...(event.code === chain.first ? [words.chain.drawn.first] : []),
    ...(before.length === 0 ? [] : [words.chain.becauseOf(list(before))]),
    ...(after.length === 0 ? [] : [words.chain.leadsTo(list(after))]),
  ].join(', ');
}

/** Arrows: left and right along the links, up and down between the lanes; else to what is nearest that way. */
function along(chain: ChainView, layout: ChainLayout): Way {
  return (from, key) => {
    const here = layout.events.get(chain.events[from]?.code ?? '');
    if (here === undefined) return null;
    const steps: Record<string, { is: (x: number, y: number) => boolean; across: boolean }> = {
      ArrowRight: { is: (x) => x > 0, across: true },
      ArrowLeft: { is: (x) => x < 0, across: true },
      ArrowDown: { is: (_, y) => y > 0, across: false },
      ArrowUp: { is: (_, y) => y < 0, across: false },
    };
    const step = steps[key];
    if (step === undefined) return key === 'Home' ? 0 : key === 'End' ? chain.events.length - 1 : null;
    const linked = new Set(chain.links.flatMap((one) => (one.from === here.code ? [one.to] : one.to === here.code ? [one.from] : [])));
    const ways = chain.events.flatMap(({ code }, i) => {
      const there = layout.events.get(code);
      if (there === undefined || !step.is(there.x - here.x, there.y - here.y)) return [];
      const [dx, dy] = [Math.abs(there.x - here.x), Math.abs(there.y - here.y)];
      return [{ i, far: (step.across ? dx + 4 * dy : dy + 4 * dx) + (step.across && !linked.has(code) ? FAR : 0) }];
    });
    return ways.sort((one, other) => one.far - other.far)[0]?.i ?? null;
  };
}

const FAR = 100_000;

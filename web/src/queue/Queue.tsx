import { useQueryClient } from '@tanstack/react-query';
import { Button, Input, Spin } from 'antd';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { Keycap } from '../draw/Tag';
import { AskName, PersonButton } from '../frame/Person';
import { Title } from '../frame/Title';
import { Wordmark } from '../draw/Wordmark';
import { Troubles } from '../keeping/Troubles';
import { answer, api } from '../shared/api';
import { failureWords } from '../shared/failure';
import { isWriting, useKeysEverywhere } from '../shared/keys';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { ImportCase } from './ImportCase';
import { KeptHere } from './KeptHere';
import { OnBench } from './OnBench';
import { QueueTable } from './QueueTable';
import { shopViews, useQueue, type ShopView, type ShownRow } from './useQueue';
import './queue.css';

/** All cases of the shop: the one on the bench first, each with what can be done now. */
export function Queue() {
  const [view, setView] = useState<ShopView>('all');
  const [find, setFind] = useState('');
  const scroll = useRef<HTMLElement>(null);
  const queue = useQueue(view, find);
  const aside = useAside();
  const isWhole = view === 'all' && queue.asked === '';
  const readable = queue.rows.filter((row) => row.unreadable === null);
  const onBench =
    readable.find((row) => row.firstEvent === null && row.lookedAt > 0) ?? readable.find((row) => row.firstEvent === null) ?? readable[0];
  const isEmptyShop = !queue.isPending && Object.values(queue.counts).every((count) => count === 0) && queue.asked === '';

  return (
    <div className="place in-queue">
      <Title of={words.queue.title} />
      <div>
        <header className="head-row">
          <Wordmark />
          <span className="spring" />
          <PersonButton />
        </header>
        <AskName />
        <Troubles />
      </div>
      <main className="queue" ref={scroll}>
        <h1 className="unseen">{words.queue.title}</h1>
        <div className="doors">
          <Find value={find} onChange={setFind} />
          <ImportCase />
          <span className="spring" />
          <Link to="/library" className="door-button plain">
            {words.library.title}
          </Link>
          <Link to="/quick" className="door-button plain">
            {words.quick.title}
          </Link>
          <Link to="/new" className="door-button">
            {words.queue.newCase}
          </Link>
        </div>
        <KeptHere names={new Map(queue.rows.map((row) => [row.id, row.name]))} />
        {queue.isPending && <Spin />}
        {queue.error !== null && <p className="wrong">{failureWords(queue.error)}</p>}
        {isEmptyShop && queue.error === null ? (
          <div className="empty">
            <b>{words.queue.empty}</b>
            <p>{words.queue.emptyWhat}</p>
            <Link to="/new" className="door-button" style={{ marginTop: 12 }}>
              {words.queue.newCase}
            </Link>
          </div>
        ) : (
          !queue.isPending && (
            <>
              {isWhole && onBench && <OnBench row={onBench} />}
              <Views chosen={view} counts={queue.counts} onChoose={setView} />
              {aside.last !== null && (
                <p role="status" className="aside-done">
                  {(aside.last.setAside ? words.queue.wasTakenUp : words.queue.wasSetAside)(aside.last.name)}{' '}
                  <Button onClick={aside.undo}>{words.queue.undoAside}</Button>
                </p>
              )}
              {aside.problem !== null && (
                <p className="wrong" role="alert">
                  {aside.problem}
                </p>
              )}
              <QueueTable
                rows={queue.rows}
                scroll={scroll}
                more={queue.more}
                empty={queue.asked === '' ? words.queue.nothingHere : words.queue.nothingFound}
                onAside={aside.turn}
              />
            </>
          )
        )}
      </main>
    </div>
  );
}

/** The slash goes to the search from anywhere but a field. */
function Find({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  const box = useRef<HTMLDivElement>(null);
  useKeysEverywhere([
    {
      shown: '/',
      does: words.keysDo.search,
      on: /^\/$/,
      when: (event) => !isWriting(event),
      run: () => box.current?.querySelector('input')?.focus(),
    },
  ]);
  return (
    <div ref={box} className="find">
      <Input
        value={value}
        onChange={(event) => onChange(event.target.value)}
        placeholder={words.queue.find}
        aria-label={words.queue.find}
        aria-keyshortcuts="/"
        allowClear
        prefix={<Keycap>/</Keycap>}
      />
    </div>
  );
}

function Views({ chosen, counts, onChoose }: { chosen: ShopView; counts: Record<string, number>; onChoose: (view: ShopView) => void }) {
  return (
    <div className="views" role="group" aria-label={words.queue.viewOf}>
      {shopViews.map((view) => (
        <button key={view} type="button" aria-pressed={view === chosen} onClick={() => onChoose(view)}>
          {words.queue.views[view]} <span className="figures">{counts[view] ?? 0}</span>
        </button>
      ))}
    </div>
  );
}

/** Sets a case aside or takes it up again; the last one can be undone. */
function useAside() {
  const queries = useQueryClient();
  const [last, setLast] = useState<ShownRow | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const put = async (row: ShownRow, aside: boolean): Promise<void> => {
    setProblem(null);
    try {
      await answer(api.PUT('/api/cases/{id}/set-aside', { params: { path: { id: row.id } }, body: { aside, by: author() } }));
      await queries.invalidateQueries({ queryKey: ['cases'] });
    } catch (error) {
      setProblem(failureWords(error));
    }
  };
  return {
    last,
    problem,
    turn: (row: ShownRow): void => {
      setLast(row);
      void put(row, !row.setAside);
    },
    undo: (): void => {
      if (last !== null) void put(last, last.setAside);
      setLast(null);
    },
  };
}

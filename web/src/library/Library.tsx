import { useQueryClient } from '@tanstack/react-query';
import { Input } from 'antd';
import { useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Wordmark } from '../draw/Wordmark';
import { PersonButton } from '../frame/Person';
import { Title } from '../frame/Title';
import { answer, api } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { useLimits, useShelf, useStock } from '../shared/queries';
import { Item } from './Item';
import { NetworkList, NetworkNode } from './Network';
import { isShipped, libraryChanged, SHELVES, type Item as Shelved, type Shelf, type ShelfOfForms } from './useShelf';
import './library.css';

/** The shop's shelves: what stands there, how it came to be, and all of it as a file. */
export default function Library() {
  const { shelf: named } = useParams();
  const [params] = useSearchParams();
  const shelf = SHELVES.find((one) => one === named) ?? 'gauges';
  const [sought, seek] = useState('');
  const open = params.get('of');
  return (
    <div className="place in-library">
      <Title of={`${words.library.shelves[shelf]} · ${words.library.title}`} />
      <header className="head-row">
        <Link to="/" aria-label={words.queue.title} className="home">
          <Wordmark />
        </Link>
        <span className="spring" />
        <AsFile />
        <PersonButton />
      </header>
      <main className="library">
        <nav aria-label={words.library.title}>
          <h1>{words.library.title}</h1>
          <div className="shelves">
            {SHELVES.map((one) => (
              <Link key={one} to={`/library/${one}`} aria-current={one === shelf ? 'page' : undefined}>
                {words.library.shelves[one]}
              </Link>
            ))}
          </div>
          <Input
            value={sought}
            placeholder={words.library.find}
            aria-label={words.library.find}
            onChange={(event) => seek(event.target.value)}
          />
          {shelf === 'links' ? <NetworkList sought={sought} open={open} /> : <Things shelf={shelf} sought={sought} open={open} />}
        </nav>
        {shelf !== 'links' ? (
          <Opened shelf={shelf} open={open} />
        ) : open === null ? (
          <About shelf={shelf} />
        ) : (
          <NetworkNode key={open} of={open} />
        )}
      </main>
    </div>
  );
}

/** What stands on a shelf, by name. */
function Things({ shelf, sought, open }: { shelf: ShelfOfForms; sought: string; open: string | null }) {
  const items = useThings(shelf);
  const found = items.list.filter((one) => one.name.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <>
      {!isShipped(shelf) && (
        <Link className="new" to="?of=new" aria-current={open === 'new'}>
          {words.library.newOne[shelf]}
        </Link>
      )}
      <ul aria-label={words.library.shelves[shelf]}>
        {found.map((one) => (
          <li key={one.code}>
            <Link to={`?of=${one.code}`} aria-current={one.code === open}>
              <span>{one.name}</span> {one.needsAct && <em className="wrong">{words.library.overdue}</em>}
              {isShipped(shelf) && one.version > 0 && <em>{words.library.yours}</em>}
            </Link>
          </li>
        ))}
      </ul>
      {items.isReady && found.length === 0 && <p className="note">{words.library.nothing[shelf]}</p>}
      {items.error !== null && (
        <p className="wrong" role="alert">
          {failureWords(items.error)}
        </p>
      )}
    </>
  );
}

const About = ({ shelf }: { shelf: Shelf }) => (
  <section className="sheet shelved">
    <p className="note">{words.library.about[shelf]}</p>
  </section>
);

function Opened({ shelf, open }: { shelf: ShelfOfForms; open: string | null }) {
  const items = useThings(shelf).list;
  const [params, setParams] = useSearchParams();
  const item = items.find((one) => one.code === open);
  if (item === undefined && open !== 'new') return <About shelf={shelf} />;
  return (
    <Item
      key={`${shelf} ${open} ${item?.version ?? 0}`}
      shelf={shelf}
      item={item}
      onKept={(code) => {
        const next = new URLSearchParams(params);
        if (code === null) next.delete('of');
        else next.set('of', code);
        setParams(next, { replace: true });
      }}
    />
  );
}

/** What a shelf shows: of what is shipped every one that there is, whether the shop has set it or not. */
function useThings(shelf: ShelfOfForms): { list: readonly Shelved[]; isReady: boolean; error: unknown } {
  const shelved = useShelf(shelf);
  const limits = useLimits();
  const stock = useStock();
  if (!isShipped(shelf)) return { list: shelved.data ?? [], isReady: shelved.isSuccess, error: shelved.error };
  const shipped = shelf === 'limits' ? limits : stock;
  const own = new Map((shelved.data ?? []).map((one) => [one.code, one]));
  return {
    list: (shipped.data ?? []).map(
      (one) =>
        own.get(one.code) ?? {
          shelf,
          code: one.code,
          name: one.title,
          version: 0,
          content: null,
          by: '',
          at: '',
          sums: one.source,
          needsAct: false,
        },
    ),
    isReady: shipped.isSuccess && shelved.isSuccess,
    error: shelved.error ?? shipped.error,
  };
}

/** All shelves out of the shop or into it, as one file. */
function AsFile() {
  const queries = useQueryClient();
  const input = useRef<HTMLInputElement>(null);
  const [done, setDone] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File): Promise<void> => {
    setProblem(null);
    setDone('');
    try {
      const text = await file.text();
      const { changed } = await answer(
        api.POST('/api/library/file.json', {
          params: { query: { by: author() } },
          body: text as unknown as Record<string, never>,
          bodySerializer: (body: unknown) => body as string,
          headers: { 'Content-Type': 'application/json' },
        }),
      );
      setDone(words.library.imported(changed));
      await libraryChanged(queries);
    } catch (error) {
      setProblem(failureWords(error));
    }
  };
  return (
    <>
      {problem !== null && (
        <span className="wrong" role="alert">
          {problem}
        </span>
      )}
      <span className="quiet" role="status">
        {done}
      </span>
      <a className="door-button plain" href="/api/library/file.json" download>
        {words.library.save}
      </a>
      <button type="button" className="door-button plain" onClick={() => input.current?.click()}>
        {words.library.take}
      </button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        className="unseen"
        aria-label={words.library.take}
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
    </>
  );
}

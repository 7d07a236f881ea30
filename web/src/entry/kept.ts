import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { EntryInput, ProblemDocument } from '../shared/api';

/** A picture as it was taken, byte for byte. */
export interface TakenPicture {
  bytes: ArrayBuffer;
  name: string;
  type: string;
}

/** An entry on its way to the server. Refused and contested ones stay until a person settles them. */
export interface Outgoing {
  caseId: string;
  entry: EntryInput;
  state: 'waiting' | 'refused' | 'contested';
  /** Why it was refused; for one that waits, what the server said when it failed at it. */
  problem?: ProblemDocument;
  /** Its picture is kept beside it and is sent first: the entry names it by what the server answers. */
  withPicture?: boolean;
}

interface Schema extends DBSchema {
  outgoing: { key: string; value: Outgoing; indexes: { caseId: string } };
  pictures: { key: string; value: TakenPicture };
}

let database: Promise<IDBPDatabase<Schema>> | null = null;

/** The browser's database; one that could not be opened, or was closed under us, is opened anew the next time. */
function open(): Promise<IDBPDatabase<Schema>> {
  const forget = (): void => {
    database = null;
  };
  database ??= openDB<Schema>('mute-tapper', 2, {
    upgrade(db, from) {
      if (from < 1) db.createObjectStore('outgoing', { keyPath: 'entry.id' }).createIndex('caseId', 'caseId');
      db.createObjectStore('pictures');
    },
    blocking(_, __, event) {
      // a newer page wants to change it: it is not held against that
      (event.target as IDBDatabase).close();
      forget();
    },
    terminated: forget,
  }).catch((error: unknown) => {
    forget();
    throw error;
  });
  return database;
}

const byAge = (a: Outgoing, b: Outgoing): number => (a.entry.id < b.entry.id ? -1 : 1);

/** What this browser keeps of one case, in the order in which it was made: ids sort by time, whichever tab gave them. */
export async function keptOf(caseId: string): Promise<Outgoing[]> {
  return (await (await open()).getAllFromIndex('outgoing', 'caseId', caseId)).sort(byAge);
}

/** How many entries of each case this browser keeps. */
export async function keptCounts(): Promise<Map<string, number>> {
  const counts = new Map<string, number>();
  for (const one of await (await open()).getAll('outgoing')) counts.set(one.caseId, (counts.get(one.caseId) ?? 0) + 1);
  return counts;
}

/** Keeps entries, with their pictures, all or none. */
export async function keep(list: readonly Outgoing[], pictures: ReadonlyMap<string, TakenPicture> = new Map()): Promise<void> {
  const transaction = (await open()).transaction(['outgoing', 'pictures'], 'readwrite');
  await Promise.all([
    ...list.map((one) => transaction.objectStore('outgoing').put(one)),
    ...[...pictures].map(([id, picture]) => transaction.objectStore('pictures').put(picture, id)),
    transaction.done,
  ]);
}

export async function forget(...ids: readonly string[]): Promise<void> {
  const transaction = (await open()).transaction(['outgoing', 'pictures'], 'readwrite');
  const stores = [transaction.objectStore('outgoing'), transaction.objectStore('pictures')];
  await Promise.all([...ids.flatMap((id) => stores.map((store) => store.delete(id))), transaction.done]);
}

export async function pictureOf(id: string): Promise<TakenPicture | undefined> {
  return (await open()).get('pictures', id);
}

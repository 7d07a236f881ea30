import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { answer, api, Refused, type EntryInput, type EntryView, type ProblemDocument } from '../shared/api';

/** An entry on its way to the server. Refused and contested ones stay until a person settles them. */
export interface Outgoing {
  order: number;
  caseId: string;
  entry: EntryInput;
  state: 'waiting' | 'refused' | 'contested';
  problem?: ProblemDocument;
}

export interface OutboxState {
  outgoing: readonly Outgoing[];
  line: 'up' | 'down';
  savedAt: Date | null;
}

interface Schema extends DBSchema {
  outgoing: { key: string; value: Outgoing; indexes: { caseId: string } };
}

const RETRY_AFTER = 2500;
/** The device has to be let in first: nothing is wrong with the entry. */
const NOT_NOW = new Set([401, 403, 421]);
/** Arrivals are shown together this often, so that a long queue does not redraw the screen for each. */
const SHOW_EVERY = 80;

let database: Promise<IDBPDatabase<Schema>> | null = null;

function open(): Promise<IDBPDatabase<Schema>> {
  database ??= openDB<Schema>('mute-tapper', 1, {
    upgrade(db) {
      const store = db.createObjectStore('outgoing', { keyPath: 'entry.id' });
      store.createIndex('caseId', 'caseId');
    },
  });
  return database;
}

type Send = (caseId: string, entry: EntryInput) => Promise<{ entry: EntryView; revision: number }>;

const sendToServer: Send = (caseId, entry) =>
  answer(api.POST('/api/cases/{id}/entries', { params: { path: { id: caseId } }, body: entry }));

/**
 * The entries of one case that the server does not have yet: kept in the browser's database before anything else, sent in
 * order, and kept while there is no line. A refused entry never blocks the others.
 */
export class Outbox {
  private state: OutboxState = { outgoing: [], line: 'up', savedAt: null };
  private readonly listeners = new Set<() => void>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private running = false;
  private closed = false;
  private order = 0;
  /** Ids that were handed on and are still shown from here. */
  private readonly told = new Set<string>();
  private arrived: { entry: EntryView; revision: number }[] = [];
  private shownAt = 0;

  constructor(
    readonly caseId: string,
    /** Told of what the server has; settles when the screen shows it. */
    private readonly onStored: (entries: readonly EntryView[], revision: number) => void | Promise<void>,
    private readonly send: Send = sendToServer,
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly snapshot = (): OutboxState => this.state;

  /** Brings back what an earlier page kept, and sends it. */
  async load(): Promise<void> {
    this.closed = false;
    window.addEventListener('online', this.onLine);
    const kept = await (await open()).getAllFromIndex('outgoing', 'caseId', this.caseId);
    const known = new Set(this.state.outgoing.map((one) => one.entry.id));
    const all = [...kept.filter((one) => !known.has(one.entry.id)), ...this.state.outgoing].sort((a, b) => a.order - b.order);
    this.order = Math.max(this.order, ...all.map((one) => one.order), 0);
    this.set({ outgoing: all });
    void this.flush();
  }

  async add(...entries: readonly EntryInput[]): Promise<void> {
    const added = entries.map((entry): Outgoing => ({ order: ++this.order, caseId: this.caseId, entry, state: 'waiting' }));
    this.set({ outgoing: [...this.state.outgoing, ...added] });
    const transaction = (await open()).transaction('outgoing', 'readwrite');
    await Promise.all([...added.map((one) => transaction.store.put(one)), transaction.done]);
    void this.flush();
  }

  async drop(id: string): Promise<void> {
    this.set({ outgoing: this.state.outgoing.filter((one) => one.entry.id !== id) });
    await (await open()).delete('outgoing', id);
  }

  private readonly onLine = (): void => {
    void this.flush();
  };

  async flush(): Promise<void> {
    if (this.running || this.closed) return;
    this.running = true;
    try {
      for (let one = this.next(); one !== undefined; one = this.next()) {
        if (!(await this.sendOne(one))) break;
        if (Date.now() - this.shownAt > SHOW_EVERY) this.showArrived();
      }
    } finally {
      this.showArrived();
      this.running = false;
    }
  }

  /** Stops sending; what has not arrived stays kept. Loading opens it again. */
  dispose(): void {
    this.closed = true;
    window.removeEventListener('online', this.onLine);
    if (this.timer !== null) clearTimeout(this.timer);
  }

  private next(): Outgoing | undefined {
    const gone = new Set(this.arrived.map((one) => one.entry.id));
    return this.state.outgoing.find((one) => one.state === 'waiting' && !gone.has(one.entry.id) && !this.told.has(one.entry.id));
  }

  private showArrived(): void {
    const last = this.arrived.at(-1);
    if (last === undefined) return;
    const entries = this.arrived.map((one) => one.entry);
    const gone = new Set(entries.map((entry) => entry.id));
    this.arrived = [];
    this.shownAt = Date.now();
    for (const id of gone) this.told.add(id);
    // They leave the outbox only when the screen has them from the server: in between, the value before would show through.
    void Promise.resolve(this.onStored(entries, last.revision)).then(() => {
      for (const id of gone) this.told.delete(id);
      this.set({ outgoing: this.state.outgoing.filter((one) => !gone.has(one.entry.id)), line: 'up', savedAt: new Date() });
    });
  }

  /** Whether sending may go on. */
  private async sendOne(one: Outgoing): Promise<boolean> {
    try {
      const stored = await this.send(this.caseId, one.entry);
      this.arrived.push(stored);
      await (await open()).delete('outgoing', one.entry.id);
      return true;
    } catch (error) {
      if (error instanceof Refused && error.problem.status < 500 && !NOT_NOW.has(error.problem.status)) {
        this.set({ line: 'up' });
        await this.keep({ ...one, state: error.problem.status === 409 ? 'contested' : 'refused', problem: error.problem });
        return true;
      }
      this.set({ line: 'down' });
      if (this.timer !== null) clearTimeout(this.timer);
      if (!this.closed) this.timer = setTimeout(() => void this.flush(), RETRY_AFTER);
      return false;
    }
  }

  private async keep(changed: Outgoing): Promise<void> {
    this.set({ outgoing: this.state.outgoing.map((one) => (one.entry.id === changed.entry.id ? changed : one)) });
    await (await open()).put('outgoing', changed);
  }

  private set(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}

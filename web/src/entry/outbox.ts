import { answer, api, Refused, type EntryInput, type EntryView, type Schemas } from '../shared/api';
import { sendBytes } from '../shared/sendFile';
import { forget, keep, keptOf, pictureOf, type Outgoing, type TakenPicture } from './kept';
import { words } from '../shared/messages';
import { slotKey } from './slotKey';

export type { Outgoing, TakenPicture } from './kept';

/** Why entries wait: nobody answers, the server failed at one, or this device has to be let in first. */
export type Line = 'up' | 'offline' | 'fault' | 'shut';

export interface OutboxState {
  outgoing: readonly Outgoing[];
  line: Line;
  /** How many entries this browser could not keep: they are sent, and are lost if the page is closed before. */
  unkept: number;
  savedAt: Date | null;
}

/** What the server has of an entry that arrived, and of its picture. */
export type Stored = Schemas['RecordedEntry'] & { photograph?: Schemas['PhotographView'] };

/** What is sent where; a test has its own. */
export interface Wire {
  entry: (caseId: string, entry: EntryInput) => Promise<Stored>;
  /** Several in their order, of which the server takes all or none. */
  together: (caseId: string, entries: readonly EntryInput[]) => Promise<readonly Stored[]>;
  picture: (caseId: string, picture: TakenPicture) => Promise<Schemas['PhotographView']>;
}

/** What tabs of one browser tell each other. */
interface Told {
  caseId: string;
  kept?: Outgoing[];
  gone?: string[];
  stored?: Stored[];
}

const RETRY_AFTER = 2500;
/** After so many faults in a row the server is left alone for a while; those that were tried least come first then. */
const FAULTS_IN_A_ROW = 5;
/** The device has to be let in first: nothing is wrong with the entry. */
const SHUT = new Set([401, 403, 421]);
/** Worth another try as it is: the server was too slow, or asked to be left alone. */
const FOR_NOW = new Set([408, 425, 429]);
/** Nothing of these is about what was sent: the server is busy, or its disk is full. */
const BUSY = new Set([425, 429, 503, 507]);
/** Arrivals are shown together this often, so that a long queue does not redraw the screen for each. */
const SHOW_EVERY = 80;
/** Where many wait, showing each of them would take longer than sending them. */
const MANY = 8;
const SHOW_MANY_EVERY = 600;
/** So many go together at most: as much as is sent again where the line breaks. */
const MOST_TOGETHER = 40;
/** Pictures of a part are told apart by the beginning of their SHA-256. */
const PICTURE_INDEX = 16;
const CHANNEL = 'mute-tapper.outbox';

const server: Wire = {
  entry: (caseId, entry) => answer(api.POST('/api/cases/{id}/entries', { params: { path: { id: caseId } }, body: entry })),
  together: async (caseId, entries) => {
    const call = api.POST('/api/cases/{id}/entries/together', { params: { path: { id: caseId } }, body: { entries: [...entries] } });
    return (await answer(call)).recorded;
  },
  picture: (caseId, picture) => sendBytes(`/api/cases/${caseId}/photographs`, picture.name, picture.bytes),
};

/** Lets one tab of this browser send for a case at a time; where a browser has no locks, the server takes an entry once all the same. */
const inOneTab = (caseId: string, work: () => Promise<void>): Promise<void> =>
  'locks' in navigator ? navigator.locks.request(`${CHANNEL}.${caseId}`, work) : work();

/** What stands in the slot where another hand was first. */
const currentOf = (error: unknown): EntryView | null =>
  error instanceof Refused && error.problem.status === 409 ? (error.problem.current ?? null) : null;

let asked = false;
/** Asks the browser, once, not to clear what is kept when its disk gets short. */
function stayKept(): void {
  if (asked) return;
  asked = true;
  // not there where the page came over a plain line from another machine
  const storage = navigator.storage as StorageManager | undefined;
  void storage?.persist().catch(() => undefined);
}

const howItFailed = (error: unknown): Line | 'refused' => {
  if (!(error instanceof Refused)) return 'offline';
  const { status } = error.problem;
  if (SHUT.has(status)) return 'shut';
  return status >= 500 || FOR_NOW.has(status) ? 'fault' : 'refused';
};

/**
 * The entries of one case that the server does not have yet: kept in the browser's database, sent in order by one tab, and kept while
 * there is no line. An entry that fails or is refused blocks none but those that follow it in its slot.
 */
export class Outbox {
  private state: OutboxState = { outgoing: [], line: 'up', unkept: 0, savedAt: null };
  private readonly listeners = new Set<() => void>();
  private channel: BroadcastChannel | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private running = false;
  private closed = false;
  /** Ids that were handed on and are still shown from here. */
  private readonly told = new Set<string>();
  /** Ids that are on their way into the database. */
  private readonly beingKept = new Set<string>();
  /** Ids that this browser could not keep, with their pictures. */
  private readonly unkept = new Map<string, TakenPicture | null>();
  /** Ids that were not taken together with others: each is sent alone, for an answer of its own. */
  private readonly alone = new Set<string>();
  /** How often the server failed at an entry. */
  private readonly faults = new Map<string, number>();
  private arrived: Stored[] = [];
  private shownAt = 0;

  constructor(
    readonly caseId: string,
    /** Told of what the server has; settles when the screen shows it. */
    private readonly onStored: (stored: readonly Stored[]) => void | Promise<void>,
    private readonly wire: Wire = server,
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
    if (this.channel === null && typeof BroadcastChannel !== 'undefined') {
      this.channel = new BroadcastChannel(CHANNEL);
      this.channel.onmessage = (message: MessageEvent<Told>) => this.hear(message.data);
    }
    await this.readKept();
    void this.flush();
  }

  /** Keeps entries and sends them. Where they cannot be kept, they are sent all the same, and it is said. */
  async add(...entries: readonly EntryInput[]): Promise<void> {
    await this.take(entries.map((entry) => ({ caseId: this.caseId, entry, state: 'waiting' })));
  }

  /** The same for a picture: it waits here as it was taken, with the slot it belongs to. */
  async addPicture(entry: EntryInput, picture: TakenPicture): Promise<void> {
    await this.take([{ caseId: this.caseId, entry, state: 'waiting', withPicture: true }], new Map([[entry.id, picture]]));
  }

  async drop(id: string): Promise<void> {
    this.remove([id]);
    this.tell({ gone: [id] });
    await forget(id).catch(() => undefined);
  }

  /** Sends refused ones once more, as they are. */
  async again(ids: readonly string[]): Promise<void> {
    const wanted = new Set(ids);
    const again = this.state.outgoing
      .filter((one) => wanted.has(one.entry.id))
      .map(({ caseId, entry, withPicture }): Outgoing => ({ caseId, entry, state: 'waiting', ...(withPicture ? { withPicture } : {}) }));
    this.put(again);
    await keep(again).catch(() => undefined);
    void this.flush();
  }

  async picture(id: string): Promise<TakenPicture | null> {
    return this.unkept.get(id) ?? (await pictureOf(id)) ?? null;
  }

  private readonly onLine = (): void => {
    void this.flush();
  };

  async flush(): Promise<void> {
    if (this.running || this.closed) return;
    this.running = true;
    try {
      await inOneTab(this.caseId, async () => {
        await this.readKept();
        await this.sendAll();
      });
    } finally {
      this.showArrived();
      this.running = false;
    }
  }

  /** Stops sending; what has not arrived stays kept. Loading opens it again. */
  dispose(): void {
    this.closed = true;
    window.removeEventListener('online', this.onLine);
    this.channel?.close();
    this.channel = null;
    if (this.timer !== null) clearTimeout(this.timer);
  }

  private async take(list: readonly Outgoing[], pictures: ReadonlyMap<string, TakenPicture> = new Map()): Promise<void> {
    const ids = list.map((one) => one.entry.id);
    for (const id of ids) this.beingKept.add(id);
    this.put(list);
    try {
      await keep(list, pictures);
      this.tell({ kept: [...list] });
    } catch {
      for (const id of ids) this.unkept.set(id, pictures.get(id) ?? null);
      this.set({ unkept: this.unkept.size });
    }
    for (const id of ids) this.beingKept.delete(id);
    stayKept();
    void this.flush();
  }

  /** What the database has is what waits, with what it could not take. */
  private async readKept(): Promise<void> {
    const kept = await keptOf(this.caseId).catch(() => null);
    if (kept === null) return;
    const there = new Set(kept.map((one) => one.entry.id));
    const here = new Set(this.state.outgoing.map((one) => one.entry.id));
    // One that is shown and no longer kept was sent by another tab, unless it is being shown, or was never kept.
    const gone = this.state.outgoing.filter((one) => this.isKept(one) && !there.has(one.entry.id)).map((one) => one.entry.id);
    if (gone.length > 0) this.remove(gone);
    const missing = kept.filter((one) => !here.has(one.entry.id));
    if (missing.length > 0) this.put(missing);
  }

  private isKept(one: Outgoing): boolean {
    const { id } = one.entry;
    return !this.beingKept.has(id) && !this.unkept.has(id) && !this.told.has(id) && !this.arrived.some((stored) => stored.entry.id === id);
  }

  private async sendAll(): Promise<void> {
    let line: Line = 'up';
    let inARow = 0;
    const tried = new Set<string>();
    for (let list = this.next(tried); list[0] !== undefined && !this.closed; list = this.next(tried)) {
      const [one, ...more] = list;
      const how = await (more.length > 0 ? this.sendTogether(list) : this.sendOne(one));
      if (how !== 'apart') for (const each of list) tried.add(each.entry.id);
      const every = this.state.outgoing.length - this.arrived.length > MANY ? SHOW_MANY_EVERY : SHOW_EVERY;
      if (Date.now() - this.shownAt > every) this.showArrived();
      inARow = how === 'fault' ? inARow + 1 : 0;
      if (how !== 'up' && how !== 'refused' && how !== 'apart') line = how;
      if (how === 'offline' || how === 'shut' || inARow >= FAULTS_IN_A_ROW) break;
    }
    this.set({ line });
    if (this.timer !== null) clearTimeout(this.timer);
    if (line !== 'up' && !this.closed) this.timer = setTimeout(() => void this.flush(), RETRY_AFTER);
  }

  /**
   * What is sent next: those at which nothing went wrong so far, together; else the oldest of those that the server failed at least. None
   * goes before an older one of its slot.
   */
  private next(tried: ReadonlySet<string>): readonly Outgoing[] {
    const gone = new Set(this.arrived.map((one) => one.entry.id));
    const held = new Set<string>();
    const together: Outgoing[] = [];
    let best: Outgoing | undefined;
    for (const one of this.state.outgoing) {
      const { id } = one.entry;
      if (one.state !== 'waiting' || gone.has(id) || this.told.has(id)) continue;
      const key = one.withPicture ? id : slotKey(one.entry.slot);
      const isFree = !held.has(key) && !tried.has(id);
      if (isFree && (best === undefined || this.faultsOf(one) < this.faultsOf(best))) best = one;
      if (isFree && !one.withPicture && !this.alone.has(id) && together.length < MOST_TOGETHER) together.push(one);
      else held.add(key);
    }
    if (together.length > 1) return together;
    return best === undefined ? [] : [best];
  }

  private faultsOf(one: Outgoing): number {
    return this.faults.get(one.entry.id) ?? 0;
  }

  private showArrived(): void {
    if (this.arrived.length === 0) return;
    const stored = this.arrived;
    this.arrived = [];
    this.shownAt = Date.now();
    this.tell({ stored });
    this.show(stored);
  }

  /** They leave the outbox only when the screen has them from the server: in between, the value before would show through. */
  private show(stored: readonly Stored[]): void {
    const ids = stored.map((one) => one.entry.id);
    for (const id of ids) this.told.add(id);
    void Promise.resolve(this.onStored(stored)).then(() => {
      for (const id of ids) this.told.delete(id);
      this.remove(ids);
      this.set({ savedAt: new Date() });
    });
  }

  /** Where they are refused, take too long, or the program fails at them, they go apart: one of them may be in the way of all. */
  private async sendTogether(list: readonly Outgoing[]): Promise<Line | 'apart'> {
    const entries = list.map((one) => one.entry);
    try {
      this.arrived.push(...(await this.wire.together(this.caseId, entries)));
      await forget(...entries.map((entry) => entry.id)).catch(() => undefined);
      return 'up';
    } catch (error) {
      const how = howItFailed(error);
      if (how === 'offline' || how === 'shut') return how;
      if (error instanceof Refused && BUSY.has(error.problem.status)) return 'fault';
      for (const { id } of entries) this.alone.add(id);
      return 'apart';
    }
  }

  private async sendOne(one: Outgoing): Promise<Line | 'refused'> {
    try {
      this.arrived.push(await (one.withPicture ? this.sendPicture(one) : this.wire.entry(this.caseId, one.entry)));
      await forget(one.entry.id).catch(() => undefined);
      return 'up';
    } catch (error) {
      if (one.withPicture && currentOf(error)?.kind === 'photograph') {
        await this.drop(one.entry.id); // the same picture stands at this part already
        return 'up';
      }
      const how = howItFailed(error);
      if (how === 'fault') {
        this.faults.set(one.entry.id, this.faultsOf(one) + 1);
        this.alone.add(one.entry.id);
      }
      if (error instanceof Refused && how !== 'shut') {
        const state = how === 'fault' ? 'waiting' : error.problem.status === 409 ? 'contested' : 'refused';
        const changed: Outgoing = { ...one, state, problem: error.problem };
        this.put([changed]);
        this.tell({ kept: [changed] });
        await keep([changed]).catch(() => undefined);
      }
      return how;
    }
  }

  /** Sends a picture, then its entry, which names it as the server does. */
  private async sendPicture(one: Outgoing): Promise<Stored> {
    const picture = await this.picture(one.entry.id);
    if (picture === null) throw new Refused({ title: 'Gone', status: 410, detail: words.photo.gone });
    const photograph = await this.wire.picture(this.caseId, picture);
    const { sha256 } = photograph;
    const entry: EntryInput = {
      ...one.entry,
      slot: { ...one.entry.slot, index: sha256.slice(0, PICTURE_INDEX) },
      data: { ...one.entry.data, sha256 },
    };
    try {
      return { ...(await this.wire.entry(this.caseId, entry)), photograph };
    } catch (error) {
      const current = currentOf(error);
      if (current?.kind !== 'withdrawal') throw error;
      // it was taken back once, and is added anew
      return { ...(await this.wire.entry(this.caseId, { ...entry, supersedes: current.id })), photograph };
    }
  }

  private tell(what: Omit<Told, 'caseId'>): void {
    this.channel?.postMessage({ caseId: this.caseId, ...what } satisfies Told);
  }

  private hear(told: Told): void {
    if (told.caseId !== this.caseId) return;
    if (told.kept) this.put(told.kept);
    if (told.gone) this.remove(told.gone);
    if (told.stored) this.show(told.stored);
  }

  /** Adds entries, or puts them in the place of what they were. */
  private put(list: readonly Outgoing[]): void {
    const changed = new Map(list.map((one) => [one.entry.id, one]));
    const kept = this.state.outgoing.map((one) => changed.get(one.entry.id) ?? one);
    const there = new Set(kept.map((one) => one.entry.id));
    const all = [...kept, ...list.filter((one) => !there.has(one.entry.id))];
    this.set({ outgoing: all.sort((a, b) => (a.entry.id < b.entry.id ? -1 : 1)) });
  }

  private remove(ids: readonly string[]): void {
    const gone = new Set(ids);
    for (const id of gone) this.unkept.delete(id);
    this.set({ outgoing: this.state.outgoing.filter((one) => !gone.has(one.entry.id)), unkept: this.unkept.size });
  }

  private set(change: Partial<OutboxState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }
}

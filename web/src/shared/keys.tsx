import {
  createContext,
  use,
  useEffect,
  useId,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type KeyboardEvent as ReactKeyboardEvent,
  type ReactNode,
} from 'react';

/** A key of a place: what it is in the list of keys, and what it does when it is pressed. */
export interface Key {
  /** How it is shown: "F2", "Shift Enter", "0 to 4". */
  shown: string;
  does: string;
  /** What it writes, or its name; by what is written, not by where it lies, since boards differ. */
  on: RegExp;
  ctrl?: boolean;
  alt?: boolean;
  shift?: boolean;
  /** Whether it means this here and now; else it is left to others. */
  when?: (event: KeyboardEvent) => boolean;
  run: (event: KeyboardEvent) => void;
}

/** Keys that are listed and are not handled by us, as Tab. */
export type ListedKey = Pick<Key, 'shown' | 'does'>;

interface Registry {
  register: (id: string, keys: readonly ListedKey[]) => () => void;
  /** Every key that means something now. */
  listed: () => readonly ListedKey[];
}

const KeysContext = createContext<Registry | null>(null);

/** Holds the keys of all that is shown, for the list of keys. */
export function KeysProvider({ children }: { children: ReactNode }) {
  const [registry] = useState((): Registry => {
    const groups = new Map<string, readonly ListedKey[]>();
    return {
      register: (id, keys) => {
        groups.set(id, keys);
        return () => groups.delete(id);
      },
      listed: () => {
        const seen = new Map<string, ListedKey>();
        for (const keys of groups.values()) for (const key of keys) seen.set(`${key.shown} ${key.does}`, key);
        return [...seen.values()];
      },
    };
  });
  return <KeysContext value={registry}>{children}</KeysContext>;
}

export const useListedKeys = (): (() => readonly ListedKey[]) => use(KeysContext)?.listed ?? (() => []);

function useListed(keys: readonly ListedKey[]): void {
  const registry = use(KeysContext);
  const id = useId();
  const list = JSON.stringify(keys.map(({ shown, does }) => ({ shown, does })));
  useEffect(() => registry?.register(id, JSON.parse(list) as ListedKey[]), [registry, id, list]);
}

/** What an input method is still composing is its own. */
const isComposing = (event: KeyboardEvent): boolean => event.isComposing || event.key === 'Process' || event.key === 'Dead';

function meant(keys: readonly Key[], event: KeyboardEvent): Key | undefined {
  if (isComposing(event)) return undefined;
  return keys.find(
    (key) =>
      key.on.test(event.key) &&
      (key.ctrl ?? false) === (event.ctrlKey || event.metaKey) &&
      (key.alt ?? false) === event.altKey &&
      (key.shift === undefined || key.shift === event.shiftKey) &&
      (key.when?.(event) ?? true),
  );
}

/** Runs what the key means, once. */
function press(keys: readonly Key[], event: KeyboardEvent): boolean {
  const key = meant(keys, event);
  if (key === undefined) return false;
  event.preventDefault();
  key.run(event);
  return true;
}

/** Keys of a control or a group of them: listed while it is shown, and handled where the returned handler is put. */
export function useKeys(keys: readonly Key[], listed: readonly ListedKey[] = keys): (event: ReactKeyboardEvent) => void {
  useListed(listed);
  return (event) => {
    if (press(keys, event.nativeEvent)) event.stopPropagation();
  };
}

/** Keys that mean the same wherever the hand is, unless what has it gives them a meaning of its own. */
export function useKeysEverywhere(keys: readonly Key[], listed: readonly ListedKey[] = keys): void {
  useListed(listed);
  const latest = useRef(keys);
  useLayoutEffect(() => {
    latest.current = keys;
  });
  const handler = useMemo(
    () => (event: KeyboardEvent) => {
      if (!event.defaultPrevented) press(latest.current, event);
    },
    [],
  );
  useEffect(() => {
    window.addEventListener('keydown', handler);
    return () => window.removeEventListener('keydown', handler);
  }, [handler]);
}

/** Whether a key would write into what has the hand. */
export const isWriting = ({ target }: Event): boolean =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && !['checkbox', 'radio', 'button', 'range'].includes(target.type));

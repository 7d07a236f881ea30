import { useState } from 'react';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import type { SheetLayout, SheetRow } from '../sheet/cells';

const TAG = /^[a-z0-9][a-z0-9-]{0,39}$/;

/** Rows of a sheet of parts off the engine: those on record, and those that were added and wait for their first reading. */
export function useLooseRows(layout: SheetLayout): { layout: SheetLayout; add: (tag: string) => SheetRow } {
  const [added, setAdded] = useState<readonly SheetRow[]>([]);
  const rows = [...layout.rows, ...added.filter((one) => !layout.rows.some((other) => other.key === one.key))];
  return {
    layout: layout.isLoose ? { ...layout, rows } : layout,
    add: (tag) => {
      const place = `loose-${tag}`;
      const row = { key: place, place, part: '', label: tag, name: `loose ${tag}`, isStation: false };
      setAdded((old) => [...old, row]);
      return row;
    },
  };
}

/** One more part off the engine, by a tag of its own. */
export function AddLoose({ onAdd }: { onAdd: (tag: string) => void }) {
  const [tag, setTag] = useState('');
  const wanted = tag.trim().toLowerCase().replace(/\s+/g, '-');
  return (
    <LineForm
      label={words.bench.addLoose}
      send={words.bench.addLoose}
      isReady={TAG.test(wanted)}
      onSend={() => {
        onAdd(wanted);
        setTag('');
      }}
      after={tag !== '' && !TAG.test(wanted) ? <span className="wrong">{words.bench.tagWrong}</span> : undefined}
    >
      <LineText value={tag} label={words.bench.tag} onChange={setTag} />
    </LineForm>
  );
}

import { useState } from 'react';
import { asTag, isTag } from '../entry/PartTag';
import { placeLabel, type SlotAddress } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { Choice } from '../shared/Choice';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import type { SheetLayout, SheetRow } from '../sheet/cells';

const KEY = 'mute-tapper.loose.';

/** Tags that were added to a case at this bench and wait for their first reading. */
function waiting(caseId: string): string[] {
  const kept: unknown = JSON.parse(localStorage.getItem(KEY + caseId) ?? '[]');
  return Array.isArray(kept) ? kept.filter((tag) => typeof tag === 'string') : [];
}

const rowOf = (tag: string): SheetRow => {
  const place = `loose-${tag}`;
  return { key: place, place, part: '', label: tag, name: `loose ${tag}`, isStation: false };
};

/** Rows of a sheet of parts off the engine: those on record, and those that were added and wait for their first reading. */
export function useLooseRows(caseId: string, layout: SheetLayout): { layout: SheetLayout; add: (tag: string) => SheetRow } {
  const [added, setAdded] = useState(() => waiting(caseId));
  const rows = [...layout.rows, ...added.map(rowOf).filter((one) => !layout.rows.some((other) => other.key === one.key))];
  return {
    layout: layout.isLoose ? { ...layout, rows } : layout,
    add: (tag) => {
      const now = [...new Set([...added, tag])];
      setAdded(now);
      localStorage.setItem(KEY + caseId, JSON.stringify(now));
      return rowOf(tag);
    },
  };
}

/** One more part off the engine, by a tag of its own. */
export function AddLoose({ onAdd }: { onAdd: (tag: string) => void }) {
  const [tag, setTag] = useState('');
  const wanted = asTag(tag);
  return (
    <LineForm
      label={words.bench.addLoose}
      send={words.bench.addLoose}
      isReady={isTag(wanted)}
      onSend={() => {
        onAdd(wanted);
        setTag('');
      }}
      after={tag !== '' && !isTag(wanted) ? <span className="wrong">{words.bench.tagWrong}</span> : undefined}
    >
      <LineText value={tag} label={words.bench.tag} onChange={setTag} />
    </LineForm>
  );
}

/** Where a spring off the engine stands now: what was read of it serves there until it is read in place. */
export function StandsAt({ tag, coil }: { tag: string; coil: string }) {
  const { view, slots, record, withdraw } = useBench();
  const slotAt = (place: string): SlotAddress => ({ place, part: 'spring', item: 'tag', index: coil });
  const at = view.stations.find((station) => slots.get(slotAt(station.code)).entry?.content.tag === tag);
  const name = words.bench.standsAt(tag);
  const takeAway = (): void => {
    if (at !== undefined) withdraw(slotAt(at.code), name);
  };
  return (
    <Choice
      value={at?.code ?? null}
      label={name}
      placeholder={words.bench.nowhere}
      width={120}
      onClear={takeAway}
      onChange={(place) => {
        takeAway();
        record('tag', slotAt(place), { tag }, `${name}, ${placeLabel(view, place)}`);
      }}
      options={view.stations.map((station) => ({ value: station.code, label: station.label }))}
    />
  );
}

import { InputNumber } from 'antd';
import { useState } from 'react';
import { Tag } from '../draw/Tag';
import { CountField } from '../entry/CountField';
import { useBench } from '../entry/useBench';
import type { CaseView, Schemas } from '../shared/api';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { Radios } from '../shared/Radios';
import { OtherPieces } from './OtherPieces';

interface Props {
  teardown: Schemas['TeardownView'];
  chosen: string;
  choose: (station: string) => void;
}

type Station = CaseView['stations'][number];

const slot = (place: string, part: string) => ({ place, part, item: 'pieces' });

/** Lock halves and needles of every station, and what is missing. */
export function CountedPieces({ teardown, chosen, choose }: Props) {
  const { view, slots, record } = useBench();
  const count = (station: Station, part: string, expected: number, found: number, name: string): void =>
    record('pieces', slot(station.code, part), { expected, found }, `${station.label} ${name}: ${found} of ${expected}`);
  const hasNeedles = view.engine.face === 'roller';
  const needles = slots.standing('pieces').find((entry) => entry.part === 'follower')?.content.expected ?? null;
  const [needlesEach, setNeedlesEach] = useState<number | null>(null);
  const each = needlesEach ?? needles;
  return (
    <section aria-label={words.pieces.title}>
      <h3>{words.pieces.title}</h3>
      {teardown.missingPieces.length > 0 && (
        <ul className="warn missing-pieces">
          {teardown.missingPieces.map((one) => (
            <li key={`${one.place}.${one.part}`}>{words.pieces.missing(one.label, one.missing)}</li>
          ))}
        </ul>
      )}
      <p className="note">{words.pieces.hint}</p>
      <table className="counted">
        <thead>
          <tr>
            <th>{words.bench.station}</th>
            <th>{words.pieces.locks}</th>
            {hasNeedles && (
              <th>
                {words.pieces.needles}{' '}
                <InputNumber
                  value={each}
                  min={1}
                  max={500}
                  aria-label={words.pieces.needlesEach}
                  placeholder={words.pieces.needlesEach}
                  onChange={setNeedlesEach}
                />
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {view.stations.map((station) => {
            const locks = slots.get(slot(station.code, 'locks')).entry?.content;
            const found = slots.get(slot(station.code, 'follower')).entry?.content;
            return (
              <tr key={station.code} className={station.code === chosen ? 'current' : ''}>
                <th scope="row">
                  <Tag label={station.label} lead={station.failed} />
                </th>
                <td>
                  <Locks
                    station={station}
                    found={locks?.found ?? null}
                    onEnter={() => choose(station.code)}
                    onCount={(n) => count(station, 'locks', HALVES, n, words.pieces.locks)}
                  />
                </td>
                {hasNeedles && (
                  <td>
                    <CountField
                      value={found?.found ?? null}
                      disabled={each === null}
                      label={`${station.label} ${words.pieces.needles}`}
                      onCounted={(n) => each !== null && count(station, 'follower', each, n, words.pieces.needles)}
                    />
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      <OtherPieces />
    </section>
  );
}

const HALVES = 2;

interface LocksProps {
  station: Station;
  found: number | null;
  onEnter: () => void;
  onCount: (found: number) => void;
}

/** How many lock halves of a station were found: by press, or by digit, which goes on to the next station. */
function Locks({ station, found, onEnter, onCount }: LocksProps) {
  const onKeyDown = useKeys([
    {
      shown: '0 to 2',
      does: words.keysDo.locks,
      on: /^[0-2]$/,
      run: ({ key, target }) => {
        onCount(Number(key));
        const row = (target as HTMLElement).closest('tr')?.nextElementSibling;
        row?.querySelector<HTMLElement>('[role=radio][tabindex="0"]')?.focus();
      },
    },
  ]);
  return (
    <div onFocus={onEnter} onKeyDown={onKeyDown}>
      <Radios
        label={`${station.label} ${words.pieces.locks}`}
        value={found}
        options={Array.from({ length: HALVES + 1 }, (_, n) => ({ value: n, label: String(n) }))}
        onChange={onCount}
      />
    </div>
  );
}

import { InputNumber } from 'antd';
import { useState } from 'react';
import { CountField } from '../entry/CountField';
import { useBench } from '../entry/useBench';
import { LineForm, LineText } from '../shared/LineForm';
import { words } from '../shared/messages';
import { uuidv7 } from '../shared/uuid';

/** Bolts and whatever else is counted, by name. */
export function OtherPieces() {
  const { slots, record, withdraw } = useBench();
  const [name, setName] = useState('');
  const [expected, setExpected] = useState<number | null>(null);
  const others = slots.standing('pieces').filter((entry) => entry.place === 'engine');
  const add = (): void => {
    record(
      'pieces',
      { place: 'engine', part: 'timing', item: 'pieces', index: uuidv7() },
      { expected: expected ?? 1, found: 0, note: name.trim() },
      `${name.trim()}: 0 of ${expected ?? 1}`,
    );
    setName('');
    setExpected(null);
  };
  return (
    <>
      <table className="counted">
        <tbody>
          {others.map((entry) => {
            const label = entry.content.note ?? '';
            const wanted = entry.content.expected ?? 0;
            return (
              <tr key={entry.index}>
                <td>{label}</td>
                <td>
                  <CountField
                    value={entry.content.found ?? null}
                    label={`${label} ${words.pieces.found}`}
                    onCounted={(found) =>
                      record('pieces', entry, { expected: wanted, found, note: label }, `${label}: ${found} of ${wanted}`)
                    }
                  />{' '}
                  {words.pieces.of(wanted)}
                </td>
                <td>
                  <button type="button" className="take-back" onClick={() => withdraw(entry, label)}>
                    {words.teardown.takeBack}
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <LineForm label={words.pieces.count} send={words.pieces.count} isReady={name.trim() !== '' && expected !== null} onSend={add}>
        <LineText value={name} label={words.pieces.other} onChange={setName} />
        <InputNumber
          value={expected}
          min={1}
          max={500}
          placeholder={words.pieces.many}
          aria-label={words.pieces.many}
          onChange={setExpected}
        />
      </LineForm>
    </>
  );
}

import { Button, Input, InputNumber } from 'antd';
import { useState } from 'react';
import { CountField } from '../entry/CountField';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { uuidv7 } from '../shared/uuid';

/** Bolts and whatever else is counted, by name. */
export function OtherPieces() {
  const { slots, record, withdraw } = useBench();
  const [name, setName] = useState('');
  const [expected, setExpected] = useState<number | null>(null);
  const others = slots.standing('pieces').filter((entry) => entry.place === 'engine');
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
      <form
        className="new-task"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '' || expected === null) return;
          record(
            'pieces',
            { place: 'engine', part: 'timing', item: 'pieces', index: uuidv7() },
            { expected, found: 0, note: name.trim() },
            `${name.trim()}: 0 of ${expected}`,
          );
          setName('');
          setExpected(null);
        }}
      >
        <Input
          value={name}
          placeholder={words.pieces.other}
          aria-label={words.pieces.other}
          onChange={(event) => setName(event.target.value)}
        />
        <InputNumber
          value={expected}
          min={1}
          max={500}
          placeholder={words.pieces.many}
          aria-label={words.pieces.many}
          onChange={setExpected}
        />
        <Button htmlType="submit" disabled={name.trim() === '' || expected === null}>
          {words.pieces.count}
        </Button>
      </form>
    </>
  );
}

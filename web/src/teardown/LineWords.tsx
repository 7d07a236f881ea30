import { Input, Select } from 'antd';
import type { Dispatch } from 'react';
import { TemperChip } from '../draw/Temper';
import { temper } from '../look/theme';
import type { SignView } from '../shared/api';
import { words } from '../shared/messages';
import { Radios } from '../shared/Radios';
import type { Act, EntryLine } from './entryLine';

interface Props {
  line: EntryLine;
  act: Dispatch<Act>;
  /** The sign that is explained. */
  shown: SignView | undefined;
  asksFill: boolean;
  /** It says nothing without it. */
  wantsFill: boolean;
  onAccept: () => void;
}

/** What a sign looks like and is not to be confused with; and once it is taken, how bad it is, how sure, and in words. */
export function LineWords({ line, act, shown, asksFill, wantsFill, onAccept }: Props) {
  const { sign } = line;
  return (
    <>
      {shown && (
        <div className="sign-words">
          <h3>{shown.name}</h3>
          <p>
            {shown.lookFor} <b>{words.teardown.notConfused}:</b> {lowerFirst(shown.lookAlike)} <b>{words.teardown.howToShoot}:</b>{' '}
            {lowerFirst(shown.photograph)}
          </p>
        </div>
      )}
      {sign && (
        <>
          <h3>{words.teardown.howBadFor}</h3>
          <Radios
            className="severity-words"
            label={words.teardown.howBadFor}
            value={line.severity}
            options={temper.map((one) => ({
              value: one.step,
              label: (
                <>
                  <span>
                    <TemperChip step={one.step} /> {one.word}
                  </span>
                  <small>{sign.severity[one.step]}</small>
                </>
              ),
            }))}
            onChange={(step) => act({ do: 'severity', step })}
          />
          <div className="entry-more">
            <Input
              value={line.note}
              maxLength={4000}
              placeholder={words.teardown.notePlaceholder}
              aria-label={words.teardown.note}
              onChange={(event) => act({ do: 'note', note: event.target.value })}
              onPressEnter={onAccept}
            />
            <Select
              value={line.sureness}
              aria-label={words.teardown.sureness}
              onChange={(sureness) => act({ do: 'sureness', sureness })}
              style={{ width: 140 }}
              options={[
                { value: 1, label: words.teardown.sure },
                { value: 0.8, label: words.teardown.fairlySure },
                { value: 0.5, label: words.teardown.notSure },
              ]}
            />
          </div>
        </>
      )}
      {wantsFill && <p className="wrong">{words.teardown.fillWhy}</p>}
      {asksFill && (
        <Radios
          label={words.teardown.fillWhy}
          value={line.fill}
          options={(['filled', 'drained'] as const).map((value) => ({ value, label: words.teardown.fill[value] }))}
          onChange={(fill) => act({ do: 'fill', fill })}
        />
      )}
    </>
  );
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

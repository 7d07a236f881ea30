import { useLayoutEffect, useRef, type Dispatch } from 'react';
import { nearest } from '../draw/HeadPlan';
import { useBench } from '../entry/useBench';
import { temper } from '../look/theme';
import type { CaseView, SignView } from '../shared/api';
import { useKeys, type Key } from '../shared/keys';
import { words } from '../shared/messages';
import type { Act, EntryLine } from './entryLine';

type Part = CaseView['parts'][number];

export interface LineActions {
  rest: () => void;
  nothingHere: () => void;
  asNeighbour: () => void;
  accept: () => void;
  take: (sign: SignView) => void;
  station: (code: string) => void;
}

interface Props {
  line: EntryLine;
  act: Dispatch<Act>;
  acts: LineActions;
  parts: readonly Part[];
  part: Part | undefined;
  matches: readonly SignView[];
  station: CaseView['stations'][number];
  cleaned: boolean;
  onCleaned: (cleaned: boolean) => void;
}

/** The line of entry: part by letter, sign by its letters, how bad by a digit; each slot with its keys. */
export function LineSlots({ line, act, acts, parts, part, matches, station, cleaned, onCleaned }: Props) {
  const inputs = { part: useRef<HTMLInputElement>(null), sign: useRef<HTMLInputElement>(null), severity: useRef<HTMLInputElement>(null) };
  const sent = useRef(-1);
  useLayoutEffect(() => {
    if (sent.current === line.turn) return;
    sent.current = line.turn;
    inputs[line.slot].current?.focus();
  });
  const walk = useWalk(station, acts.station);
  const onPart = useKeys([walk, ...partKeys({ act, acts, parts, part })]);
  const onSign = useKeys([walk, ...signKeys({ line, act, acts, matches })]);
  const onSeverity = useKeys([walk, ...severityKeys({ line, act, acts })]);
  const severity = line.severity === null ? '' : `${line.severity} ${temper[line.severity]?.word ?? ''}`;
  const pointed = line.slot === 'sign' ? matches[line.pointed] : undefined;
  return (
    <div className="entry-line" role="group" aria-label={words.teardown.line}>
      <label className={line.slot === 'part' ? 'active' : ''}>
        <small>{words.teardown.part}</small>
        <input
          ref={inputs.part}
          value={part?.label ?? ''}
          readOnly
          data-committed={part?.label ?? ''}
          aria-label={words.teardown.part}
          onFocus={() => act({ do: 'entered', slot: 'part' })}
          onKeyDown={onPart}
        />
      </label>
      <label className={line.slot === 'sign' ? 'active sign' : 'sign'}>
        <small>{words.teardown.sign}</small>
        <input
          ref={inputs.sign}
          value={line.typed}
          placeholder={words.teardown.typeSign}
          aria-label={words.teardown.sign}
          role="combobox"
          aria-expanded={line.slot === 'sign'}
          aria-controls="sign-matches"
          aria-activedescendant={pointed ? `sign-${pointed.code}` : undefined}
          autoComplete="off"
          onFocus={() => act({ do: 'entered', slot: 'sign' })}
          onChange={(event) => act({ do: 'type', text: event.target.value })}
          onKeyDown={onSign}
        />
      </label>
      <label className={line.slot === 'severity' ? 'active' : ''}>
        <small>{words.teardown.howBad}</small>
        <input
          ref={inputs.severity}
          value={severity}
          readOnly
          data-committed={severity}
          placeholder={words.teardown.digits}
          aria-label={words.teardown.howBad}
          onFocus={() => act({ do: 'entered', slot: 'severity' })}
          onKeyDown={onSeverity}
        />
      </label>
      <button type="button" className="state" aria-pressed={cleaned} onClick={() => onCleaned(!cleaned)}>
        <small>{words.teardown.state}</small>
        {cleaned ? words.teardown.afterCleaning : words.teardown.asFound}
      </button>
    </div>
  );
}

/** Alt with an arrow walks the plan from anywhere in the line. */
function useWalk(station: CaseView['stations'][number], go: (code: string) => void): Key {
  const { view } = useBench();
  return {
    shown: 'Alt arrows',
    does: words.keysDo.walk,
    on: /^Arrow/,
    alt: true,
    run: ({ key }) => {
      const from = view.plan.cells.find((cell) => cell.station === station.code);
      const to = from && nearest(view.plan.cells, from, key);
      if (to) go(to.station);
    },
  };
}

const by = (key: string): 1 | -1 => (key === 'ArrowDown' ? 1 : -1);

function partKeys({ act, acts, parts, part }: Pick<Props, 'act' | 'acts' | 'parts' | 'part'>): readonly Key[] {
  const { keysDo } = words;
  return [
    { shown: '0', does: keysDo.nothingHere, on: /^0$/, run: acts.nothingHere },
    { shown: '.', does: keysDo.nothingRest, on: /^\.$/, run: acts.rest },
    { shown: '=', does: keysDo.asNeighbour, on: /^=$/, run: acts.asNeighbour },
    {
      shown: '↑ ↓',
      does: keysDo.partStep,
      on: /^Arrow(Up|Down)$/,
      run: ({ key }) => {
        const at = parts.findIndex((one) => one.code === part?.code) + by(key);
        const other = parts[(at + parts.length) % parts.length];
        if (other) act({ do: 'step', part: other.code });
      },
    },
    { shown: 'Enter', does: keysDo.toSign, on: /^Enter$/, run: () => part && act({ do: 'openSign', part: part.code }) },
    {
      shown: 'letter',
      does: keysDo.part,
      on: /^[a-z]$/i,
      run: ({ key }) => {
        const wanted = parts.find((one) => one.letter === key.toUpperCase());
        if (wanted) act({ do: 'openSign', part: wanted.code });
      },
    },
  ];
}

function signKeys({ line, act, acts, matches }: Pick<Props, 'line' | 'act' | 'acts' | 'matches'>): readonly Key[] {
  const { keysDo } = words;
  return [
    {
      shown: '↑ ↓',
      does: keysDo.signStep,
      on: /^Arrow(Up|Down)$/,
      run: ({ key }) => act({ do: 'point', by: by(key), of: matches.length }),
    },
    {
      shown: 'Enter',
      does: keysDo.takeSign,
      on: /^Enter$/,
      run: () => {
        const sign = matches[line.pointed];
        if (sign) acts.take(sign);
      },
    },
    {
      shown: 'Backspace',
      does: keysDo.back,
      on: /^(Backspace|Escape)$/,
      when: ({ key }) => key === 'Escape' || line.typed === '',
      run: () => act({ do: 'back' }),
    },
  ];
}

function severityKeys({ line, act, acts }: Pick<Props, 'line' | 'act' | 'acts'>): readonly Key[] {
  const { keysDo } = words;
  return [
    { shown: '0 to 4', does: keysDo.severity, on: /^[0-4]$/, run: ({ key }) => act({ do: 'severity', step: Number(key) }) },
    {
      shown: 'F D',
      does: keysDo.fill,
      on: /^[fd]$/i,
      when: () => line.sign?.needsFill === true,
      run: ({ key }) => act({ do: 'fill', fill: key.toLowerCase() === 'f' ? 'filled' : 'drained' }),
    },
    { shown: 'Enter', does: keysDo.accept, on: /^Enter$/, run: acts.accept },
    { shown: 'Backspace', does: keysDo.back, on: /^(Backspace|Escape)$/, run: () => act({ do: 'back' }) },
  ];
}

import { Button, Input } from 'antd';
import { useState } from 'react';
import { dashOf, readAt, SweepChart } from '../draw/SweepChart';
import { Keycap, Tag } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import { useChosen } from '../frame/Chosen';
import { useOpened } from '../frame/useSection';
import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { failureWords } from '../shared/failure';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useSweeps } from '../shared/queries';
import { useCable } from '../sheet/useCable';
import { readPasted, type Pair } from '../shared/pasted';
import './swept.css';

type Coil = 'outer' | 'inner' | 'damper';
type Swept = Schemas['SweptSpringsView'];
type Spring = Schemas['SweptSpringView'];

const COILS: readonly Coil[] = ['outer', 'inner', 'damper'];
/** What an arrow moves the cursor by, and with Shift held down. */
const STEP = { in: 0.01, mm: 0.25 };
const LONG = 5;

/** Springs pressed on the tester until they are solid: drawn over each other, and told apart by load and rate together. */
export function Swept() {
  const { view, withdraw } = useBench();
  const [at] = useChosen();
  const [coil, setCoil] = useState<Coil>('outer');
  const [against, hold] = useOpened('against');
  const told = useSweeps(view.id, coil, against);
  const [isSweeping, setSweeping] = useState(false);
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const [picked, pick] = useState<string | null>(null);
  const [cursor, setCursor] = useState<number | null>(null);
  const swept = told.data;
  const shown = (swept?.springs ?? []).filter((one) => !off.has(one.place));
  const chosen = [picked, at].find((one) => shown.some((spring) => spring.place === one)) ?? shown[0]?.place ?? '';
  const of = shown.find((one) => one.place === chosen);
  const height = cursor ?? swept?.installed ?? 0;
  const move = (by: number): void => setCursor(height + by * (swept?.unitHeight === 'mm' ? STEP.mm : STEP.in));
  const onKeyDown = useKeys([
    { shown: '← →', does: words.keysDo.sweptCursor, on: /^ArrowRight$/, shift: false, run: () => move(-1) },
    { shown: '← →', does: words.keysDo.sweptCursor, on: /^ArrowLeft$/, shift: false, run: () => move(1) },
    { shown: 'Shift ← →', does: words.keysDo.sweptCursor, on: /^ArrowRight$/, shift: true, run: () => move(-LONG) },
    { shown: 'Shift ← →', does: words.keysDo.sweptCursor, on: /^ArrowLeft$/, shift: true, run: () => move(LONG) },
    { shown: 'R', does: words.keysDo.sweptAgainst, on: /^r$/i, run: () => hold(chosen) },
    { shown: '1 to 9', does: words.keysDo.sweptShown, on: /^[1-9]$/, run: ({ key }) => toggle(swept?.springs[Number(key) - 1]) },
  ]);
  const toggle = (spring: Spring | undefined): void => {
    if (spring === undefined) return;
    setOff((old) => new Set(old.has(spring.place) ? [...old].filter((one) => one !== spring.place) : [...old, spring.place]));
  };
  return (
    <>
      <div className="swept-row">
        <Choice<Coil>
          value={coil}
          label={words.swept.coil}
          width={160}
          onChange={setCoil}
          options={COILS.map((value) => ({ value, label: words.swept.coils[value] }))}
        />
        {swept !== undefined && swept.springs.length > 1 && (
          <Choice
            value={swept.against ?? ''}
            label={words.swept.against}
            width={200}
            onChange={hold}
            options={swept.springs.map((one) => ({ value: one.place, label: `${words.swept.against} ${one.label}` }))}
          />
        )}
        <Button onClick={() => setSweeping(true)} disabled={isSweeping}>
          {words.swept.begin}
        </Button>
        {shown.length > 0 && (
          <a href={`/api/cases/${view.id}/sweeps.csv?coil=${coil}`} download>
            {words.swept.table}
          </a>
        )}
        {of !== undefined && (
          <Button
            className="take-back"
            onClick={() => withdraw({ place: of.place, part: 'spring', item: 'sweep', index: coil }, words.swept.tookBack(of.label))}
          >
            {words.swept.takeBack(of.label)}
          </Button>
        )}
      </div>
      {isSweeping && <Sweeping coil={coil} onDone={() => setSweeping(false)} />}
      {told.error !== null && (
        <p className="wrong" role="alert">
          {failureWords(told.error)}
        </p>
      )}
      {swept !== undefined && swept.springs.length === 0 && !isSweeping && (
        <div className="empty pad">
          <b>{words.swept.nothing}</b>
          <p>{words.swept.nothingHint}</p>
        </div>
      )}
      {swept !== undefined && swept.springs.length > 0 && (
        <div className="swept" onKeyDown={onKeyDown} tabIndex={0} aria-label={words.swept.chart(shown.length)} role="group">
          <SweepChart
            swept={swept}
            shown={shown}
            chosen={chosen}
            at={height}
            onAt={setCursor}
            words={words.swept}
            label={words.swept.chart(shown.length)}
          />
          <Table swept={swept} shown={shown} chosen={chosen} height={height} onPick={pick} onToggle={toggle} />
        </div>
      )}
    </>
  );
}

interface TableProps {
  swept: Swept;
  shown: readonly Spring[];
  chosen: string;
  height: number;
  onPick: (place: string) => void;
  onToggle: (spring: Spring) => void;
}

/** Loads at the two heights and under the cursor, the rate, and how far each lies from the one that it is held against. */
function Table({ swept, shown, chosen, height, onPick, onToggle }: TableProps) {
  const decimals = swept.unitHeight === 'in' ? 3 : 2;
  const against = swept.springs.find((one) => one.place === swept.against);
  return (
    <div className="swept-side">
      <table className="swept-table">
        <thead>
          <tr>
            <th>{words.swept.spring}</th>
            <th className="num">
              {swept.installedShown}
              <small>{swept.unitLoad}</small>
            </th>
            <th className="num">
              {swept.openShown}
              <small>{swept.unitLoad}</small>
            </th>
            <th className="num cursor">
              {height.toFixed(decimals)}
              <small>{swept.unitLoad}</small>
            </th>
            <th className="num">
              {words.swept.rate.split(' ')[0]}
              <small>{swept.unitRate}</small>
            </th>
            <th className="num">
              {words.swept.from(against?.label ?? '')}
              <small>%</small>
            </th>
          </tr>
        </thead>
        <tbody>
          {swept.springs.map((one, i) => {
            const isShown = shown.includes(one);
            const reading = readAt(one.points, height);
            return (
              <tr key={one.place} className={one.place === chosen ? 'current' : undefined} aria-current={one.place === chosen}>
                <th scope="row">
                  <button type="button" onClick={() => onPick(one.place)} disabled={!isShown}>
                    <Tag label={one.label} lead={one.loadIsOutside || one.rateIsOutside} />
                  </button>
                  <button type="button" className="line" aria-pressed={isShown} aria-label={one.label} onClick={() => onToggle(one)}>
                    <Keycap>{String(i + 1)}</Keycap>
                    <svg width="30" height="6" aria-hidden="true" opacity={isShown ? 1 : 0.25}>
                      <path
                        d="M0 3H30"
                        stroke={one.place === swept.against ? 'var(--enamel)' : 'var(--ink)'}
                        strokeWidth={one.place === chosen ? 3 : 1.6}
                        strokeDasharray={isShown ? dashOf(shown, one) : ''}
                      />
                    </svg>
                  </button>
                </th>
                <td className="num">{one.seatLoad?.figure}</td>
                <td className="num">{one.openLoad?.figure}</td>
                <td className="num cursor">{reading?.toFixed(0)}</td>
                <td className="num">{one.rate?.figure}</td>
                <td className="num">
                  <Departure value={one.loadFrom} isOutside={one.loadIsOutside} />
                  <Departure value={one.rateFrom} isOutside={one.rateIsOutside} />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <h3>{words.swept.toldApart}</h3>
      {swept.springs
        .filter((one) => one.said !== '')
        .sort((a, b) => Number(a.told === 'alike') - Number(b.told === 'alike'))
        .map((one) => (
          <p key={one.place} className={one.told === 'alike' ? 'note' : undefined}>
            {one.said}
          </p>
        ))}
      {swept.springs
        .filter((one) => one.isProgressive)
        .map((one) => (
          <p key={one.place}>{words.swept.progressive(one.label)}</p>
        ))}
    </div>
  );
}

const Departure = ({ value, isOutside }: { value: Spring['loadFrom']; isOutside: boolean }) =>
  value && (
    <span className={isOutside ? 'wrong' : undefined}>
      {value.figure.replace('-', '−')} <small>±{value.plusMinus ?? '0'}</small>
    </span>
  );

/** One spring is being pressed: what the tester sends is gathered, or pasted, and kept as one entry. */
function Sweeping({ coil, onDone }: { coil: Coil; onDone: () => void }) {
  const { view, record } = useBench();
  const [at] = useChosen();
  const station = view.stations.find((one) => one.code === at);
  const [isOff, setOff] = useState(false);
  const [tag, setTag] = useState('');
  const [heard, setHeard] = useState<{ gauge: string; points: Pair[]; heightUnit: string; loadUnit: string } | null>(null);
  const [pasted, paste] = useState('');
  const cable = useCable(true, (line) => {
    const [height, heightUnit] = (line.height ?? '').split(' ');
    if (height === undefined || heightUnit === undefined) return false;
    setHeard((old) => ({
      gauge: line.gauge,
      heightUnit,
      loadUnit: line.unit,
      points: [...(old?.gauge === line.gauge ? old.points : []), [Number(height), Number(line.value)]],
    }));
    return true;
  });
  const typed = readPasted(pasted);
  const units = view.settings.units === 'inch' ? (['in', 'lbf'] as const) : (['mm', 'N'] as const);
  const points = heard?.points ?? typed.points;
  const place = isOff ? `loose-${tag}` : (station?.code ?? '');
  const isNamed = !isOff || /^[a-z0-9][a-z0-9-]{0,39}$/.test(tag);
  const keep = (): void => {
    record(
      'sweep',
      { place, part: 'spring', item: 'sweep', index: coil },
      {
        points,
        heightUnit: heard?.heightUnit ?? units[0],
        loadUnit: heard?.loadUnit ?? units[1],
        ...(heard === null ? {} : { gauge: heard.gauge, received: true }),
      },
      words.swept.kept(isOff ? tag : (station?.label ?? ''), points.length),
    );
    onDone();
  };
  return (
    <section className="sweeping" aria-label={words.swept.begin}>
      <Choice
        value={isOff ? 'off' : 'here'}
        label={words.swept.whose}
        width={220}
        onChange={(whose) => setOff(whose === 'off')}
        options={[
          { value: 'here', label: words.swept.here(station?.label ?? '') },
          { value: 'off', label: words.swept.off },
        ]}
      />
      {isOff && (
        <Input
          value={tag}
          aria-label={words.swept.tag}
          placeholder={words.swept.tag}
          onChange={(event) => setTag(event.target.value.trim())}
        />
      )}
      <p role="status">
        {heard === null ? (cable.isHeard ? words.swept.silent : '…') : words.swept.listening(heard.points.length)}
        <small className="note">{words.swept.guard}</small>
      </p>
      {heard === null && (
        <Input.TextArea
          value={pasted}
          aria-label={words.swept.paste}
          placeholder={`${words.swept.paste}: 1.900 168.2`}
          autoSize={{ minRows: 2, maxRows: 5 }}
          onChange={(event) => paste(event.target.value)}
        />
      )}
      {typed.badLine !== null && <p className="wrong">{words.swept.badLine(typed.badLine)}</p>}
      {isOff && tag !== '' && !isNamed && <p className="wrong">{words.swept.badTag}</p>}
      <div className="acts-row">
        <Button type="primary" disabled={points.length < 8 || !isNamed || place === '' || typed.badLine !== null} onClick={keep}>
          {points.length < 8 ? words.swept.least(points.length) : words.swept.keep}
        </Button>
        <Button onClick={onDone}>{words.swept.cancel}</Button>
      </div>
    </section>
  );
}

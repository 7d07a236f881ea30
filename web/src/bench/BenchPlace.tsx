import { Select } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { MarginRule } from '../draw/MarginRule';
import { Tag } from '../draw/Tag';
import { slotKey, type SlotAddress } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/useChosen';
import type { ColumnView, MarginView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue, useSprings } from '../shared/queries';
import { ofMargin, TraceDialog, type Subject } from './TraceDialog';
import { useSettings } from './useSettings';
import { columnsOf, DERIVED, MARGINS, type SheetName } from './columns';
import { SheetCell } from '../entry/SheetCell';
import { SheetFoot } from '../entry/SheetFoot';
import '../entry/sheet.css';

type Direction = 'down' | 'across';

/** Step 4: the spring sheet. Rows are stations, columns are readings; margins appear as a row fills. */
export default function BenchPlace() {
  const bench = useBench();
  const { view, slots, outbox, record, withdraw } = bench;
  const catalogue = useCatalogue();
  const springs = useSprings(view.id, view.revision);
  const settings = useSettings();
  const [chosen, choose] = useChosen();
  const [sheet, setSheet] = useState<SheetName>('outer');
  const [direction, setDirection] = useState<Record<SheetName, Direction>>({ outer: 'across', inner: 'across', heights: 'down' });
  const hasInner = useMemo(() => slots.standing('reading').some((entry) => entry.index === 'inner'), [slots]);
  const columns = useMemo(
    () => columnsOf(sheet, catalogue.data?.columns ?? [], view.engine, hasInner || sheet === 'inner'),
    [sheet, catalogue.data, view.engine, hasInner],
  );
  const [columnCode, setColumnCode] = useState<string>('free_height');
  const column = columns.find((one) => one.code === columnCode) ?? columns[0];
  const coil = sheet === 'inner' ? 'inner' : 'outer';
  const [heights, setHeights] = useState<Record<string, string>>({});
  const [gauges, setGauges] = useState<Record<string, string>>({});
  const [trace, setTrace] = useState<Subject | null>(null);
  const [typing, setTyping] = useState(false);
  const grid = useRef<HTMLTableElement>(null);

  const slotOf = (station: string, one: ColumnView): SlotAddress => ({
    place: station,
    part: one.part,
    item: one.code,
    index: one.byCoil ? coil : null,
  });
  const testHeight = (one: ColumnView): string => {
    const kept = heights[`${coil}.${one.code}`];
    if (kept !== undefined) return kept;
    const last = slots.standing('reading').findLast((entry) => entry.item === one.code && entry.index === coil && entry.atText !== null);
    if (last?.atText) return last.atText;
    const claims = slots.standing('claim');
    const claim = claims.find((entry) => entry.item === `claimed.${one.code}` && entry.atText !== null)?.atText;
    return claim ?? (one.code === 'load_seat' ? (claims.find((entry) => entry.item === 'claimed.installed_height')?.text ?? '') : '');
  };

  const goTo = (station: string, code: string): void => {
    choose(station);
    setColumnCode(code);
  };
  const move = (station: string, code: string, along: number, way: Direction): void => {
    const rows = view.stations.map((one) => one.code);
    const codes = columns.map((one) => one.code);
    const r = rows.indexOf(station);
    const c = codes.indexOf(code);
    const n = way === 'down' ? c * rows.length + r + along : r * codes.length + c + along;
    const at = (n + rows.length * codes.length) % (rows.length * codes.length);
    const [row, col] =
      way === 'down' ? [at % rows.length, Math.floor(at / rows.length)] : [Math.floor(at / codes.length), at % codes.length];
    goTo(rows[row] ?? station, codes[col] ?? code);
  };
  const step = (station: string, code: string, dr: number, dc: number): void => {
    const r = view.stations.findIndex((one) => one.code === station) + dr;
    const c = columns.findIndex((one) => one.code === code) + dc;
    const row = view.stations[r];
    const col = columns[c];
    if (row && col) goTo(row.code, col.code);
  };

  const commit = (station: string, one: ColumnView, text: string): void => {
    const slot = slotOf(station, one);
    const label = view.stations.find((s) => s.code === station)?.label ?? station;
    if (text.trim() === '') {
      withdraw(slot, `${label} ${one.short}`);
      return;
    }
    const at = one.atHeight ? testHeight(one).trim() : '';
    const gauge = gauges[one.code];
    record(
      'reading',
      slot,
      { text: text.trim(), ...(at === '' ? {} : { atText: at }), ...(gauge === undefined ? {} : { gauge }) },
      `${label} ${one.short}, ${text.trim()}`,
    );
  };

  // A refusal brings the hand back to its cell, unless it is typing somewhere else already.
  const seen = useRef(new Set<string>());
  useEffect(() => {
    for (const one of outbox.outgoing) {
      if (one.state === 'waiting' || seen.current.has(one.entry.id)) continue;
      seen.current.add(one.entry.id);
      const owner = columns.find((c) => slotKey(slotOf(one.entry.slot.place, c)) === slotKey(one.entry.slot));
      if (owner && !typing) goTo(one.entry.slot.place, owner.code);
    }
  });

  const active = column ? slots.get(slotOf(chosen, column)) : null;
  const unsettled = active?.outgoing && active.outgoing.state !== 'waiting' ? active.outgoing : null;
  const activeLabel = view.stations.find((one) => one.code === chosen)?.label ?? chosen;

  const derivedName = (name: string): string => (sheet === 'heights' ? name : `${name}.${coil}`);
  const marginOf = (station: string, quantities: readonly string[]): MarginView | undefined => {
    const found = quantities.map((quantity) =>
      springs.data?.margins.find(
        (margin) => margin.place === station && margin.quantity === quantity && (margin.coil === null || margin.coil === coil),
      ),
    );
    return found.find((margin) => margin?.value != null) ?? found.at(-1);
  };

  return (
    <div className="room">
      <PlanSide chosen={chosen} onChoose={choose} first="travel">
        {springs.data && springs.data.middles.length > 0 && (
          <p className="plan-note">
            {springs.data.middles.map((middle) => (
              <span key={middle.set}>
                Middle value of {middle.count} {middle.set}: {middle.value.figure} {middle.value.unit}.{' '}
              </span>
            ))}
          </p>
        )}
      </PlanSide>
      <div className="bench-sheet">
        <div className="tool-row">
          <h2>{words.bench.sheet}</h2>
          <Select<SheetName>
            value={sheet}
            aria-label={words.bench.sheet}
            onChange={(picked) => {
              setSheet(picked);
              setColumnCode('');
            }}
            style={{ width: 210 }}
            options={(['outer', 'inner', 'heights'] as const).map((value) => ({ value, label: words.bench.sheets[value] }))}
          />
          <Select<Direction>
            value={direction[sheet]}
            aria-label="Where Enter goes"
            onChange={(picked) => setDirection((old) => ({ ...old, [sheet]: picked }))}
            style={{ width: 250 }}
            options={(['down', 'across'] as const).map((value) => ({ value, label: words.bench.enterGoes[value] }))}
          />
          <Select
            value={view.settings.school}
            aria-label={words.bench.school}
            onChange={(school: string) => void settings.change({ ...view.settings, school })}
            style={{ width: 170 }}
            options={(catalogue.data?.schools ?? []).map((school) => ({
              value: school.code,
              label: `School: ${school.label}`,
              title: school.meaning,
            }))}
          />
        </div>
        <p className="gauge-row">
          {words.bench.gauge}
          <Select
            value={column ? (gauges[column.code] ?? column.gauge) : ''}
            aria-label={words.bench.gauge}
            style={{ width: 330 }}
            onChange={(gauge: string) => column && setGauges((old) => ({ ...old, [column.code]: gauge }))}
            options={(catalogue.data?.gauges ?? [])
              .filter((gauge) => gauge.dimension === column?.dimension)
              .map((gauge) => ({ value: gauge.code, label: `${gauge.label}, ${gauge.stated}` }))}
          />
          <span className="note">{words.bench.gaugeDefault}</span>
          <span className="goes">
            goes into <Tag label={activeLabel} /> {column?.short}
          </span>
        </p>
        <div className="table-wrap">
          <table className="bench-table" ref={grid}>
            <thead>
              <tr>
                <th>{words.bench.station}</th>
                {columns.map((one) => (
                  <th key={one.code} className="figure" title={one.label}>
                    {one.short}
                    {one.atHeight ? (
                      <label className="test-height">
                        {words.bench.at}{' '}
                        <input
                          aria-label={`test height of the ${one.label}`}
                          value={testHeight(one)}
                          data-committed={testHeight(one)}
                          onChange={(event) => setHeights((old) => ({ ...old, [`${coil}.${one.code}`]: event.target.value }))}
                        />
                      </label>
                    ) : (
                      <small>{unitOf(one.dimension, view.settings.units)}</small>
                    )}
                  </th>
                ))}
                {DERIVED[sheet].map((one) => (
                  <th key={one.name} className="figure">
                    {one.head}
                    <small>{springs.data?.derived.find((value) => value.name === derivedName(one.name))?.value.unit}</small>
                  </th>
                ))}
                {MARGINS[sheet].map((margin) => (
                  <th key={margin.head} style={{ width: 134 }}>
                    {margin.head}
                    <small>{marginOf(view.stations[0]?.code ?? '', margin.quantities)?.limitWords}</small>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {view.stations.map((station) => (
                <tr key={station.code} className={station.code === chosen ? 'current' : ''}>
                  <th scope="row">
                    <Tag label={station.label} lead={station.failed} />
                  </th>
                  {columns.map((one) => (
                    <SheetCell
                      key={one.code}
                      name={`${station.label} ${one.label}`}
                      state={slots.get(slotOf(station.code, one))}
                      active={station.code === chosen && one.code === column?.code}
                      headAt={one.atHeight ? testHeight(one) : null}
                      onOpen={() => goTo(station.code, one.code)}
                      onTyping={setTyping}
                      onCommit={(text, along) => {
                        if (text !== null) commit(station.code, one, text);
                        if (along !== 0) move(station.code, one.code, along, direction[sheet]);
                      }}
                      onStep={(dr, dc) => step(station.code, one.code, dr, dc)}
                    />
                  ))}
                  {DERIVED[sheet].map((one) => {
                    const value = springs.data?.derived.find(
                      (other) => other.place === station.code && other.name === derivedName(one.name),
                    );
                    return (
                      <td key={one.name} className="figure derived">
                        {value && (
                          <button
                            type="button"
                            tabIndex={-1}
                            title={value.value.shown}
                            aria-label={`${station.label} ${one.head}: ${value.value.shown}`}
                            onClick={() =>
                              setTrace({
                                place: station.code,
                                label: station.label,
                                title: value.title,
                                quantity: value.name,
                                coil: null,
                                margin: null,
                              })
                            }
                          >
                            {value.value.figure}
                          </button>
                        )}
                      </td>
                    );
                  })}
                  {MARGINS[sheet].map(({ quantities, head }) => {
                    const margin = marginOf(station.code, quantities);
                    return (
                      <td key={head} className="rule">
                        {margin && (
                          <button type="button" tabIndex={-1} onClick={() => setTrace(ofMargin(margin))} title={margin.sentence}>
                            <MarginRule margin={margin} width={124} />
                          </button>
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <SheetFoot
          unsettled={unsettled}
          name={`${activeLabel}, ${column?.short ?? ''}`}
          onOffer={(offer) => column && commit(chosen, column, offer)}
        >
          {column?.atHeight && testHeight(column) === '' ? (
            <p className="wrong">{words.bench.heightMissing}</p>
          ) : (
            <p className="note">{words.bench.foot}</p>
          )}
        </SheetFoot>
      </div>
      <TraceDialog caseId={view.id} subject={trace} onClose={() => setTrace(null)} />
    </div>
  );
}

function unitOf(dimension: string, units: 'inch' | 'metric'): string {
  const unit: Record<string, [string, string]> = { length: ['in', 'mm'], force: ['lbf', 'N'] };
  return unit[dimension]?.[units === 'inch' ? 0 : 1] ?? '';
}

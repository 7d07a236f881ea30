import { Button, Input, InputNumber } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import type { CaseView, Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { Dialog } from '../shared/Dialog';
import { Radios } from '../shared/Radios';
import { words } from '../shared/messages';
import { useGroups } from '../shared/queries';
import { changesOf, figureOf, keep, newCode, remedySlot, type Adjustment, type Change, type RemedyKind } from './remedies';

const KINDS: readonly RemedyKind[] = ['cure', 'trial', 'containment'];
const HOWS = ['by', 'to'] as const;
/** Before the codes of parts in the list of what can be changed. */
const WHOLE = 'part.';

interface Props {
  /** Null for one that is new. */
  id: string | null;
  adjustments: readonly Adjustment[];
  parts: readonly Schemas['PartChoiceView'][];
  onClose: () => void;
}

/** A remedy is written: what is done, what it takes, and what it changes on the engine. */
export function Editor({ id, adjustments, parts, onClose }: Props) {
  const bench = useBench();
  const before = id === null ? null : bench.slots.get(remedySlot(id)).entry?.content;
  const [name, setName] = useState(before?.name ?? '');
  const [kind, setKind] = useState<RemedyKind>(before?.remedyKind ?? 'cure');
  const [what, setWhat] = useState(before?.words ?? '');
  const [hours, setHours] = useState<number | null>(before?.hours ?? null);
  const [wait, setWait] = useState<number | null>(before?.waitDays ?? null);
  const [until, setUntil] = useState(before?.until ?? '');
  const [tellTales, setTellTales] = useState(before?.tellTales ?? '');
  const [changes, setChanges] = useState<readonly Change[]>(id === null ? [] : changesOf(bench, id));
  const isReady = name.trim() !== '' && (kind !== 'containment' || until.trim() !== '');
  const send = (): void => {
    if (!isReady) return;
    keep(bench, id ?? newCode(), {
      name: name.trim(),
      remedyKind: kind,
      ...(what.trim() === '' ? {} : { words: what.trim() }),
      ...(hours === null ? {} : { hours }),
      ...(wait === null ? {} : { waitDays: wait }),
      ...(kind === 'containment' ? { until: until.trim(), ...(tellTales.trim() === '' ? {} : { tellTales: tellTales.trim() }) } : {}),
      change: changes.map((one) => ({ ...one })),
    });
    onClose();
  };
  const f = words.remedy.form;
  return (
    <Dialog open onClose={onClose} title={f.title} width={720} scope="in-remedy">
      <form
        className="remedy-form"
        onSubmit={(event) => {
          event.preventDefault();
          send();
        }}
      >
        <label>
          <span>{f.name}</span>
          <Input value={name} maxLength={80} onChange={(event) => setName(event.target.value)} data-first />
        </label>
        <Radios
          label={f.kind}
          value={kind}
          onChange={setKind}
          className="joined"
          options={KINDS.map((value) => ({ value, label: f.kinds[value] }))}
        />
        {kind === 'containment' && (
          <>
            <label>
              <span>{f.until}</span>
              <Input value={until} maxLength={400} onChange={(event) => setUntil(event.target.value)} aria-describedby="needs-until" />
            </label>
            {until.trim() === '' && (
              <p className="note" id="needs-until">
                {f.needsUntil}
              </p>
            )}
            <label>
              <span>{f.tellTales}</span>
              <Input value={tellTales} maxLength={400} onChange={(event) => setTellTales(event.target.value)} />
            </label>
          </>
        )}
        <label>
          <span>{f.words}</span>
          <Input.TextArea
            value={what}
            maxLength={2000}
            autoSize={{ minRows: 2, maxRows: 5 }}
            onChange={(event) => setWhat(event.target.value)}
          />
        </label>
        <div className="pair">
          <label>
            <span>{f.hours}</span>
            <InputNumber value={hours} min={0} max={2000} onChange={setHours} />
          </label>
          <label>
            <span>{f.wait}</span>
            <InputNumber value={wait} min={0} max={400} precision={0} onChange={setWait} />
          </label>
        </div>
        <fieldset>
          <legend>{f.changes}</legend>
          {changes.length === 0 && <p className="note">{f.noChange}</p>}
          <ul className="changes">
            {changes.map((one, i) => {
              const said = changeWords(one, adjustments, parts, bench.view);
              return (
                <li key={said}>
                  {said}
                  <Button size="small" aria-label={f.drop(said)} onClick={() => setChanges(changes.filter((_, j) => j !== i))}>
                    ×
                  </Button>
                </li>
              );
            })}
          </ul>
          <AddChange
            adjustments={adjustments}
            parts={parts}
            onAdd={(change) => setChanges([...changes.filter((one) => !isSame(one, change)), change])}
          />
        </fieldset>
        <Button type="primary" htmlType="submit" disabled={!isReady}>
          {f.keep}
        </Button>
      </form>
    </Dialog>
  );
}

const isSame = (one: Change, other: Change): boolean =>
  one.places.join() === other.places.join() &&
  ('part' in one ? 'part' in other && one.part === other.part : 'name' in other && one.name === other.name && one.index === other.index);

function changeWords(one: Change, adjustments: readonly Adjustment[], parts: readonly Schemas['PartChoiceView'][], view: CaseView): string {
  const label = (place: string): string => view.stations.find((station) => station.code === place)?.label ?? place;
  const where = one.places.length === view.stations.length ? words.remedy.form.everywhere : one.places.map(label).join(', ');
  if ('part' in one) return `${one.part}, ${where}: ${parts.find((part) => part.from === one.from)?.name ?? one.from}`;
  const figure = 'to' in one ? one.to : one.by;
  const sign = 'by' in one && figure.number > 0 ? '+' : '';
  const adjustment = adjustments.find((other) => other.name === one.name);
  const name = `${adjustment?.label ?? one.name}${one.index === undefined ? '' : ` ${one.index}`}`;
  const way = one.kind === undefined ? '' : `, ${adjustment?.kinds.find((kind) => kind.code === one.kind)?.label ?? one.kind}`;
  return `${name}, ${where}: ${sign}${figure.number}${figure.unit === '1' ? '' : ` ${figure.unit}`}${way}`;
}

function AddChange({ adjustments, parts, onAdd }: Pick<Props, 'adjustments' | 'parts'> & { onAdd: (change: Change) => void }) {
  const { view } = useBench();
  const ofEngine = new Set(view.stations.map((one) => one.code));
  const groups = (useGroups(view.id).data ?? []).filter((one) => one.places.every((place) => ofEngine.has(place)));
  const f = words.remedy.form;
  const [what, setWhat] = useState<string>(adjustments[0]?.name ?? '');
  const [where, setWhere] = useState('all');
  const [how, setHow] = useState<(typeof HOWS)[number]>('by');
  const [figure, setFigure] = useState('');
  const [from, setFrom] = useState<string | null>(null);
  const [index, setIndex] = useState<string | null>(null);
  const [kind, setKind] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const adjustment = adjustments.find((one) => one.name === what);
  const whole = what.startsWith(WHOLE) ? what.slice(WHOLE.length) : null;
  const taken = parts.filter((one) => one.part === whole);
  const kinds = [...new Set(parts.map((one) => one.part))];
  const isAtValves = whole !== null || adjustment?.site === 'station';
  const places = !isAtValves
    ? placesOf(adjustment, view)
    : where === 'all'
      ? view.stations.map((one) => one.code)
      : (groups.find((one) => one.code === where)?.places ?? [where]);
  const add = (): void => {
    if (whole !== null) {
      const chosen = from ?? taken[0]?.from;
      if (chosen !== undefined) onAdd({ places: [...places], part: whole, from: chosen });
      return;
    }
    const number = figureOf(figure);
    if (number === null || adjustment === undefined) {
      setWrong(f.badFigure(figure, adjustment?.unit ?? ''));
      return;
    }
    const value = { number, unit: adjustment.unit };
    const under = {
      ...(adjustment.indexes.length === 0 ? {} : { index: index ?? adjustment.indexes[0] ?? '' }),
      ...(adjustment.kinds.length === 0 || kind === null ? {} : { kind }),
    };
    onAdd({ places: [...places], name: adjustment.name, ...under, ...(how === 'by' ? { by: value } : { to: value }) });
    setFigure('');
    setWrong(null);
  };
  return (
    <div className="add-change" role="group" aria-label={f.addChange}>
      <Choice
        label={f.what}
        value={what}
        width={250}
        onChange={(next) => {
          setWhat(next);
          setKind(null);
          setWrong(null);
        }}
        options={[
          ...kinds.map((part) => ({ value: WHOLE + part, label: f.parts[part] })),
          ...adjustments.map((one) => ({ value: one.name, label: `${one.of}: ${one.label}`, title: one.lasting ?? '' })),
        ]}
      />
      {isAtValves && (
        <Choice
          label={f.where}
          value={where}
          width={150}
          onChange={setWhere}
          options={[{ value: 'all', label: f.everywhere }, ...groups.map((one) => ({ value: one.code, label: one.name }))]}
        />
      )}
      {adjustment !== undefined && adjustment.indexes.length > 0 && (
        <Choice
          label={f.which}
          value={index ?? adjustment.indexes[0] ?? ''}
          width={110}
          onChange={setIndex}
          options={adjustment.indexes.map((value) => ({ value, label: value }))}
        />
      )}
      {adjustment !== undefined && adjustment.kinds.length > 0 && (
        <Choice
          label={f.way}
          value={kind ?? ''}
          width={170}
          onChange={(code) => setKind(code === '' ? null : code)}
          options={[{ value: '', label: f.anyWay }, ...adjustment.kinds.map((one) => ({ value: one.code, label: one.label }))]}
        />
      )}
      {whole === null ? (
        <>
          <Choice
            label={f.how}
            value={how}
            width={170}
            onChange={setHow}
            options={HOWS.map((value) => ({ value, label: f.hows[value] }))}
          />
          <Input
            value={figure}
            aria-label={f.figure}
            placeholder={f.figure}
            style={{ width: 110 }}
            suffix={adjustment?.unit === '1' ? '' : adjustment?.unit}
            status={wrong === null ? '' : 'error'}
            onChange={(event) => setFigure(event.target.value)}
            onPressEnter={(event) => {
              event.preventDefault();
              add();
            }}
          />
        </>
      ) : (
        <Choice
          label={f.from}
          value={from ?? taken[0]?.from ?? null}
          width={220}
          onChange={setFrom}
          options={taken.map((one) => ({ value: one.from, label: one.name }))}
        />
      )}
      <Button onClick={add}>{f.addChange}</Button>
      {wrong !== null && (
        <p className="wrong" role="alert">
          {wrong}
        </p>
      )}
      {adjustment?.lasting != null && <p className="note">{adjustment.lasting}</p>}
    </div>
  );
}

/** Places of what is no matter of single valves. */
function placesOf(adjustment: Adjustment | undefined, view: CaseView): string[] {
  return adjustment?.site === 'cylinder' ? [...new Set(view.stations.map((one) => one.cylinder))] : ['engine'];
}

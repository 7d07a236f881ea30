import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useNavigate } from 'react-router';
import type { CellReading } from '../draw/HeadPlan';
import { MarginRule } from '../draw/MarginRule';
import { Keycap } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { useChain, useRanking, useRemedies } from '../shared/queries';
import { inGrid, useRoving } from '../shared/useRoving';
import { Solving } from '../tried/Solving';
import { Editor } from './Editor';
import { changesOf, remedySlot, take, type Remedy, type Row } from './remedies';

type Effect = Row['effects'][number];

/** From so many remedies on they stand close, and the word of a row goes under its rule. */
const CLOSE = 3;

/** What the hand is on: the plan shows it at every valve. */
export interface Under {
  title: string;
  letter: string;
  readings: ReadonlyMap<string, CellReading>;
}

interface Props {
  /** The valve whose figures are shown; null for the worst of all. */
  place: string | null;
  onPlace: (place: string | null) => void;
  onUnder: (under: Under | null) => void;
  onPlan: () => void;
}

/** Remedies side by side: every margin before and after, in words what gets better and worse, and what only holds apart. */
export function Board({ place, onPlace, onUnder, onPlan }: Props) {
  const bench = useBench();
  const { view } = bench;
  const data = useRemedies(view.id, place).data;
  const [edits, edit] = useState<string | null>(null);
  const navigate = useNavigate();
  const remedies = data?.remedies ?? [];
  const beside = remedies.filter((one) => one.kind !== 'containment');
  const holds = remedies.filter((one) => one.kind === 'containment');
  const columns = beside.length === 0 ? holds : beside;
  const rows = (data?.rows ?? []).filter((row) => columns.some((one) => effectOf(row, one) !== undefined));
  const [at, setAt] = useState(0);
  const roving = useRoving<HTMLDivElement>(inGrid(rows.length, Math.max(1, columns.length)));
  const row = rows[Math.floor(at / Math.max(1, columns.length))];
  const column = columns[at % Math.max(1, columns.length)];
  useEffect(() => {
    onUnder(row === undefined || column === undefined ? null : underOf(row, column));
  }, [row, column, onUnder]);
  const open = (i: number): void => {
    const remedy = columns[i % columns.length];
    const effect = remedy && effectOf(rows[Math.floor(i / columns.length)], remedy);
    if (effect === undefined || remedy === undefined) return;
    const station = view.stations.find((one) => one.code === effect.place)?.code;
    if (station === undefined) return;
    const own = changesOf(bench, remedy.id)
      .filter((one) => one.places.includes(station))
      .map((one) => ({ ...one, places: [station] }));
    void navigate(`/case/${view.id}/clearances/station?at=${station}&try=${encodeURIComponent(JSON.stringify(own))}`);
  };
  const focused = (event: KeyboardEvent): number | null => {
    const index = (event.target as Element).closest('[data-roving]')?.getAttribute('data-roving');
    return index == null ? null : Number(index);
  };
  const onKeys = useKeys([
    {
      shown: 'Enter',
      does: words.keysDo.openStack,
      on: /^Enter$/,
      when: (event) => focused(event) !== null,
      run: (event) => open(focused(event) ?? 0),
    },
    {
      shown: 'T',
      does: words.keysDo.takeRemedy,
      on: /^t$/i,
      when: (event) => focused(event) !== null,
      run: (event) => {
        const remedy = columns[(focused(event) ?? 0) % columns.length];
        if (remedy !== undefined) take(bench, remedy, remedies);
      },
    },
  ]);
  if (data === undefined) return null;
  const chosen = view.stations.find((one) => one.code === place);
  return (
    <>
      {remedies.length === 0 ? (
        <div className="empty">
          <b>{words.remedy.empty}</b>
          {words.remedy.emptyWhat}
          <div>
            <Button type="primary" onClick={() => edit('')}>
              {words.remedy.add}
            </Button>
          </div>
          <FromChain />
        </div>
      ) : (
        <div
          className={columns.length < CLOSE ? 'board' : 'board is-close'}
          style={{ '--columns': columns.length } as never}
          ref={roving.ref}
          onKeyDown={(event) => {
            onKeys(event);
            roving.onKeyDown(event);
          }}
        >
          <div className="corner">
            <h2>{words.remedy.title}</h2>
            <p>{chosen === undefined ? words.remedy.note : words.remedy.noteAt(chosen.label)}</p>
            <Solving isSolved={data.isSolved} />
            {chosen !== undefined && (
              <Button size="small" onClick={() => onPlace(null)}>
                {words.remedy.worst}
              </Button>
            )}
          </div>
          {columns.map((one) => (
            <Head key={one.id} remedy={one} all={remedies} onEdit={() => edit(one.id)} />
          ))}
          {rows.map((shown, i) => (
            <RowOf
              key={shown.name}
              row={shown}
              columns={columns}
              isAtWorst={place === null}
              item={(j) => {
                const index = i * columns.length + j;
                const item = roving.item(index);
                return {
                  ...item,
                  onFocus: (event: React.FocusEvent) => {
                    item.onFocus(event);
                    setAt(index);
                  },
                };
              }}
              onOpen={(j) => open(i * columns.length + j)}
            />
          ))}
          <div className="side">
            <h3>{words.remedy.inWords}</h3>
            <p className="keys">
              <Keycap>T</Keycap> {words.keysDo.takeRemedy} <Keycap>Enter</Keycap> {words.keysDo.openStack}
            </p>
          </div>
          {columns.map((one) => (
            <InWords key={one.id} remedy={one} />
          ))}
        </div>
      )}
      {remedies.length > 0 && (
        <div className="containment">
          <div className="side">
            <h3>{words.remedy.containment}</h3>
            <p>{words.remedy.containmentWhat}</p>
          </div>
          <div className="holding">
            {data.removesNothing && <NotRemoved />}
            {beside.length > 0 && holds.map((one) => <Holding key={one.id} remedy={one} all={remedies} onEdit={() => edit(one.id)} />)}
            <FromChain />
          </div>
          <div className="acts">
            <Button onClick={() => edit('')}>{words.remedy.another}</Button>
            <Button type="primary" onClick={onPlan} disabled={!remedies.some((one) => one.isTaken)}>
              {words.remedy.plan}
            </Button>
          </div>
        </div>
      )}
      {edits !== null && (
        <Editor id={edits === '' ? null : edits} adjustments={data.adjustments} parts={data.parts} onClose={() => edit(null)} />
      )}
    </>
  );
}

const effectOf = (row: Row | undefined, remedy: Remedy): Effect | undefined => row?.effects.find((one) => one.remedy === remedy.id);

const isPast = (verdict: Effect['stations'][number]['verdict']): boolean => verdict === 'outside' || verdict === 'outside_close';

function underOf(row: Row, remedy: Remedy): Under {
  const effect = effectOf(row, remedy);
  return {
    title: row.title,
    letter: remedy.letter,
    readings: new Map(
      (effect?.stations ?? []).map((one) => [
        one.place,
        one.after === ''
          ? { unknown: true, spoken: words.remedy.notWorkedOut }
          : {
              figure: effect?.margin?.value?.unit === 'in' ? String(Math.round(Number(one.after) * 1000)) : one.after,
              outside: isPast(one.verdict),
              cannotTell: one.verdict === 'cannot_tell',
              spoken: one.after,
            },
      ]),
    ),
  };
}

interface OfRemedy {
  remedy: Remedy;
  all: readonly Remedy[];
  onEdit: () => void;
}

function Acts({ remedy, all, onEdit }: OfRemedy) {
  const bench = useBench();
  return (
    <span className="acts-row">
      <Button size="small" type={remedy.isTaken ? 'default' : 'primary'} onClick={() => take(bench, remedy, all)}>
        {remedy.isTaken ? words.remedy.untake(remedy.letter) : words.remedy.take(remedy.letter)}
      </Button>
      <Button size="small" onClick={onEdit}>
        {words.remedy.edit}
      </Button>
      <Button size="small" onClick={() => bench.withdraw(remedySlot(remedy.id), words.remedy.removed(remedy.name))}>
        {words.remedy.remove}
      </Button>
    </span>
  );
}

function Head({ remedy, all, onEdit }: OfRemedy) {
  const facts = [
    remedy.kind === 'cure' ? '' : remedy.kindWords,
    remedy.hours == null ? '' : words.remedy.hours(remedy.hours),
    remedy.waitDays == null ? '' : words.remedy.wait(remedy.waitDays),
  ].filter((one) => one !== '');
  return (
    <section className={remedy.isTaken ? 'remedy-head is-taken' : 'remedy-head'} aria-label={`${remedy.letter}, ${remedy.name}`}>
      <h3>
        <b className="letter">{remedy.letter}</b> {remedy.name}
        {remedy.isTaken && <i>{words.remedy.taken}</i>}
      </h3>
      {remedy.words !== '' && <p>{remedy.words}</p>}
      <ul>
        {remedy.changes.map((one) => (
          <li key={`${one.what} ${one.where}`}>
            {one.what}, {one.where}: <b className="figures">{one.to}</b>
          </li>
        ))}
      </ul>
      {remedy.unreadable !== null && <p className="wrong">{words.remedy.unreadable(remedy.unreadable)}</p>}
      {facts.length > 0 && <p className="facts">{facts.join(', ')}</p>}
      <Acts remedy={remedy} all={all} onEdit={onEdit} />
    </section>
  );
}

interface RowProps {
  row: Row;
  columns: readonly Remedy[];
  isAtWorst: boolean;
  item: (column: number) => object;
  onOpen: (column: number) => void;
}

function RowOf({ row, columns, isAtWorst, item, onOpen }: RowProps) {
  return (
    <>
      <div className="side row-name">
        <b>{row.title}</b>
        <span>{row.limit}</span>
      </div>
      {columns.map((remedy, j) => {
        const effect = effectOf(row, remedy);
        if (effect === undefined) return <div key={remedy.id} className="effect" />;
        const { margin, before, after } = effect;
        const out = margin !== null && isPast(margin.verdict);
        return (
          <button
            key={remedy.id}
            type="button"
            className={out ? 'effect is-out' : 'effect'}
            aria-label={words.remedy.row(
              row.title,
              remedy.letter,
              before ?? '–',
              after ?? '–',
              `${effect.label}${margin === null ? '' : `, ${margin.verdictWords}`}`,
            )}
            title={effect.missing === '' ? undefined : effect.missing}
            {...item(j)}
            onClick={() => onOpen(j)}
          >
            <span className="at">
              <b className="of">{remedy.letter}</b> {isAtWorst ? effect.label : ''}
            </span>
            <span className="was figures">{before ?? '–'}</span>
            <span className="arrow">→</span>
            <b className="figures">{after ?? '–'}</b>
            {margin === null ? <span /> : <MarginRule margin={margin} width={columns.length < CLOSE ? 150 : 110} bare from={effect.from} />}
            <span className={`moved ${effect.moved}`}>
              {effect.moved === 'worse' && (
                <svg width="11" height="10" aria-hidden="true">
                  <path d="M0 0H11L5.5 10Z" fill="currentColor" />
                </svg>
              )}
              {words.remedy.moved[effect.moved]}
            </span>
          </button>
        );
      })}
    </>
  );
}

const LISTS = ['better', 'worse', 'lasting', 'again'] as const;

function InWords({ remedy }: { remedy: Remedy }) {
  return (
    <div className="in-words">
      <b className="of">{remedy.letter}</b>
      {LISTS.map(
        (list) =>
          remedy[list].length > 0 && (
            <p key={list}>
              <b>{words.remedy[list]}</b> {remedy[list].join(list === 'lasting' ? ' ' : '; ')}
            </p>
          ),
      )}
      <SpeedLimit of={remedy} />
      <p className={remedy.outside.length > 0 ? 'wrong' : ''}>
        <b>{words.remedy.outside}</b> {remedy.outside.length === 0 ? words.remedy.nothingOutside : remedy.outside.join('; ')}
      </p>
    </div>
  );
}

function Holding({ remedy, all, onEdit }: OfRemedy) {
  return (
    <section className={remedy.isTaken ? 'hold is-taken' : 'hold'} aria-label={`${remedy.letter}, ${remedy.name}`}>
      <p>
        <b>
          {remedy.letter} {remedy.name}
        </b>{' '}
        {remedy.changes.map((one) => `${one.what} ${one.to}`).join(', ')} {words.remedy.until} {remedy.until.replace(/^until /i, '')}
        {remedy.isTaken && <i>{words.remedy.taken}</i>}
      </p>
      {remedy.tellTales !== '' && (
        <p>
          {words.remedy.tellTales} {remedy.tellTales}
        </p>
      )}
      {remedy.better.length > 0 && (
        <p>
          {words.remedy.better} {remedy.better.join('; ')}
        </p>
      )}
      {remedy.worse.length > 0 && (
        <p>
          {words.remedy.worse} {remedy.worse.join('; ')}
        </p>
      )}
      <SpeedLimit of={remedy} />
      <Acts remedy={remedy} all={all} onEdit={onEdit} />
    </section>
  );
}

/** While springs are weaker than they were found: to run in, or until others come. */
const SpeedLimit = ({ of }: { of: Remedy }) =>
  of.speedLimit === '' ? null : (
    <p>
      <b>{words.remedy.speedLimit}</b> {of.speedLimit}
    </p>
  );

/** Of what was called nothing is removed where everything that is taken only holds. */
function NotRemoved() {
  const { view } = useBench();
  const ranked = useRanking(view.id).data?.causes ?? [];
  const causes = (view.call?.causes ?? []).map((code) => ranked.find((one) => one.code === code)?.label ?? code);
  return (
    <p className="wrong" role="status">
      {words.remedy.removesNothing(causes.join(', '))}
    </p>
  );
}

/** What the chain of damage says would have kept it from spreading. */
function FromChain() {
  const { view } = useBench();
  const contained = useChain(view.id, '').data?.contained ?? [];
  return contained.length === 0 ? null : (
    <details className="from-chain">
      <summary>{words.remedy.fromChain}</summary>
      <ul>
        {contained.map((one) => (
          <li key={one.event}>
            <b>{one.label}</b> {one.words}
          </li>
        ))}
      </ul>
    </details>
  );
}

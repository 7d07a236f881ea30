import { Segmented } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import type { ColumnView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { HowWellKnown, type Standing } from './HowWellKnown';
import { ClaimedParts } from './ClaimedParts';

/** Of which spring a claim is: many specifications state the load of outer and inner together. */
const COILS = ['outer', 'inner', 'pair'] as const;
type ClaimedCoil = (typeof COILS)[number];

/** The build as claimed: the quantities of the sheets, for all intakes and all exhausts. */
export function Claimed() {
  const catalogue = useCatalogue();
  const { slots } = useBench();
  const [coil, setCoil] = useState<ClaimedCoil>(() => (slots.standing('claim').some((one) => one.index === 'pair') ? 'pair' : 'outer'));
  const columns = (catalogue.data?.columns ?? []).filter(
    (column) => column.claimable && column.sheet !== 'build' && (coil !== 'pair' || !column.byCoil || column.ofPair),
  );
  return (
    <>
      <p className="note">{words.story.claimedHint}</p>
      <p className="claimed-coil">
        {words.story.springsClaimed}{' '}
        <Segmented<ClaimedCoil>
          value={coil}
          onChange={setCoil}
          aria-label={words.story.springsClaimed}
          options={COILS.map((value) => ({ value, label: words.story.coils[value] }))}
        />
      </p>
      <table className="claimed">
        <thead>
          <tr>
            <th>{words.story.claimFor}</th>
            <th>all intakes</th>
            <th>all exhausts</th>
          </tr>
        </thead>
        <tbody>
          {columns.map((column) => (
            <tr key={column.code}>
              <th scope="row">{column.label}</th>
              <td>
                <ClaimCell key={coil} column={column} place="kind-I" coil={coil} />
              </td>
              <td>
                <ClaimCell key={coil} column={column} place="kind-E" coil={coil} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h3>{words.story.partsClaimed}</h3>
      <ClaimedParts />
    </>
  );
}

/** One claimed figure: saved when the field is left or Enter pressed; a refused one stays with its reason. */
export function ClaimCell({ column, place, coil = 'outer' }: { column: ColumnView; place: string; coil?: string }) {
  const { slots, record, withdraw } = useBench();
  const slot = { place, part: column.part, item: `claimed.${column.code}`, index: column.byCoil ? coil : null };
  const { entry, outgoing } = slots.get(slot);
  const refused = outgoing !== null && outgoing.state !== 'waiting' ? outgoing : null;
  const stands =
    entry === null || entry.standing === 'unknown'
      ? ''
      : column.atHeight
        ? `${entry.text ?? ''} at ${entry.atText ?? ''}`
        : (entry.text ?? '');
  const typedThere = refused?.entry.data.text ?? null;
  const [typed, setTyped] = useState<string | null>(null);
  const shown =
    typed ??
    (typedThere === null
      ? stands
      : column.atHeight && refused?.entry.data.atText
        ? `${typedThere} at ${refused.entry.data.atText}`
        : typedThere);
  const standing = (entry?.standing ?? refused?.entry.data.standing ?? 'said') as Standing;
  const name = place === 'engine' ? column.label : `${column.label}, ${place === 'kind-I' ? 'all intakes' : 'all exhausts'}`;

  const post = (text: string, how: Standing): void => {
    if (how === 'unknown') {
      record('claim', slot, { standing: 'unknown' }, `${name}, unknown`);
      return;
    }
    const [value = '', at] = column.atHeight ? text.split(/\s+at\s+|\s*@\s*/i) : [text];
    record('claim', slot, { text: value, standing: how, ...(at === undefined ? {} : { atText: at }) }, `claimed ${name}, ${text}`);
  };
  const commit = (): void => {
    if (typed === null) return;
    setTyped(null);
    if (typed.trim() === stands && refused === null) return;
    if (typed.trim() === '') withdraw(slot, name);
    else post(typed.trim(), standing === 'unknown' ? 'said' : standing);
  };
  return (
    <div className="claim">
      <input
        value={shown}
        aria-label={`claimed ${name}`}
        aria-invalid={refused !== null}
        data-committed={stands}
        className={refused === null ? 'cell-input figures' : 'cell-input figures refused'}
        placeholder={
          column.atHeight ? 'load at height' : column.units.every((unit) => unit === column.units[0]) ? (column.units[0] ?? '') : ''
        }
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') setTyped(null);
        }}
      />
      <HowWellKnown value={standing} name={name} onChange={(how) => (how === 'unknown' || stands !== '') && post(stands, how)} />
      {refused !== null && (
        <span className="wrong note" role="alert">
          {refused.problem?.reason ?? refused.problem?.detail}
        </span>
      )}
    </div>
  );
}

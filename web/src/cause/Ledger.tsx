import { useState } from 'react';
import { Link } from 'react-router';
import { Weight } from '../draw/Weight';
import type { LedgerView, RankingView } from '../shared/api';
import { words } from '../shared/messages';

type Line = LedgerView['for'][number];

const db = (decibans: number): string => `${decibans > 0 ? '+' : ''}${decibans.toFixed(1)} dB`;

/** One cause's evidence in two columns around a spine: for grows from the right, against from the left. */
export function Ledger({
  ledger,
  left,
  rival,
  againstRival,
  onAgainstRival,
  onPlace,
  caseId,
  changed,
}: {
  ledger: LedgerView;
  left: RankingView['leftOver'] | null;
  rival: string | null;
  againstRival: boolean;
  onAgainstRival: (yes: boolean) => void;
  onPlace: (station: string) => void;
  caseId: string;
  /** Signs of which something else is known than at the last look. */
  changed: readonly string[];
}) {
  const [isHeard, setHeard] = useState(false);
  return (
    <section className="ledger" aria-label={words.cause.forThis(ledger.label)}>
      <p className="quiet">
        {ledger.explain} {words.cause.weighedAt(ledger.region)}
      </p>
      {rival !== null && (
        <div className="against-what" role="group" aria-label={words.cause.against}>
          <button type="button" aria-pressed={!againstRival} onClick={() => onAgainstRival(false)}>
            {words.cause.againstNone}
          </button>
          <button type="button" aria-pressed={againstRival} onClick={() => onAgainstRival(true)}>
            {words.cause.againstRival(rival)}
          </button>
        </div>
      )}
      <div className="ledger-columns">
        <div>
          <header>
            <h3>{words.cause.forThis(ledger.label)}</h3>
            <span className="note">{words.cause.moreLikely}</span>
          </header>
          {ledger.for.map((line) => (
            <div key={line.sign + String(line.isSpread)} className="ledger-line">
              <LineWords line={line} onPlace={onPlace} caseId={caseId} isChanged={changed.includes(line.sign)} />
              <b className="figures">{line.factor}</b>
              <Weight decibans={line.decibans} />
            </div>
          ))}
        </div>
        <div>
          <header>
            <span className="note">{words.cause.lessLikely}</span>
            <h3>{words.cause.against}</h3>
          </header>
          {ledger.against.map((line) => (
            <div key={line.sign + String(line.isSpread)} className="ledger-line against">
              <Weight decibans={line.decibans} />
              <b className="figures">{line.factor}</b>
              <LineWords line={line} onPlace={onPlace} caseId={caseId} isChanged={changed.includes(line.sign)} />
            </div>
          ))}
          {left !== null && (
            <p className="left">
              <b>{words.cause.left}:</b> {left.length === 0 ? words.cause.leftNothing : `${left.map((one) => one.words).join('; ')}.`}
            </p>
          )}
        </div>
      </div>
      <p className="note">
        {words.cause.start} {db(ledger.start)}, evidence {db(ledger.evidence)};{' '}
        {words.cause.sum.charAt(0).toLowerCase() + words.cause.sum.slice(1)} <b className="figures">{db(ledger.total)}</b>, against{' '}
        {ledger.baseline}. {words.cause.decibans} {words.cause.pairs}{' '}
        <button type="button" className="more" aria-expanded={isHeard} onClick={() => setHeard(!isHeard)}>
          {words.cause.silent(ledger.silent)}
        </button>
      </p>
      {isHeard && <p className="note">{ledger.silentNames.join('; ')}.</p>}
    </section>
  );
}

interface LineProps {
  line: Line;
  onPlace: (station: string) => void;
  caseId: string;
  isChanged: boolean;
}

function LineWords({ line, onPlace, caseId, isChanged }: LineProps) {
  const place = line.places.find((one) => one.includes('-'));
  return (
    <span>
      {isChanged && <Changed />} {line.words}{' '}
      <Link
        to={`/case/${caseId}/${line.step}${place === undefined ? '' : `?at=${place}`}`}
        onFocus={() => place !== undefined && onPlace(place)}
      >
        {line.step}
      </Link>
      {line.isByShopsWord && (
        <>
          {' '}
          <Link to={`/library/links?of=sign-${line.sign}`}>{words.cause.shopsWord}</Link>
        </>
      )}
    </span>
  );
}

/** Marks what changed since the last look. */
export function Changed() {
  return (
    <svg width="14" height="13" viewBox="0 0 14 13" role="img" aria-label={words.cause.changed}>
      <path d="M7 1.5L13 12H1Z" fill="none" stroke="var(--enamel)" strokeWidth="1.8" />
    </svg>
  );
}

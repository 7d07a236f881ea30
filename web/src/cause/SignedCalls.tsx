import type { CaseView, RankingView, Schemas } from '../shared/api';
import { when } from '../shared/days';
import { words } from '../shared/messages';
import { useCalls } from '../shared/queries';

type Signed = Schemas['SignedCallView'];

interface Props {
  view: CaseView;
  last: Signed;
  /** Whether what is written is what was signed. */
  stands: boolean;
  ranking: RankingView | undefined;
  name: (code: string) => string;
}

/** What was signed, the last first, with what the board said then and what was recorded since. Nothing signed is ever taken away. */
export function SignedCalls({ view, last, stands, ranking, name }: Props) {
  const earlier = useCalls(view.id).data?.slice(1) ?? [];
  const since = view.revision - last.revision;
  return (
    <div className="signed">
      <b>{words.cause.signed(last.by, when(last.at).full)}</b>
      <One of={last} name={name} />
      {!stands && <p className="note">{words.cause.superseding}</p>}
      {since > 0 && <p className="note">{words.cause.recordedSince(since)}</p>}
      {since > 0 && ranking !== undefined && ranking.sentence !== last.rankingSentence && (
        <p className="note">
          {words.cause.saysNow}: {ranking.sentence}
        </p>
      )}
      {earlier.length > 0 && (
        <ol className="superseded" aria-label={words.cause.superseded}>
          {earlier.map((one) => (
            <li key={one.at}>
              <s>{words.cause.signed(one.by, when(one.at).full)}</s> {words.cause.supersededWord}
              <One of={one} name={name} />
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}

function One({ of: { call, departs, sure, rankingSentence }, name }: { of: Signed; name: (code: string) => string }) {
  return (
    <>
      <p>
        <b>{call.causes.map(name).join(', ')}</b>
        {call.firstEvent !== null && `, ${words.cause.firstEvent.toLowerCase()}: ${name(call.firstEvent)}`}
      </p>
      <p className="note">
        “{call.words}”, {call.confidence} %{sure !== '' && ` (${sure})`}. {words.cause.saidThen}: {rankingSentence}
        {departs && ` ${words.cause.bothStand}`}
      </p>
    </>
  );
}

import type { ChainView } from '../draw/chainLayout';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { when } from '../shared/days';
import { slotOfEdit } from './edits';

/** What people changed on the chain, by whom and why; each can be taken back. */
export function Changes({ chain }: { chain: ChainView }) {
  const bench = useBench();
  if (chain.edits.length === 0) return null;
  return (
    <>
      <h3>{words.chain.changes}</h3>
      <ul className="chain-changes">
        {chain.edits.map((one) => (
          <li key={`${one.edit} ${one.event} ${one.to ?? ''}`}>
            {one.label}, {one.by}, {when(one.at).full}
            {one.words !== '' && <span className="quiet">: {one.words}</span>}
            {one.isAdrift && <b className="wrong"> {words.chain.adrift}</b>}{' '}
            <button
              type="button"
              className="more"
              onClick={() => bench.withdraw(slotOfEdit(one), words.chain.tookBack(one.label))}
              aria-label={words.chain.takeBackOf(one.label)}
            >
              {words.chain.takeBack}
            </button>
          </li>
        ))}
      </ul>
      <p className="note">{words.chain.notRanking}</p>
    </>
  );
}

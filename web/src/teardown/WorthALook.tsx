import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { useAttention } from '../shared/queries';
import { useLater } from '../shared/useLater';

/** A hand that walks the stations asks where it rests. */
const REST = 250;

interface Props {
  place: string;
  onTake: (part: string, sign: string) => void;
}

/** What a careful analyst would still look at in this place, and for whose sake. */
export function WorthALook({ place, onTake }: Props) {
  const { view } = useBench();
  const attention = useAttention(view.id, place, useLater(place, REST) === place);
  const signs = attention.data ?? [];
  if (signs.length === 0) return null;
  const reasons = [...new Set(signs.map((one) => one.because))];
  return (
    <section className="worth" aria-label={words.teardown.worth}>
      <h3>{words.teardown.worth}</h3>
      <ul>
        {reasons.map((because) => (
          <li key={because}>
            <span className="note">{because}:</span>
            {signs
              .filter((one) => one.because === because)
              .map((one) => (
                <button key={one.sign} type="button" onClick={() => onTake(one.part, one.sign)}>
                  {one.name}
                </button>
              ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

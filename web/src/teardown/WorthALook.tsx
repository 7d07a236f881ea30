import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { useAttention } from '../shared/queries';

interface Props {
  place: string;
  onTake: (part: string, sign: string) => void;
}

/** What a careful analyst would still look at in this place, and for whose sake. */
export function WorthALook({ place, onTake }: Props) {
  const { view } = useBench();
  const attention = useAttention(view.id, view.revision, place);
  if ((attention.data ?? []).length === 0) return null;
  return (
    <section className="worth" aria-label={words.teardown.worth}>
      <h3>{words.teardown.worth}</h3>
      <ul>
        {attention.data?.map((one) => (
          <li key={one.sign}>
            <button type="button" onClick={() => onTake(one.part, one.sign)}>
              {one.name}
            </button>
            <span className="note">{one.because}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

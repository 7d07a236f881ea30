import { Link } from 'react-router';
import { words } from '../shared/messages';
import { usePart } from '../shared/queries';
import { useBench } from './useBench';

const TAG = /^[a-z0-9][a-z0-9-]{0,39}$/;

/** A tag as it is kept: small letters, strokes for gaps. */
export const asTag = (typed: string): string => typed.trim().toLowerCase().replace(/\s+/g, '-');

export const isTag = (tag: string): boolean => TAG.test(tag);

interface Props {
  tag: string | null;
  /** Where in its case a part is looked at: what follows the address of the case. */
  at: (place: string, isLoose: boolean) => string;
}

/** Other cases in which the part was met. */
export function MetElsewhere({ tag, at }: Props) {
  const { view } = useBench();
  const places = (usePart(tag).data ?? []).filter((one) => one.case !== view.id);
  if (tag === null || places.length === 0) return null;
  return (
    <p className="note pad">
      {words.bench.metElsewhere(tag)}{' '}
      {places.map((one, i) => (
        <span key={`${one.case} ${one.place}`}>
          {i > 0 && ', '}
          <Link to={`/case/${one.case}/${at(one.place, one.isLoose)}`}>
            {one.isLoose ? words.bench.offEngineIn(one.name) : words.bench.standsIn(one.label, one.name)}
          </Link>
        </span>
      ))}
      .
    </p>
  );
}

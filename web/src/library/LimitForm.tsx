import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useLimits, type Limit } from '../shared/queries';
import { FigureInput, Labelled, shown, Sourced } from './fields';
import type { FormProps } from './Item';
import type { Content } from './useShelf';

type Figure = Limit['figures'][number];
type End = 'least' | 'most';

/** A limit, school by school. What it judges stays as it is; whose figure it is and where it comes from is said with it. */
export function LimitForm({ code, content, onChange }: FormProps) {
  const limit = useLimits().data?.find((one) => one.code === code);
  if (limit === undefined) return null;
  const full = { ...asContent(limit), ...content };
  const field = (one: Figure, end: End) =>
    one[end] !== null && (
      <FigureInput
        value={standsOf(full, limit, one, end)}
        label={`${one.label} ${words.library.ofKind(one.kind)} ${words.library.end[end]}`}
        prefix={words.library.end[end]}
        unit={limit.unit}
        onChange={(value) => onChange(withFigure(full, limit, one, end, value))}
      />
    );
  return (
    <>
      {limit.figures.map((one) => (
        <Labelled
          key={`${one.kind} ${one.school}`}
          label={[one.label, words.library.ofKind(one.kind)].filter(Boolean).join(', ')}
          hint={words.library.shipped([one.shippedLeast, one.shippedMost].filter((end) => end !== null).join(words.library.to), limit.unit)}
        >
          <span className="ends">
            {field(one, 'least')}
            {field(one, 'most')}
          </span>
        </Labelled>
      ))}
      <Labelled label={words.library.ruling}>
        <Choice
          value={shown(full, 'default')}
          label={words.library.ruling}
          width="100%"
          onChange={(school) => onChange({ ...full, default: school })}
          options={[...new Map(limit.figures.map((one) => [one.school, one.label]))].map(([value, label]) => ({ value, label }))}
        />
      </Labelled>
      <Sourced content={full} onChange={onChange} />
    </>
  );
}

/** The limit as the library keeps it. */
function asContent(limit: Limit): Content {
  const table = (kind: string): Content =>
    Object.fromEntries(
      limit.figures
        .filter((one) => one.kind === kind)
        .map((one) => [one.school, limit.side === 'between' ? { least: one.least, most: one.most } : (one.least ?? one.most)]),
    );
  const kinds = [...new Set(limit.figures.map((one) => one.kind))].filter((kind) => kind !== '');
  return {
    schools: table(''),
    ...(kinds.length === 0 ? {} : { by_kind: Object.fromEntries(kinds.map((kind) => [kind, table(kind)])) }),
    default: limit.ruling,
    mark: limit.mark,
    source: limit.source,
  };
}

const tableOf = (content: Content, kind: string): Content =>
  (kind === '' ? content['schools'] : (content['by_kind'] as Record<string, unknown> | undefined)?.[kind]) as Content;

function standsOf(content: Content, limit: Limit, one: Figure, end: End): unknown {
  const stands = tableOf(content, one.kind)[one.school];
  return limit.side === 'between' ? (stands as Record<End, unknown>)[end] : stands;
}

function withFigure(content: Content, limit: Limit, one: Figure, end: End, value: unknown): Content {
  const table = tableOf(content, one.kind);
  const other = limit.side === 'between' ? { ...(table[one.school] as Content), [end]: value } : value;
  const changed = { ...table, [one.school]: other };
  return one.kind === ''
    ? { ...content, schools: changed }
    : { ...content, by_kind: { ...(content['by_kind'] as Content), [one.kind]: changed } };
}

import { Input } from 'antd';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { NoteField } from './fields';
import type { FormProps } from './Item';

interface Figure {
  item: string;
  index?: string;
  text: string;
  at?: string;
}

const COILS = ['outer', 'inner'] as const;

/** The figures of a spring as its maker states them: for the outer and for the inner, each as one would say it. */
export function SpringForm({ content, onChange }: FormProps) {
  const columns = (useCatalogue().data?.columns ?? []).filter((one) => one.part === 'spring' && one.claimable && one.byCoil);
  const figures = (content['figures'] ?? []) as readonly Figure[];
  const of = (item: string, index: string): Figure | undefined => figures.find((one) => one.item === item && one.index === index);
  const set = (item: string, index: string, change: Partial<Figure>): void => {
    const { text = '', at = '' } = { ...of(item, index), ...change };
    const others = figures.filter((one) => one.item !== item || one.index !== index);
    const figure = { item, index, text, ...(at === '' ? {} : { at }) };
    onChange({ ...content, figures: text === '' && at === '' ? others : [...others, figure] });
  };
  return (
    <>
      <table className="spring-figures">
        <thead>
          <tr>
            <th />
            {COILS.map((coil) => (
              <th key={coil} scope="col">
                {words.library.coil[coil]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {columns.map((column) => (
            <tr key={column.code}>
              <th scope="row">{column.label}</th>
              {COILS.map((coil) => (
                <td key={coil}>
                  <Input
                    value={of(column.code, coil)?.text ?? ''}
                    aria-label={`${column.label}, ${words.library.coil[coil]}`}
                    onChange={(event) => set(column.code, coil, { text: event.target.value })}
                  />
                  {column.atHeight && (
                    <Input
                      prefix={<span className="note">{words.bench.at}</span>}
                      value={of(column.code, coil)?.at ?? ''}
                      aria-label={`${column.label}, ${words.library.coil[coil]}, ${words.library.height}`}
                      onChange={(event) => set(column.code, coil, { at: event.target.value })}
                    />
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <NoteField content={content} onChange={onChange} />
    </>
  );
}

import { useState } from 'react';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useStock } from '../shared/queries';
import { Field, figure, FigureInput, Labelled, shown, Sourced, withMember } from './fields';
import type { FormProps } from './Item';
import type { Content } from './useShelf';

/** What the shop keeps of something that is laid together, thickness by thickness. */
export function StockForm({ code, content, onChange }: FormProps) {
  const stock = useStock().data?.find((one) => one.code === code);
  const [typed, type] = useState<string | null>(null);
  if (stock === undefined) return null;
  const full: Content = {
    thicknesses: stock.thicknesses,
    unit: stock.unit,
    tolerance: stock.tolerance,
    most: stock.most,
    mark: stock.mark,
    source: stock.source,
    ...content,
  };
  const set = (key: string, value: unknown): void => onChange(withMember(full, key, value));
  const listed = (full['thicknesses'] as readonly unknown[]).join('  ');
  return (
    <>
      <Field
        label={words.library.stock.thicknesses}
        hint={words.library.shipped(stock.shipped.join(', '), stock.isShops ? '' : stock.unit)}
        unit={shown(full, 'unit')}
        value={typed ?? listed}
        onChange={(text) => {
          type(text);
          set('thicknesses', figuresOf(text));
        }}
      />
      <Labelled label={words.library.stock.unit}>
        <Choice
          value={shown(full, 'unit')}
          label={words.library.stock.unit}
          width="100%"
          onChange={(unit) => set('unit', unit)}
          options={['in', 'mm'].map((value) => ({ value, label: value }))}
        />
      </Labelled>
      <Labelled label={words.library.stock.tolerance}>
        <FigureInput
          label={words.library.stock.tolerance}
          value={full['tolerance']}
          unit={shown(full, 'unit')}
          onChange={(value) => set('tolerance', value)}
        />
      </Labelled>
      <Labelled label={words.library.stock.most}>
        <FigureInput label={words.library.stock.most} value={full['most']} onChange={(value) => set('most', value)} />
      </Labelled>
      <Sourced content={full} onChange={onChange} />
    </>
  );
}

/** Each figure that was typed, and what is none as it is, for the server to refuse by its place. */
const figuresOf = (text: string): unknown[] =>
  text
    .split(/[\s;]+/)
    .filter((one) => one !== '')
    .map(figure);

import { Checkbox } from 'antd';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { Field, figure, Labelled, shown, withMember } from './fields';
import type { FormProps } from './Item';

const FIGURES = ['resolution', 'repeat', 'repeat_relative', 'gain', 'gain_floor', 'zero', 'offset'] as const;

/** A gauge: of a kind, with what its calibration says of it. What is left empty is as of its kind. */
export function GaugeForm({ content, onChange }: FormProps) {
  const kinds = (useCatalogue().data?.gauges ?? []).filter((one) => one.kind === null);
  const kind = kinds.find((one) => one.code === content['kind']);
  const set = (key: string, value: unknown): void => onChange(withMember(content, key, value));
  return (
    <>
      <Labelled label={words.library.kind} hint={kind?.stated ?? ''}>
        <Choice
          value={kind?.code ?? null}
          label={words.library.kind}
          width="100%"
          onChange={(code) => set('kind', code)}
          options={kinds.map((one) => ({ value: one.code, label: one.label }))}
        />
      </Labelled>
      <Field label={words.library.serial} value={shown(content, 'serial')} onChange={(text) => set('serial', text)} />
      {FIGURES.map((key) => (
        <Field
          key={key}
          label={words.library.worth[key]}
          hint={words.library.worthHint[key] ?? ''}
          unit={key === 'gain' || key === 'repeat_relative' ? '%' : (kind?.unit ?? '')}
          value={key === 'gain' || key === 'repeat_relative' ? inPercent(shown(content, key)) : shown(content, key)}
          onChange={(text) => set(key, key === 'gain' || key === 'repeat_relative' ? ofPercent(text) : figure(text))}
        />
      ))}
      <Field
        label={words.library.calibrated}
        hint={words.library.asDay}
        value={shown(content, 'calibrated_on')}
        onChange={(day) => set('calibrated_on', day)}
      />
      <Field label={words.library.every} value={shown(content, 'every_months')} onChange={(text) => set('every_months', figure(text))} />
      <Labelled label={words.library.cable} hint={words.library.cableHint}>
        <Checkbox checked={content['cable'] === true} onChange={(event) => set('cable', event.target.checked || null)}>
          {words.library.onCable}
        </Checkbox>
      </Labelled>
    </>
  );
}

/** A share is typed in per cent; what is no number is left for the server to refuse. */
function ofPercent(text: string): unknown {
  const typed = figure(text);
  return typeof typed === 'number' ? Number((typed / 100).toPrecision(12)) : typed;
}

function inPercent(share: string): string {
  return share === '' || Number.isNaN(Number(share)) ? share : String(Number((Number(share) * 100).toPrecision(12)));
}

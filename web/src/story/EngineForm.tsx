import { useQuery, useQueryClient } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { useState } from 'react';
import { HeadPlan } from '../draw/HeadPlan';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type EngineInput } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { caseKey } from '../shared/queries';
import { SaveToLibrary } from './EngineLibrary';

const NONE: ReadonlySet<string> = new Set();

const numbers = (text: string): number[] =>
  text
    .split(/[\s,;-]+/)
    .filter((word) => word !== '')
    .map(Number);

/** What a person describes of the engine, without what is derived from it. */
function described(engine: EngineInput & { summary?: string }): EngineInput {
  const copy = { ...engine };
  delete copy.summary;
  return copy;
}

/** The engine in full; a change that would leave entries without their place is refused with the list. */
export function EngineForm() {
  const { view } = useBench();
  const queries = useQueryClient();
  const [engine, setEngine] = useState<EngineInput>(view.engine);
  const [firing, setFiring] = useState(view.engine.firingOrder.join('-'));
  const [angles, setAngles] = useState(view.engine.firingAngles.join(' '));
  const [numbering, setNumbering] = useState<Record<string, string>>(
    Object.fromEntries(Object.entries(view.engine.numbering).map(([bank, list]) => [bank, list.join(' ')])),
  );
  const [state, setState] = useState<{ words: string; wrong: boolean } | null>(null);
  const change = (part: Partial<EngineInput>): void => setEngine((old) => ({ ...old, ...part }));

  const sameShape = engine.layout === view.engine.layout && engine.cylinders === view.engine.cylinders;
  const entered: EngineInput = {
    ...described(engine),
    firingOrder: numbers(firing),
    firingAngles: numbers(angles),
    ...(sameShape
      ? { numbering: Object.fromEntries(Object.entries(numbering).map(([bank, text]) => [bank, numbers(text)])) }
      : { numbering: undefined as never, valveOrder: null }),
  };
  const plan = useQuery({
    queryKey: ['plan', entered],
    queryFn: () => answer(api.POST('/api/engine/plan', { body: entered })),
    placeholderData: (previous) => previous,
    retry: false,
  });

  const save = async (): Promise<void> => {
    try {
      const fresh = await answer(
        api.PUT('/api/cases/{id}/engine', {
          params: { path: { id: view.id }, header: { 'If-Match': `"${view.engineVersion}"` }, query: { by: author() } },
          body: entered,
        }),
      );
      queries.setQueryData(caseKey(view.id), fresh);
      setNumbering(Object.fromEntries(Object.entries(fresh.engine.numbering).map(([bank, list]) => [bank, list.join(' ')])));
      setState({ words: words.story.saved, wrong: false });
    } catch (error) {
      setState({ words: failureWords(error), wrong: true });
    }
  };
  const choice = <T extends string>(
    label: string,
    value: T | undefined,
    options: readonly (readonly [T, string])[],
    set: (value: T) => void,
  ) => (
    <label>
      <span>{label}</span>
      <Select
        value={value ?? null}
        aria-label={label}
        onChange={(picked: T | null) => picked !== null && set(picked)}
        options={options.map(([code, text]) => ({ value: code, label: text }))}
      />
    </label>
  );
  const number = (label: string, value: number | null | undefined, set: (value: number | null) => void) => (
    <label>
      <span>{label}</span>
      <InputNumber value={value ?? null} aria-label={label} onChange={set} style={{ width: '100%' }} />
    </label>
  );

  return (
    <form
      className="questions engine-form"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {choice(
        words.newCase.drive,
        engine.drive,
        [
          ['pushrod', words.newCase.drives.pushrod],
          ['bucket', words.newCase.drives.bucket],
          ['finger', words.newCase.drives.finger],
        ],
        (drive) => change({ drive }),
      )}
      {choice(
        words.newCase.layout,
        engine.layout,
        [
          ['inline', words.newCase.layouts.inline],
          ['vee', words.newCase.layouts.vee],
          ['flat', words.newCase.layouts.flat],
        ],
        (layout) => change({ layout }),
      )}
      {choice(
        'Follower face',
        engine.face,
        [
          ['flat', 'flat'],
          ['crowned', 'crowned or radius'],
          ['roller', 'roller'],
        ],
        (face) => change({ face }),
      )}
      {choice(
        'Lash held by',
        engine.lash,
        [
          ['solid', 'screw, shim or cap (solid)'],
          ['hydraulic', 'hydraulic element'],
        ],
        (lash) => change({ lash }),
      )}
      {number(words.newCase.cylinders, engine.cylinders, (cylinders) => change({ cylinders: cylinders ?? 0 }))}
      {number('Intake valves per cylinder', engine.intakeValves, (value) => change({ intakeValves: value ?? 0 }))}
      {number('Exhaust valves per cylinder', engine.exhaustValves, (value) => change({ exhaustValves: value ?? 0 }))}
      {number('Rocker ratio', engine.rockerRatio, (rockerRatio) => change({ rockerRatio }))}
      {number('Intended speed, 1/min', engine.intendedSpeed, (intendedSpeed) => change({ intendedSpeed }))}
      {number('Speed reached, 1/min', engine.reachedSpeed, (reachedSpeed) => change({ reachedSpeed }))}
      <label>
        <span>Firing order</span>
        <Input value={firing} placeholder="1-3-4-2" onChange={(event) => setFiring(event.target.value)} />
      </label>
      <label>
        <span>Fires at, crank degrees in that order</span>
        <Input value={angles} placeholder="0 180 360 540, where known" onChange={(event) => setAngles(event.target.value)} />
      </label>
      {Object.entries(numbering).map(([bank, text]) => (
        <label key={bank}>
          <span>Cylinder numbers of bank {bank}, front first</span>
          <Input value={text} onChange={(event) => setNumbering((old) => ({ ...old, [bank]: event.target.value }))} />
        </label>
      ))}
      {engine.valveOrder != null &&
        Object.entries(engine.valveOrder).map(([bank, order]) => (
          <label key={bank}>
            <span>Valves of bank {bank}, front first</span>
            <Input value={order} onChange={(event) => change({ valveOrder: { ...engine.valveOrder, [bank]: event.target.value } })} />
          </label>
        ))}
      <div className="wide acts-row">
        <Button type="primary" htmlType="submit">
          {words.story.saveEngine}
        </Button>
        {state !== null && (
          <span className={state.wrong ? 'wrong' : 'quiet'} role={state.wrong ? 'alert' : 'status'}>
            {state.words}
          </span>
        )}
      </div>
      <div className="engine-plan">
        {plan.data && (
          <HeadPlan
            plan={plan.data.plan}
            reading={(cell) => ({ figure: cell.name, spoken: cell.label })}
            failed={NONE}
            label={`As entered: ${plan.data.engine.summary}`}
          />
        )}
      </div>
      {plan.error instanceof Refused && <p className="wide wrong">{plan.error.message}</p>}
      <SaveToLibrary engine={entered} suggestion={view.name} />
    </form>
  );
}

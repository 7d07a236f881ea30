import { useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useDeferredValue, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Wordmark } from '../draw/Wordmark';
import { PersonButton } from '../frame/Person';
import { Title } from '../frame/Title';
import { answer, api, type Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { Radios } from '../shared/Radios';
import { say } from '../shared/saying';
import { TraceTable } from '../sheet/TraceDialog';
import '../sheet/sheet.css';
import './quick.css';

type Calculation = Schemas['CalculationView'];
type Units = 'inch' | 'metric';

/** Every calculation of the bench without a case: what is typed stands in the address, so that it can be sent to somebody. */
export default function Quick() {
  const [params, setParams] = useSearchParams();
  const [sought, seek] = useState('');
  const list = useQuery({ queryKey: ['calculations'], queryFn: () => answer(api.GET('/api/calculations')), staleTime: Infinity });
  const open = list.data?.find((one) => one.name === params.get('of')) ?? list.data?.[0];
  const units: Units = params.get('units') === 'metric' ? 'metric' : 'inch';
  const found = (list.data ?? []).filter((one) => `${one.title} ${one.home ?? ''}`.toLowerCase().includes(sought.trim().toLowerCase()));
  return (
    <div className="place in-quick">
      <Title of={words.quick.title} />
      <header className="head-row">
        <Link to="/" aria-label={words.queue.title} className="home">
          <Wordmark />
        </Link>
        <span className="spring" />
        <PersonButton />
      </header>
      <main className="quick">
        <nav aria-label={words.quick.title}>
          <h1>{words.quick.title}</h1>
          <Input
            value={sought}
            placeholder={words.quick.find}
            aria-label={words.quick.find}
            onChange={(event) => seek(event.target.value)}
          />
          <div className="homes">
            {groupsOf(found).map(([home, calculations]) => (
              <section key={home} aria-label={home}>
                <h2>{home}</h2>
                <ul>
                  {calculations.map((one) => (
                    <li key={one.name}>
                      <Link to={`?of=${one.name}&units=${units}`} aria-current={one.name === open?.name}>
                        {one.title}
                      </Link>
                    </li>
                  ))}
                </ul>
              </section>
            ))}
          </div>
          {list.data !== undefined && found.length === 0 && <p className="note">{words.quick.nothing}</p>}
          {list.error !== null && (
            <p className="wrong" role="alert">
              {failureWords(list.error)}
            </p>
          )}
        </nav>
        {open && (
          <Worked
            key={open.name}
            calculation={open}
            units={units}
            typed={Object.fromEntries(open.inputs.map((input) => [input.name, params.get(`in.${input.name}`) ?? '']))}
            onUnits={(chosen) => setParams((old) => withMember(old, 'units', chosen), { replace: true })}
            onType={(input, text) =>
              setParams((old) => withMember(withMember(old, 'of', open.name), `in.${input}`, text), { replace: true })
            }
          />
        )}
      </main>
    </div>
  );
}

/** Calculations by the sheet that they are at home on, in the order of the work; those that stand alone last. */
function groupsOf(calculations: readonly Calculation[]): [string, Calculation[]][] {
  const groups = new Map<string, Calculation[]>();
  for (const one of calculations) {
    const home = one.home ?? words.quick.alone;
    groups.set(home, [...(groups.get(home) ?? []), one]);
  }
  return [...groups].sort(([a], [b]) => Number(a === words.quick.alone) - Number(b === words.quick.alone));
}

/** The same address with another member; an empty one is left out. */
function withMember(old: URLSearchParams, name: string, value: string): URLSearchParams {
  const next = new URLSearchParams(old);
  if (value === '') next.delete(name);
  else next.set(name, value);
  return next;
}

interface WorkedProps {
  calculation: Calculation;
  units: Units;
  typed: Record<string, string>;
  onUnits: (units: Units) => void;
  onType: (input: string, text: string) => void;
}

function Worked({ calculation, units, typed, onUnits, onType }: WorkedProps) {
  const asked = useDeferredValue(JSON.stringify(typed));
  const isComplete = calculation.inputs.every((input) => typed[input.name]?.trim() !== '');
  const worked = useQuery({
    queryKey: ['quick', calculation.name, units, asked],
    enabled: isComplete,
    retry: false,
    placeholderData: (previous) => previous,
    queryFn: () =>
      answer(
        api.POST('/api/calculations/{name}/typed', {
          params: { path: { name: calculation.name }, query: { units } },
          body: JSON.parse(asked) as Record<string, string>,
        }),
      ),
  });
  const trace = isComplete && worked.error === null ? worked.data : undefined;
  const copy = async (): Promise<void> => {
    if (trace === undefined) return;
    await navigator.clipboard.writeText(asText(trace));
    say(words.quick.copied);
  };
  return (
    <section className="sheet worked" aria-label={calculation.title}>
      <h2>{calculation.title}</h2>
      <p>{calculation.formula}</p>
      <Radios<Units>
        label={words.story.units}
        value={units}
        onChange={onUnits}
        options={(['inch', 'metric'] as const).map((value) => ({ value, label: words.quick.units[value] }))}
      />
      {calculation.inputs.map((input) => (
        <label key={input.name}>
          <span>{input.meaning}</span>
          {input.isList ? (
            <Input.TextArea
              value={typed[input.name] ?? ''}
              autoSize={{ minRows: 3 }}
              placeholder={words.quick.oneALine}
              onChange={(event) => onType(input.name, event.target.value)}
            />
          ) : (
            <Input value={typed[input.name] ?? ''} autoComplete="off" onChange={(event) => onType(input.name, event.target.value)} />
          )}
        </label>
      ))}
      <p className="note">{words.quick.hint}</p>
      {isComplete && worked.error !== null && (
        <p className="wrong" role="alert">
          {named(failureWords(worked.error), calculation)}
        </p>
      )}
      {trace && (
        <>
          <p className="result" role="status">
            <b className="figures">{trace.result.shown}</b>
            <Button onClick={() => void copy()}>{words.quick.copy}</Button>
          </p>
          <TraceTable trace={trace} />
        </>
      )}
    </section>
  );
}

/** A refusal with the input called by what it means. */
const named = (refusal: string, calculation: Calculation): string =>
  refusal.replace(/^\/(\w+)/, (_, name: string) => calculation.inputs.find((input) => input.name === name)?.meaning ?? name);

/** A result as a message says it: what it is, what went in, what came out. */
export function asText(trace: Schemas['TraceView']): string {
  return [
    trace.title,
    trace.formula,
    ...trace.inputs.map((input) => `${input.meaning}: ${input.value.shown}`),
    `= ${trace.result.shown}`,
    trace.source,
  ].join('\n');
}

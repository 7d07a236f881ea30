import { useQuery } from '@tanstack/react-query';
import { Button, Input, InputNumber, Segmented, Select } from 'antd';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { HeadPlan } from '../draw/HeadPlan';
import { PersonButton } from '../frame/Person';
import { Title } from '../frame/Title';
import { Wordmark } from '../draw/Wordmark';
import { answer, api, Refused, type EngineInput } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { author } from '../shared/person';
import { useEngines } from '../shared/queries';
import { uuidv7 } from '../shared/uuid';
import './queue.css';

type Drive = EngineInput['drive'];

/** How many cylinders such engines mostly have: offered until somebody says otherwise. */
const USUAL = { inline: 4, vee: 8, flat: 4 } as const;
const isUsual = (engine: EngineInput): boolean => engine.cylinders === USUAL[engine.layout];

const NONE: ReadonlySet<string> = new Set();

/** What opens the valve, drawn: lobe below or above, and what stands between it and the stem. */
function DriveDrawing({ drive }: { drive: Drive }) {
  return (
    <svg width="120" height="74" viewBox="0 0 120 74" fill="none" stroke="currentColor" strokeWidth="1.6" aria-hidden="true">
      {drive === 'pushrod' && (
        <path d="M30 70a8 8 0 1 1 .1 0M30 54V50h-6v-8h12v8h-6M30 42V16M26 16h8M28 14L60 8l26 8M60 8v6M86 16v44M78 60h16M80 22h12M80 26h12M80 30h12" />
      )}
      {drive === 'bucket' && (
        <path d="M60 22a9 9 0 1 1 .1 0M60 22c6 0 9-6 9-9M44 24h32v14H44zM60 38v24M50 62h20M53 42h14M53 46h14M53 50h14" />
      )}
      {drive === 'finger' && (
        <path d="M52 16a8 8 0 1 1 .1 0M24 34a4 4 0 1 1 .1 0M26 28q26-12 56 0M78 28v34M68 62h20M71 36h14M71 40h14M71 44h14" />
      )}
    </svg>
  );
}

export default function NewCase() {
  const navigate = useNavigate();
  const [id] = useState(uuidv7);
  const [name, setName] = useState('');
  const [engine, setEngine] = useState<EngineInput>({ drive: 'pushrod', layout: 'vee', cylinders: 8, intakeValves: 1, exhaustValves: 1 });
  const [problem, setProblem] = useState<string | null>(null);
  const plan = useQuery({
    queryKey: ['plan', engine],
    queryFn: () => answer(api.POST('/api/engine/plan', { body: engine })),
    placeholderData: (previous) => previous,
    retry: false,
  });
  const engines = useEngines();
  const asked = useSearchParams()[0].get('engine');
  const from = (code: string | null): void => {
    const found = engines.data?.find((one) => one.id === code);
    if (found === undefined) return;
    const copy: EngineInput & { summary?: string } = { ...found.engine };
    delete copy.summary;
    setEngine(copy);
  };
  const latest = useRef(from);
  useLayoutEffect(() => {
    latest.current = from;
  });
  useEffect(() => latest.current(asked), [asked, engines.data]);
  /** What a saved engine says of its cylinders goes when these are chosen anew. */
  const change = (part: Partial<EngineInput>): void =>
    setEngine((old) => {
      const next = { ...old, ...part };
      delete next.numbering;
      delete next.valveOrder;
      delete next.firingOrder;
      return next;
    });
  const create = async (): Promise<void> => {
    try {
      const view = await answer(api.POST('/api/cases', { body: { id, name, engine, by: author() } }));
      void navigate(`/case/${view.id}/story`);
    } catch (error) {
      setProblem(failureWords(error));
    }
  };

  return (
    <div className="place in-queue">
      <Title of={words.newCase.title} />
      <header className="head-row">
        <Link to="/" aria-label={words.newCase.back} style={{ display: 'flex' }}>
          <Wordmark />
        </Link>
        <span className="spring" />
        <PersonButton />
      </header>
      <main className="room wide-plan">
        <aside className="plan-side" aria-label={words.headPlan}>
          {plan.data && (
            <HeadPlan
              plan={plan.data.plan}
              reading={(cell) => ({ figure: cell.letter === null ? cell.name : '', spoken: cell.label })}
              failed={NONE}
              label={plan.data.engine.summary}
            />
          )}
          <div className="plan-foot">{plan.data?.engine.summary}</div>
        </aside>
        <form
          className="sheet pad new-case"
          onSubmit={(event) => {
            event.preventDefault();
            void create();
          }}
        >
          <h1>{words.newCase.title}</h1>
          <p className="quiet">{words.newCase.what}</p>
          <label>
            <span>{words.newCase.name}</span>
            <Input
              autoFocus
              value={name}
              maxLength={200}
              placeholder={words.newCase.namePlaceholder}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          {engines.data && engines.data.length > 0 && (
            <label>
              <span>{words.story.library}</span>
              <Select
                value={null}
                placeholder={words.newCase.fromLibrary}
                aria-label={words.story.library}
                style={{ width: 420 }}
                onChange={from}
                options={engines.data.map((one) => ({ value: one.id, label: `${one.name}: ${one.engine.summary}` }))}
              />
            </label>
          )}
          <fieldset>
            <legend>{words.newCase.drive}</legend>
            <div className="drives">
              {(['pushrod', 'bucket', 'finger'] as const).map((drive) => (
                <button
                  key={drive}
                  type="button"
                  aria-pressed={engine.drive === drive}
                  onClick={() =>
                    change({
                      drive,
                      ...(drive === 'pushrod' ? { intakeValves: 1, exhaustValves: 1 } : { intakeValves: 2, exhaustValves: 2 }),
                    })
                  }
                >
                  <DriveDrawing drive={drive} />
                  {words.newCase.drives[drive]}
                </button>
              ))}
            </div>
          </fieldset>
          <div className="row">
            <fieldset>
              <legend>{words.newCase.layout}</legend>
              <Segmented
                value={engine.layout}
                onChange={(layout) => change({ layout, ...(isUsual(engine) ? { cylinders: USUAL[layout] } : {}) })}
                options={(['inline', 'vee', 'flat'] as const).map((value) => ({ value, label: words.newCase.layouts[value] }))}
              />
            </fieldset>
            <label>
              <span>{words.newCase.cylinders}</span>
              <InputNumber value={engine.cylinders} precision={0} onChange={(cylinders) => change({ cylinders: cylinders ?? 0 })} />
            </label>
            <label>
              <span>
                {words.newCase.valves}, {words.newCase.intake}
              </span>
              <InputNumber
                value={engine.intakeValves ?? 1}
                precision={0}
                min={1}
                max={3}
                onChange={(intakeValves) => change({ intakeValves: intakeValves ?? 1 })}
              />
            </label>
            <label>
              <span>
                {words.newCase.valves}, {words.newCase.exhaust}
              </span>
              <InputNumber
                value={engine.exhaustValves ?? 1}
                precision={0}
                min={1}
                max={2}
                onChange={(exhaustValves) => change({ exhaustValves: exhaustValves ?? 1 })}
              />
            </label>
          </div>
          {(problem ?? (plan.error instanceof Refused ? plan.error.message : null)) !== null && (
            <p className="wrong" role="alert">
              {problem ?? plan.error?.message}
            </p>
          )}
          <div className="row">
            <Button type="primary" htmlType="submit" size="large" disabled={name.trim() === ''}>
              {words.newCase.create}
            </Button>
            <Link to="/">{words.newCase.back}</Link>
          </div>
        </form>
      </main>
    </div>
  );
}

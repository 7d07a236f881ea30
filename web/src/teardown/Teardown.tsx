import { Button, Input, Select } from 'antd';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { nearest } from '../draw/HeadPlan';
import { Keycap, Tag } from '../draw/Tag';
import { TemperChip } from '../draw/Temper';
import { Asked } from '../entry/Asked';
import { contentOf, placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { PlanSide } from '../frame/PlanSide';
import { useChosen } from '../frame/Chosen';
import { useSection } from '../frame/useSection';
import { temper } from '../look/theme';
import type { SignView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue, useTeardown } from '../shared/queries';
import { PhotoDesk } from '../photograph/PhotoDesk';
import { StepCard } from './NextStep';
import { PhotoStrip } from './PhotoStrip';
import { Pieces } from './Pieces';
import { Plan } from './Plan';
import { WorthALook } from './WorthALook';
import { findSigns } from './findSigns';
import './teardown.css';

type Site = 'station' | 'cylinder' | 'engine';
type Slot = 'part' | 'sign' | 'severity';
const MODES = ['look', 'plan', 'pieces', 'photographs'] as const;

/** Step 3: station by station, part by part: what is there, and what is firmly not there. */
export default function Teardown() {
  const { view, slots, record, recordAll, withdraw } = useBench();
  const catalogue = useCatalogue();
  const [chosen, choose] = useChosen();
  const [site, setSite] = useState<Site>('station');
  const station = view.stations.find((one) => one.code === chosen) ?? view.stations[0];
  const place = site === 'station' ? (station?.code ?? '') : site === 'cylinder' ? (station?.cylinder ?? '') : 'engine';
  const parts = useMemo(() => view.parts.filter((part) => part.site === site && part.code !== 'running'), [view.parts, site]);
  const [partCode, setPartCode] = useState<string | null>(null);
  const firstUnlooked = parts.find((part) => slots.worst(place, part.code) === null) ?? parts[0];
  const part = parts.find((one) => one.code === partCode) ?? firstUnlooked;

  const [typed, setTyped] = useState('');
  const [picked, setPicked] = useState(0);
  const [sign, setSign] = useState<SignView | null>(null);
  const [severity, setSeverity] = useState<number | null>(null);
  const [note, setNote] = useState('');
  const [sureness, setSureness] = useState(1);
  const [cleaned, setCleaned] = useState(false);
  const [fill, setFill] = useState<'filled' | 'drained' | null>(null);
  const [mode, setMode] = useSection(MODES);
  const teardown = useTeardown(view.id, view.revision);
  const state = cleaned ? ('after_cleaning' as const) : ('as_found' as const);
  const inputs = { part: useRef<HTMLInputElement>(null), sign: useRef<HTMLInputElement>(null), severity: useRef<HTMLInputElement>(null) };
  const [active, setActive] = useState<Slot>('part');

  const possible = useMemo(() => new Set(view.possibleSigns), [view.possibleSigns]);
  const signsOfPart = useMemo(
    () =>
      (catalogue.data?.signs ?? []).filter(
        (one) => part !== undefined && one.parts.includes(part.code) && !one.fromBench && possible.has(one.code),
      ),
    [catalogue.data, part, possible],
  );
  const matches = useMemo(() => {
    const here = findSigns(signsOfPart, typed);
    if (here.length > 0 || typed.trim() === '') return here;
    // Not on this part: then on another of this place, which choosing it goes to.
    const codes = new Set(parts.map((one) => one.code));
    const elsewhere = (catalogue.data?.signs ?? []).filter(
      (one) => one.parts.some((code) => codes.has(code)) && !one.fromBench && possible.has(one.code),
    );
    return findSigns(elsewhere, typed);
  }, [signsOfPart, typed, parts, catalogue.data, possible]);
  const shown = sign ?? matches[picked] ?? null;

  const focus = (slot: Slot): void => {
    setActive(slot);
    inputs[slot].current?.focus();
  };
  useEffect(() => {
    inputs.part.current?.focus();
    // only when the place is opened, or looking is taken up again
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [mode]);
  const clear = (): void => {
    setTyped('');
    setPicked(0);
    setSign(null);
    setSeverity(null);
    setNote('');
    setSureness(1);
    setFill(null);
  };
  const goTo = (code: string | null): void => {
    clear();
    setPartCode(code);
    focus('part');
  };
  const goToStation = (code: string): void => {
    choose(code);
    goTo(null);
  };

  /** On to the next part nobody has looked at here, then to the next station. */
  const next = (doneParts: readonly string[]): void => {
    const isOpen = (code: string): boolean => !doneParts.includes(code) && slots.worst(place, code) === null;
    const from = parts.findIndex((one) => one.code === part?.code);
    const ahead = [...parts.slice(from + 1), ...parts.slice(0, from + 1)].find((one) => isOpen(one.code));
    if (ahead) {
      goTo(ahead.code);
      return;
    }
    if (site === 'station' && station) {
      const at = view.stations.indexOf(station);
      const following = view.stations[(at + 1) % view.stations.length];
      if (following) goToStation(following.code);
      return;
    }
    goTo(null);
  };

  const label = placeLabel(view, place);
  const nothingOn = (codes: readonly string[]): void => {
    recordAll(
      codes.map((code) => ({ kind: 'look', slot: { place, part: code, item: 'look' }, data: { state } })),
      codes.length === 1
        ? `${label} ${parts.find((one) => one.code === codes[0])?.label ?? ''}, ${words.teardown.nothingThere}`
        : words.teardown.nothingOnMany(label, codes.length),
    );
    next(codes);
  };
  const needsFill = sign?.needsFill === true && view.engine.lash === 'hydraulic' && fill === null;
  const before = useMemo(() => {
    const kind = view.stations.filter((one) => one.kind === station?.kind);
    return kind[kind.findIndex((one) => one.code === station?.code) - 1] ?? null;
  }, [view.stations, station]);
  /** What stands at the neighbour before, on parts where nothing stands here. */
  const asNeighbour = (): void => {
    if (before === null || site !== 'station') return;
    const open = new Set(parts.filter((one) => slots.worst(place, one.code) === null).map((one) => one.code));
    const there = (['finding', 'look'] as const).flatMap((kind) =>
      slots.standing(kind).filter((entry) => entry.place === before.code && open.has(entry.part)),
    );
    recordAll(
      there.map((entry) => ({ kind: entry.kind, slot: { place, part: entry.part, item: entry.item }, data: contentOf(entry) })),
      words.teardown.asMany(label, before.label, there.length),
    );
    next(there.map((entry) => entry.part));
  };
  const rest = (): void => nothingOn(parts.filter((one) => slots.worst(place, one.code) === null).map((one) => one.code));
  const accept = (): void => {
    if (part === undefined || sign === null || severity === null || needsFill) return;
    record(
      'finding',
      { place, part: part.code, item: sign.code },
      {
        severity,
        state,
        ...(fill === null ? {} : { fill }),
        ...(sureness < 1 ? { sureness } : {}),
        ...(note.trim() === '' ? {} : { note: note.trim() }),
      },
      `${label} ${part.label}, ${sign.name}, ${severity}`,
    );
    next([part.code]);
  };
  const pick = (one: SignView): void => {
    const owner = one.parts.includes(part?.code ?? '') ? undefined : parts.find((other) => one.parts.includes(other.code));
    if (owner) setPartCode(owner.code);
    setSign(one);
    setTyped(one.name);
    focus('severity');
  };

  const walk = (event: KeyboardEvent): boolean => {
    if (!event.altKey || !event.key.startsWith('Arrow')) return false;
    event.preventDefault();
    const from = view.plan.cells.find((cell) => cell.station === station?.code);
    const to = from && nearest(view.plan.cells, from, event.key);
    if (to) goToStation(to.station);
    return true;
  };
  const onPartKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (walk(event)) return;
    // By what the key writes: some boards write 0, or =, with Shift on the key that others write 0 with.
    if (event.key === '.') {
      event.preventDefault();
      rest();
    } else if (event.key === '=') {
      event.preventDefault();
      asNeighbour();
    } else if (event.key === '0') {
      event.preventDefault();
      if (part) nothingOn([part.code]);
    } else if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      const at = parts.findIndex((one) => one.code === part?.code) + (event.key === 'ArrowDown' ? 1 : -1);
      const other = parts[(at + parts.length) % parts.length];
      if (other) setPartCode(other.code);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      focus('sign');
    } else if (/^[a-z]$/i.test(event.key) && !event.ctrlKey && !event.metaKey) {
      event.preventDefault();
      const wanted = parts.find((one) => one.letter === event.key.toUpperCase());
      if (wanted) {
        clear();
        setPartCode(wanted.code);
        focus('sign');
      }
    }
  };
  const onSignKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (walk(event)) return;
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      setPicked((at) => Math.max(0, Math.min(matches.length - 1, at + (event.key === 'ArrowDown' ? 1 : -1))));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      const one = matches[picked];
      if (one) pick(one);
    } else if ((event.key === 'Backspace' && typed === '') || event.key === 'Escape') {
      event.preventDefault();
      goTo(part?.code ?? null);
    }
  };
  const onSeverityKey = (event: KeyboardEvent<HTMLInputElement>): void => {
    if (walk(event)) return;
    if (/^[0-4]$/.test(event.key)) {
      event.preventDefault();
      setSeverity(Number(event.key));
    } else if (sign?.needsFill === true && /^[fd]$/i.test(event.key)) {
      event.preventDefault();
      setFill(event.key.toLowerCase() === 'f' ? 'filled' : 'drained');
    } else if (event.key === 'Enter') {
      event.preventDefault();
      accept();
    } else if (event.key === 'Backspace' || event.key === 'Escape') {
      event.preventDefault();
      if (severity !== null) setSeverity(null);
      else {
        setSign(null);
        setTyped('');
        focus('sign');
      }
    }
  };

  const bore = view.plan.bores.find((one) => one.cylinder === station?.cylinder);
  const neighbours = view.stations.filter((one) => one.kind === station?.kind && one.code !== station.code);
  const near = (code: string): string =>
    neighbours
      .map(
        (one) => [one.label, slots.standing('finding').find((entry) => entry.place === one.code && entry.item === code)?.severity] as const,
      )
      .filter(([, step]) => step != null && step > 0)
      .slice(0, 3)
      .map(([name, step]) => `${name} ${step}`)
      .join(', ');
  const nextStep = teardown.data?.steps.find((step) => step.code === teardown.data?.next);
  const asked = catalogue.data?.asked.find((one) => one.step === 'teardown' && one.part === part?.code);
  const recorded = slots.findingsAt(place).filter((entry) => entry.severity !== null);
  const signName = (code: string): string => catalogue.data?.signs.find((one) => one.code === code)?.name ?? code;
  const partName = (code: string): string => view.parts.find((one) => one.code === code)?.label ?? code;

  return (
    <div className="room wide-plan">
      <PlanSide chosen={chosen} onChoose={goToStation} first="signs" />
      <div className="teardown">
        <header className="station-head">
          <Tag
            label={site === 'engine' ? 'engine' : site === 'cylinder' ? `cyl ${bore?.number ?? ''}` : (station?.label ?? '')}
            large
            lead={station?.failed === true && site === 'station'}
          />
          <div>
            <h2>
              Cylinder {bore?.number}, {station?.kind === 'E' ? 'exhaust' : 'intake'}
            </h2>
            <span className="quiet">
              bank {station?.cylinder[0]}, position {station?.cylinder.slice(1)} from the front
            </span>
          </div>
          <div className="sites modes" role="group" aria-label="What to do">
            {MODES.map((one) => (
              <button key={one} type="button" aria-pressed={one === mode} onClick={() => setMode(one)}>
                {words.teardown.modes[one]}
              </button>
            ))}
          </div>
          <div className="sites" role="group" aria-label="Where" hidden={mode !== 'look'}>
            {(['station', 'cylinder', 'engine'] as const).map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={one === site}
                onClick={() => {
                  setSite(one);
                  goTo(null);
                }}
              >
                {one === 'station' ? `station ${station?.label ?? ''}` : one === 'cylinder' ? `cylinder ${bore?.number ?? ''}` : 'engine'}
              </button>
            ))}
          </div>
        </header>
        {mode === 'plan' && teardown.data && <Plan teardown={teardown.data} />}
        {mode === 'pieces' && teardown.data && <Pieces teardown={teardown.data} chosen={chosen} choose={choose} />}
        {mode === 'photographs' && <PhotoDesk place={place} part={part?.code ?? 'valve'} shots={teardown.data?.shots ?? []} />}
        {mode === 'look' && (
          <div className="teardown-body">
            <ul className="parts" aria-label="Parts">
              {parts.map((one) => (
                <li key={one.code}>
                  <button
                    type="button"
                    aria-current={one.code === part?.code}
                    onClick={() => {
                      clear();
                      setPartCode(one.code);
                      focus('sign');
                    }}
                  >
                    <Keycap>{one.letter}</Keycap>
                    <span>{one.label}</span>
                    <TemperChip step={slots.worst(place, one.code)} size={20} />
                  </button>
                </li>
              ))}
            </ul>
            <div className="entry">
              <div className="entry-line" role="group" aria-label="Entry line">
                <label className={active === 'part' ? 'active' : ''}>
                  <small>{words.teardown.part}</small>
                  <input
                    ref={inputs.part}
                    value={part?.label ?? ''}
                    readOnly
                    data-committed={part?.label ?? ''}
                    aria-label={words.teardown.part}
                    onFocus={() => setActive('part')}
                    onKeyDown={onPartKey}
                  />
                </label>
                <label className={active === 'sign' ? 'active sign' : 'sign'}>
                  <small>{words.teardown.sign}</small>
                  <input
                    ref={inputs.sign}
                    value={typed}
                    placeholder={words.teardown.typeSign}
                    aria-label={words.teardown.sign}
                    role="combobox"
                    aria-expanded={active === 'sign'}
                    aria-controls="sign-matches"
                    aria-activedescendant={active === 'sign' && matches[picked] ? `sign-${matches[picked].code}` : undefined}
                    onFocus={() => setActive('sign')}
                    onChange={(event) => {
                      setTyped(event.target.value);
                      setSign(null);
                      setPicked(0);
                    }}
                    onKeyDown={onSignKey}
                  />
                </label>
                <label className={active === 'severity' ? 'active' : ''}>
                  <small>{words.teardown.howBad}</small>
                  <input
                    ref={inputs.severity}
                    value={severity === null ? '' : `${severity} ${temper[severity]?.word ?? ''}`}
                    readOnly
                    data-committed={severity === null ? '' : `${severity} ${temper[severity]?.word ?? ''}`}
                    placeholder={words.teardown.digits}
                    aria-label={words.teardown.howBad}
                    onFocus={() => setActive('severity')}
                    onKeyDown={onSeverityKey}
                  />
                </label>
                <button type="button" className="state" aria-pressed={cleaned} onClick={() => setCleaned(!cleaned)}>
                  <small>{words.teardown.state}</small>
                  {cleaned ? words.teardown.afterCleaning : words.teardown.asFound}
                </button>
              </div>
              {sign === null && active === 'part' && (
                <WorthALook
                  place={place}
                  onTake={(code, wanted) => {
                    const found = catalogue.data?.signs.find((one) => one.code === wanted);
                    if (found === undefined) return;
                    clear();
                    setPartCode(code);
                    pick(found);
                  }}
                />
              )}
              {sign === null && (
                <ul className="matches" id="sign-matches" role="listbox" aria-label="Signs of this part">
                  {matches.slice(0, active === 'part' ? 4 : 7).map((one, i) => (
                    <li
                      key={one.code}
                      id={`sign-${one.code}`}
                      role="option"
                      aria-selected={active === 'sign' && i === picked}
                      onClick={() => pick(one)}
                    >
                      <span>
                        {one.name}
                        {part && !one.parts.includes(part.code) && (
                          <span className="note">
                            {' '}
                            {partName(one.parts.find((code) => parts.some((other) => other.code === code)) ?? '')}
                          </span>
                        )}
                      </span>
                      <span className="note">{near(one.code)}</span>
                      {active === 'sign' && i === picked && <Keycap>Enter</Keycap>}
                    </li>
                  ))}
                </ul>
              )}
              {sign === null && matches.length === 0 && <p className="quiet">{words.teardown.noSign}</p>}
              {shown && (sign !== null || active === 'sign') && (
                <div className="sign-words">
                  <h3>{shown.name}</h3>
                  <p>
                    {shown.lookFor} <b>{words.teardown.notConfused}:</b> {lowerFirst(shown.lookAlike)} <b>{words.teardown.howToShoot}:</b>{' '}
                    {lowerFirst(shown.photograph)}
                  </p>
                </div>
              )}
              {sign && (
                <>
                  <h3>{words.teardown.howBadFor}</h3>
                  <div className="severity-words" role="radiogroup" aria-label={words.teardown.howBadFor}>
                    {temper.map((one) => (
                      <button
                        key={one.step}
                        type="button"
                        role="radio"
                        tabIndex={-1}
                        aria-checked={severity === one.step}
                        onClick={() => {
                          setSeverity(one.step);
                          focus('severity');
                        }}
                      >
                        <span>
                          <TemperChip step={one.step} /> {one.word}
                        </span>
                        <small>{sign.severity[one.step]}</small>
                      </button>
                    ))}
                  </div>
                </>
              )}
              {sign && (
                <div className="entry-more">
                  <Input
                    value={note}
                    maxLength={4000}
                    placeholder={words.teardown.notePlaceholder}
                    aria-label={words.teardown.note}
                    onChange={(event) => setNote(event.target.value)}
                    onPressEnter={accept}
                  />
                  <Select
                    value={sureness}
                    aria-label={words.teardown.sureness}
                    onChange={setSureness}
                    style={{ width: 140 }}
                    options={[
                      { value: 1, label: words.teardown.sure },
                      { value: 0.8, label: words.teardown.fairlySure },
                      { value: 0.5, label: words.teardown.notSure },
                    ]}
                  />
                </div>
              )}
              {needsFill && <p className="wrong">{words.teardown.fillWhy}</p>}
              {sign?.needsFill === true && (
                <div className="severities" role="radiogroup" aria-label={words.teardown.fillWhy}>
                  {(['filled', 'drained'] as const).map((one) => (
                    <button key={one} type="button" role="radio" aria-checked={fill === one} onClick={() => setFill(one)}>
                      {words.teardown.fill[one]}
                    </button>
                  ))}
                </div>
              )}
              {sign === null && site === 'station' && asked && <Asked question={asked} place={place} />}
              <div className="entry-acts">
                {sign !== null && (
                  <Button type="primary" disabled={severity === null || needsFill} onClick={accept}>
                    {words.teardown.accept}
                  </Button>
                )}
                {sign === null && (
                  <>
                    <Button onClick={() => part && nothingOn([part.code])}>
                      {words.teardown.nothingHere} <Keycap>0</Keycap>
                    </Button>
                    <Button onClick={rest}>
                      {words.teardown.rest(parts.filter((one) => slots.worst(place, one.code) === null).length)} <Keycap>.</Keycap>
                    </Button>
                    {before !== null && site === 'station' && (
                      <Button onClick={asNeighbour}>
                        {words.teardown.asNeighbour(before.label)} <Keycap>=</Keycap>
                      </Button>
                    )}
                  </>
                )}
              </div>
            </div>
            <aside className="recorded">
              {nextStep && <StepCard key={nextStep.code} step={nextStep} heading={words.plan.next} />}
              <section aria-label={words.teardown.found}>
                <h3>
                  {words.teardown.found}: {label}
                </h3>
                {recorded.length === 0 && <p className="note">Nothing yet. Looked at and nothing there shows as 0 in the parts list.</p>}
                <ul>
                  {recorded.map((entry) => (
                    <li key={entry.id}>
                      <TemperChip step={entry.severity} size={20} />
                      <span>
                        {partName(entry.part)}: {signName(entry.item)}
                        <small>
                          {entry.by}
                          {entry.state === 'after_cleaning' ? `, ${words.teardown.afterCleaning}` : ''}
                          {entry.sureness !== null && entry.sureness < 1
                            ? `, ${entry.sureness > 0.6 ? words.teardown.fairlySure : words.teardown.notSure}`
                            : ''}
                          {entry.note === null ? '' : `. ${entry.note}`}
                        </small>
                      </span>
                      <button type="button" className="take-back" onClick={() => withdraw(entry, `${label} ${signName(entry.item)}`)}>
                        {words.teardown.takeBack}
                      </button>
                    </li>
                  ))}
                </ul>
              </section>
            </aside>
          </div>
        )}
        {part && mode === 'look' && <PhotoStrip place={place} part={part.code} partLabel={part.label} state={state} />}
      </div>
    </div>
  );
}

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

import { useLayoutEffect, useMemo, useReducer, useRef, useState } from 'react';
import { Keycap } from '../draw/Tag';
import { TemperChip } from '../draw/Temper';
import { Asked } from '../entry/Asked';
import { contentOf, placeLabel } from '../entry/slots';
import { useBench } from '../entry/useBench';
import { useHand } from '../frame/Chosen';
import type { CaseView, SignView } from '../shared/api';
import { words } from '../shared/messages';
import { useCatalogue } from '../shared/queries';
import { say } from '../shared/saying';
import { EMPTY_LINE, entryLine, findingOf } from './entryLine';
import { LineActs } from './LineActs';
import { LineSlots } from './LineSlots';
import { LineWords } from './LineWords';
import { Matches } from './Matches';
import { StepCard, type PlannedStep } from './NextStep';
import { PhotoStrip } from './PhotoStrip';
import { Recorded } from './Recorded';
import type { Site } from './StationHead';
import { useSigns } from './useSigns';
import { WorthALook } from './WorthALook';

interface Props {
  site: Site;
  place: string;
  station: CaseView['stations'][number];
  onStation: (station: string) => void;
  nextStep: PlannedStep | undefined;
}

/** Looking at a place part by part: one line of entry, what it means, and what stands there. */
export function Look({ site, place, station, onStation, nextStep }: Props) {
  const { view, slots, record, recordAll } = useBench();
  const catalogue = useCatalogue();
  const [line, act] = useReducer(entryLine, EMPTY_LINE);
  const [cleaned, setCleaned] = useState(false);
  const state = cleaned ? ('after_cleaning' as const) : ('as_found' as const);
  const parts = useMemo(() => view.parts.filter((part) => part.site === site && part.code !== 'running'), [view.parts, site]);
  const isOpen = (code: string): boolean => slots.worst(place, code) === null;
  const part = parts.find((one) => one.code === line.part) ?? parts.find((one) => isOpen(one.code)) ?? parts[0];
  const open = parts.filter((one) => isOpen(one.code));
  const matches = useSigns(parts, part, line.typed);
  const label = placeLabel(view, place);

  // Another station begins with an empty line; the hand comes to it unless it walks the plan by arrows. It is emptied before it can
  // be seen: a key pressed between the two would be lost.
  const hand = useHand();
  const came = useRef(-1);
  useLayoutEffect(() => {
    act(came.current === hand ? { do: 'moved' } : { do: 'goTo', part: null });
    came.current = hand;
  }, [place, hand]);

  /** On to the next part nobody has looked at here, then to the next station. */
  const next = (done: readonly string[]): void => {
    const from = parts.findIndex((one) => one.code === part?.code);
    const ahead = [...parts.slice(from + 1), ...parts.slice(0, from + 1)].find((one) => !done.includes(one.code) && isOpen(one.code));
    const following = view.stations[(view.stations.indexOf(station) + 1) % view.stations.length];
    if (ahead === undefined && site === 'station' && following !== undefined) {
      say(words.teardown.nowAt(following.label));
      onStation(following.code);
      return;
    }
    if (ahead !== undefined) say(words.teardown.nowAt(`${label} ${ahead.label}`));
    act({ do: 'goTo', part: ahead?.code ?? null });
  };
  const nothingOn = (codes: readonly string[]): void => {
    recordAll(
      codes.map((code) => ({ kind: 'look', slot: { place, part: code, item: 'look' }, data: { state } })),
      codes.length === 1
        ? `${label} ${parts.find((one) => one.code === codes[0])?.label ?? ''}, ${words.teardown.nothingThere}`
        : words.teardown.nothingOnMany(label, codes.length),
    );
    next(codes);
  };
  const before = useNeighbourBefore(station);
  /** What stands at the neighbour before, on parts where nothing stands here. */
  const asNeighbour = (): void => {
    if (before === null || site !== 'station') return;
    const there = (['finding', 'look'] as const).flatMap((kind) =>
      slots.standing(kind).filter((entry) => entry.place === before.code && open.some((one) => one.code === entry.part)),
    );
    recordAll(
      there.map((entry) => ({ kind: entry.kind, slot: { place, part: entry.part, item: entry.item }, data: contentOf(entry) })),
      words.teardown.asMany(label, before.label, there.length),
    );
    next(there.map((entry) => entry.part));
  };
  const asksFill = line.sign?.needsFill === true;
  const finding = findingOf(line, { state, needsFill: asksFill && view.engine.lash === 'hydraulic' });
  const accept = (): void => {
    if (part === undefined || line.sign === null || finding === null) return;
    record(
      'finding',
      { place, part: part.code, item: line.sign.code },
      finding,
      `${label} ${part.label}, ${line.sign.name}, ${finding.severity}`,
    );
    next([part.code]);
  };
  const take = (sign: SignView): void => {
    const owner = sign.parts.includes(part?.code ?? '') ? undefined : parts.find((other) => sign.parts.includes(other.code));
    act({ do: 'take', sign, part: owner?.code ?? part?.code ?? null });
  };
  const acts = {
    rest: () => nothingOn(open.map((one) => one.code)),
    nothingHere: () => part && nothingOn([part.code]),
    asNeighbour,
    accept,
    take,
    station: onStation,
  };
  const asked = catalogue.data?.asked.find((one) => one.step === 'teardown' && one.part === part?.code);
  return (
    <>
      <div className="teardown-body">
        <ul className="parts" aria-label={words.teardown.parts}>
          {parts.map((one) => (
            <li key={one.code}>
              <button type="button" aria-current={one.code === part?.code} onClick={() => act({ do: 'openSign', part: one.code })}>
                <Keycap>{one.letter}</Keycap>
                <span>{one.label}</span>
                <TemperChip step={slots.worst(place, one.code)} size={20} />
              </button>
            </li>
          ))}
        </ul>
        <div className="entry">
          <LineSlots
            line={line}
            act={act}
            acts={acts}
            parts={parts}
            part={part}
            matches={matches}
            station={station}
            cleaned={cleaned}
            onCleaned={setCleaned}
          />
          {line.sign === null && line.slot === 'part' && (
            <WorthALook
              place={place}
              onTake={(code, wanted) => {
                const sign = catalogue.data?.signs.find((one) => one.code === wanted);
                if (sign !== undefined) act({ do: 'take', sign, part: code });
              }}
            />
          )}
          {line.sign === null && <Matches line={line} matches={matches} parts={parts} part={part} station={station} onTake={take} />}
          <LineWords
            line={line}
            act={act}
            shown={line.sign ?? (line.slot === 'sign' ? matches[line.pointed] : undefined)}
            asksFill={asksFill}
            wantsFill={asksFill && view.engine.lash === 'hydraulic' && line.fill === null}
            onAccept={accept}
          />
          {line.sign === null && site === 'station' && asked && <Asked question={asked} place={place} />}
          <LineActs
            hasSign={line.sign !== null}
            isComplete={finding !== null}
            left={open.length}
            neighbour={site === 'station' ? (before?.label ?? null) : null}
            acts={acts}
          />
        </div>
        <aside className="recorded" aria-label={words.teardown.beside}>
          {nextStep && <StepCard key={nextStep.code} step={nextStep} heading={words.plan.next} />}
          <Recorded place={place} label={label} />
        </aside>
      </div>
      {part && <PhotoStrip place={place} part={part.code} partLabel={part.label} state={state} />}
    </>
  );
}

/** The station of the same kind before this one. */
function useNeighbourBefore(station: CaseView['stations'][number]): CaseView['stations'][number] | null {
  const { view } = useBench();
  return useMemo(() => {
    const kind = view.stations.filter((one) => one.kind === station.kind);
    return kind[kind.findIndex((one) => one.code === station.code) - 1] ?? null;
  }, [view.stations, station]);
}

import type { ReactNode } from 'react';
import { BAR_BEFORE, BOX_HEIGHT, BOX_WIDTH, laidOut, type ChainLayout, type ChainView, type Routed } from './chainLayout';

type Event = ChainView['events'][number];
type Standing = Event['standing'];

const CLIP = 8;
const SHAPE = `M${CLIP} 0H${BOX_WIDTH}V${BOX_HEIGHT}H${CLIP}L0 ${BOX_HEIGHT - CLIP}V${CLIP}Z`;
const RING = `M${CLIP - 1.7} -4H${BOX_WIDTH + 4}V${BOX_HEIGHT + 4}H${CLIP - 1.7}L-4 ${BOX_HEIGHT - CLIP + 1.7}V${CLIP - 1.7}Z`;
const DASHES: Record<Standing, string | undefined> = {
  seen: undefined,
  told: undefined,
  implied: '7 4',
  not_looked: '1.5 3.5',
  denied: '1.5 3.5',
};
/** Letters of the condensed face that a line of a box holds. */
const LETTERS = 18;
/** Room above the boxes for the flag and its words. */
const HEAD = 20;

/** What is written into the drawing beside its events. */
export interface ChainWords {
  first: string;
  both: string;
  older: string;
  second: string;
  alone: string;
}

interface Props {
  chain: ChainView;
  words: ChainWords;
  label: string;
  chosen?: string | null;
  /** Events of which something else is known than at the last look. */
  changed?: readonly string[];
  /** What makes an event of it that can be chosen; on paper nothing can. */
  held?: (event: Event) => Record<string, unknown>;
}

/** The chain of damage: events in columns by their order, what led to what, and how well each is known. */
export function ChainGraph({ chain, words, label, chosen = null, changed = [], held }: Props) {
  const laid = laidOut(chain);
  const { width, height } = sizeOf(laid);
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role={held === undefined ? 'img' : 'group'}
      aria-label={label}
      style={{ fontFamily: 'var(--condensed)' }}
    >
      <g transform={`translate(0 ${HEAD})`}>
        {laid.strandTops.slice(1).map((top, i) => (
          <text key={top} x={14} y={top - 6} fontSize="14" fill="var(--ink2)">
            {chain.events.filter((one) => one.strand === i + 1).length > 1 ? words.second : words.alone}
          </text>
        ))}
        {laid.links.map((one) => (
          <LinkLine key={`${one.link.from} ${one.link.to}`} of={one} needsAll={needsAll(chain, one.link.to)} />
        ))}
        {chain.events.map((event) => {
          const place = laid.events.get(event.code);
          if (place === undefined) return null;
          return (
            <g key={event.code} transform={`translate(${place.x} ${place.y})`} {...held?.(event)}>
              <title>{event.sentence}</title>
              {event.code === chosen && <path d={RING} fill="none" stroke="var(--enamel)" strokeWidth="2.5" />}
              <Box event={event} />
              {changed.includes(event.code) && (
                <path d={`M${BOX_WIDTH - 14} ${BOX_HEIGHT - 6}l7 -12l7 12z`} fill="var(--sheet)" stroke="var(--enamel)" strokeWidth="1.8" />
              )}
              {event.code === chain.first && <First>{words.first}</First>}
              {event.isOlder && (
                <text y={BOX_HEIGHT + 13} fontSize="13" fill="var(--ink2)">
                  {words.older}
                </text>
              )}
              {needsAll(chain, event.code) && (
                <text x={-BAR_BEFORE - 4} y={BOX_HEIGHT / 2 - 20} fontSize="13" fill="var(--ink2)" textAnchor="middle">
                  {words.both}
                </text>
              )}
            </g>
          );
        })}
      </g>
    </svg>
  );
}

function sizeOf({ width, height }: ChainLayout): { width: number; height: number } {
  return { width, height: height + HEAD };
}

/** An event that needed all that led to it, where that is more than one. */
function needsAll(chain: ChainView, code: string): boolean {
  const event = chain.events.find((one) => one.code === code);
  return event?.needsAll === true && chain.links.filter((one) => one.to === code && !one.isCut).length > 1;
}

function Box({ event }: { event: Event }) {
  const { standing } = event;
  const text = standing === 'seen' ? 'var(--sheet)' : standing === 'not_looked' || standing === 'denied' ? 'var(--ink3)' : 'var(--ink)';
  const lines = wrapped(event.label);
  return (
    <>
      <path
        d={SHAPE}
        fill={standing === 'seen' ? 'var(--ink)' : 'var(--sheet)'}
        stroke={standing === 'denied' ? 'var(--edge)' : standing === 'not_looked' ? 'var(--ink3)' : 'var(--ink)'}
        strokeWidth={standing === 'denied' ? 1.2 : 1.6}
        strokeDasharray={standing === 'implied' || standing === 'not_looked' ? DASHES[standing] : undefined}
      />
      {standing === 'denied' && (
        <path d={`M${BOX_WIDTH - 22} ${BOX_HEIGHT - 2}L${BOX_WIDTH - 2} ${BOX_HEIGHT - 22}`} stroke="var(--edge)" strokeWidth="1.6" />
      )}
      {lines.map((line, i) => (
        <text key={i} x={CLIP + 3} y={(lines.length === 1 ? 26 : 19) + 15 * i} fontSize="15" fontWeight="600" fill={text}>
          {line}
        </text>
      ))}
      <text x={CLIP + 3} y={lines.length === 1 ? 43 : 53} fontSize="14" fill={text}>
        {cut(event.evidence, LETTERS + 2)}
      </text>
      {event.number !== null && (
        <g transform={`translate(${BOX_WIDTH - 2} 0)`}>
          <circle r="9.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.4" />
          <text y="4.5" fontSize="13" fontWeight="600" textAnchor="middle" fill="var(--ink)">
            {event.number}
          </text>
        </g>
      )}
    </>
  );
}

function First({ children }: { children: ReactNode }) {
  return (
    <g transform="translate(0 -20)">
      <path d="M1 0V18M1 1L16 1L12 6L16 11H1" stroke="var(--lead)" strokeWidth="1.6" fill="var(--lead)" />
      <text x="22" y="12" fontSize="14" fontWeight="600" fill="var(--lead)">
        {children}
      </text>
    </g>
  );
}

function LinkLine({ of: { link, corners }, needsAll: isBarred }: { of: Routed; needsAll: boolean }) {
  const [end, before] = [corners.at(-1), corners.at(-2)];
  if (end === undefined || before === undefined) return null;
  const stop = isBarred && !link.isCut ? end[0] - BAR_BEFORE : link.standing === 'denied' ? end[0] - 4 : end[0] - 2;
  const path = corners.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${i === corners.length - 1 ? stop : x} ${y}`).join('');
  const colour = link.standing === 'denied' ? 'var(--edge)' : link.standing === 'not_looked' ? 'var(--ink3)' : 'var(--ink)';
  const [x, y] = end;
  return (
    <g fill="none" stroke={colour} strokeWidth="1.8" data-from={link.from} data-to={link.to}>
      <path d={path} strokeDasharray={link.isCut ? '7 4' : DASHES[link.standing]} opacity={link.isCut ? 0.6 : 1} />
      {link.isCut ? (
        <path d={`M${x - 13} ${y + 7}l6 -14M${x - 8} ${y + 7}l6 -14`} stroke="var(--ink)" />
      ) : link.standing === 'denied' ? (
        <path d={`M${x - 4} ${y - 9}v18`} strokeWidth="2.4" />
      ) : isBarred ? (
        <path d={`M${x - BAR_BEFORE} ${y - 14}v28`} strokeWidth="4" />
      ) : null}
      {!link.isCut && link.standing !== 'denied' && <path d={`M${x} ${y}l-8 -3.5v7z`} fill={colour} stroke="none" />}
    </g>
  );
}

/** A name on two lines at most, as far as they hold it. */
export function wrapped(name: string): string[] {
  const lines: string[] = [''];
  for (const word of name.split(' ')) {
    const line = lines.at(-1) ?? '';
    if (line === '' || line.length + 1 + word.length <= LETTERS) lines[lines.length - 1] = line === '' ? word : `${line} ${word}`;
    else lines.push(word);
  }
  return lines.length <= 2 ? lines : [lines[0] ?? '', cut(lines.slice(1).join(' '), LETTERS)];
}

const cut = (text: string, most: number): string => (text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`);

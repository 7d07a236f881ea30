import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { answer, api, type Schemas } from '../shared/api';
import { words } from '../shared/messages';

type Result = Schemas['LogResultView'];
type Buckets = { at: number; ranges: Record<string, number[]> }[];

interface Props {
  analysis: string;
  result: Result;
  /** Speed from which on the region is forbidden. */
  overSpeed: number;
  channels: readonly { code: string; label: string; unit: string }[];
  /** The stretch to show, chosen from outside; the chart tells when it changes by itself. */
  stretch: readonly [number, number];
  onStretch: (from: number, to: number) => void;
}

const LEFT = 58;
const WIDTH = 940;
const TALL = 140;
const LOW = 56;
/** The line above a strip that names its channel and gives the reading under the pointer. */
const NAMED = 24;
const NEAREST = 0.2;

export function clock(seconds: number): string {
  const tenths = Math.round(seconds * 10);
  const m = Math.floor(tenths / 600);
  const s = (tenths - 600 * m) / 10;
  return m === 0 ? `${s.toFixed(1)} s` : `${m}:${s.toFixed(1).padStart(4, '0')}`;
}

/** Round steps that part a range into about so many. */
export function ticks(from: number, to: number, about: number): number[] {
  const raw = (to - from) / about;
  if (!(raw > 0)) return [];
  const power = 10 ** Math.floor(Math.log10(raw));
  const step = [1, 2, 5, 10].map((n) => n * power).find((n) => n >= raw) ?? 10 * power;
  const list: number[] = [];
  for (let at = Math.ceil(from / step) * step; at <= to + step * 1e-9; at += step) list.push(Number(at.toPrecision(12)));
  return list;
}

/** The overview of a log: a strip a channel over one time, which zooms and moves without waiting for the server. */
export function LogChart({ analysis, result, overSpeed, channels, stretch, onStretch }: Props) {
  const [from, to] = stretch;
  const [asked, setAsked] = useState(stretch);
  useEffect(() => {
    const timer = setTimeout(() => setAsked([from, to]), 90);
    return () => clearTimeout(timer);
  }, [from, to]);
  const margin = (asked[1] - asked[0]) * 0.25;
  const data = useQuery({
    queryKey: ['log', analysis, asked[0], asked[1]],
    queryFn: () =>
      answer(
        api.GET('/api/log-analyses/{id}/window', {
          params: { path: { id: analysis }, query: { from: asked[0] - margin, to: asked[1] + margin } },
        }),
      ) as Promise<Buckets>,
    placeholderData: (previous) => previous,
    staleTime: Infinity,
  });
  const shown = channels.filter((channel) => data.data?.some((bucket) => bucket.ranges[channel.code] !== undefined));
  const heights = shown.map((channel) => (channel.code === 'speed' ? TALL : LOW));
  const total = heights.reduce((sum, height) => sum + height + NAMED, 0) + 28;
  const x = (time: number): number => LEFT + ((time - from) / (to - from)) * (WIDTH - LEFT);

  const clamp = (a: number, b: number): void => {
    const span = Math.min(Math.max(b - a, NEAREST), result.to - result.from);
    const start = Math.max(result.from, Math.min(a, result.to - span));
    onStretch(start, start + span);
  };
  const zoom = (factor: number, about: number): void => clamp(about - (about - from) * factor, about + (to - about) * factor);
  const svg = useRef<SVGSVGElement>(null);
  const timeAt = (clientX: number): number => {
    const box = svg.current?.getBoundingClientRect();
    const at = box === undefined ? WIDTH / 2 : ((clientX - box.left) / box.width) * WIDTH;
    return from + (Math.max(0, at - LEFT) / (WIDTH - LEFT)) * (to - from);
  };
  const live = useRef({ zoom, timeAt });
  useEffect(() => {
    live.current = { zoom, timeAt };
  });
  useEffect(() => {
    const element = svg.current;
    const onWheel = (event: WheelEvent): void => {
      event.preventDefault();
      live.current.zoom(event.deltaY > 0 ? 1.25 : 0.8, live.current.timeAt(event.clientX));
    };
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, []);
  const drag = useRef<{ x: number; from: number } | null>(null);
  const [cursor, setCursor] = useState<number | null>(null);
  const onMove = (event: PointerEvent): void => {
    if (drag.current !== null) {
      const box = svg.current?.getBoundingClientRect();
      const per = ((to - from) / ((box?.width ?? WIDTH) * ((WIDTH - LEFT) / WIDTH))) * (drag.current.x - event.clientX);
      clamp(drag.current.from + per, drag.current.from + per + (to - from));
    } else setCursor(timeAt(event.clientX));
  };
  const onKey = (event: KeyboardEvent): void => {
    const span = to - from;
    if (event.key === '+' || event.key === '=') zoom(0.8, (from + to) / 2);
    else if (event.key === '-') zoom(1.25, (from + to) / 2);
    else if (event.key === 'ArrowLeft') clamp(from - span / 5, to - span / 5);
    else if (event.key === 'ArrowRight') clamp(from + span / 5, to + span / 5);
    else if (event.key === 'Home') clamp(result.from, result.to);
    else return;
    event.preventDefault();
  };
  const at = cursor === null ? undefined : data.data?.findLast((bucket) => bucket.at <= cursor);

  let top = 0;
  return (
    <svg
      ref={svg}
      className="log-chart"
      viewBox={`0 0 ${WIDTH} ${Math.max(total, 120)}`}
      role="application"
      tabIndex={0}
      aria-label={`${words.log.title}: ${clock(from)} to ${clock(to)}. ${words.log.zoomHint}`}
      onKeyDown={onKey}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { x: event.clientX, from };
      }}
      onPointerUp={() => {
        drag.current = null;
      }}
      onPointerMove={onMove}
      onPointerLeave={() => setCursor(null)}
    >
      <clipPath id="log-clip">
        <rect x={LEFT} y="0" width={WIDTH - LEFT} height={total} />
      </clipPath>
      {shown.map((channel, i) => {
        const height = heights[i] ?? LOW;
        const y0 = top + NAMED;
        top = y0 + height;
        const peak = Math.max(...(data.data ?? []).map((bucket) => bucket.ranges[channel.code]?.[1] ?? -Infinity));
        const least = Math.min(0, ...(data.data ?? []).map((bucket) => bucket.ranges[channel.code]?.[0] ?? Infinity));
        const most = channel.code === 'speed' ? Math.max(peak, overSpeed) * 1.04 : peak === least ? least + 1 : peak * 1.08;
        const y = (value: number): number => y0 + height - ((value - least) / (most - least)) * height;
        const points = (data.data ?? []).filter((bucket) => bucket.ranges[channel.code] !== undefined);
        const upper = points.map((bucket) => `${x(bucket.at).toFixed(1)} ${y(bucket.ranges[channel.code]?.[1] ?? 0).toFixed(1)}`);
        const lower = points.map((bucket) => `${x(bucket.at).toFixed(1)} ${y(bucket.ranges[channel.code]?.[0] ?? 0).toFixed(1)}`).reverse();
        return (
          <g key={channel.code}>
            {ticks(least, most, height > 100 ? 4 : 2).map((tick) => (
              <g key={tick}>
                <path d={`M${LEFT} ${y(tick)}H${WIDTH}`} stroke="var(--line)" />
                <text x={LEFT - 6} y={y(tick) + 4} textAnchor="end" className="axis">
                  {tick}
                </text>
              </g>
            ))}
            <path d={`M${LEFT} ${y0}V${y0 + height}`} stroke="var(--ink)" fill="none" />
            {channel.code === 'speed' && (
              <>
                <rect x={LEFT} y={y0} width={WIDTH - LEFT} height={Math.max(0, y(overSpeed) - y0)} fill="url(#hatch-lead)" opacity="0.35" />
                <path d={`M${LEFT} ${y(overSpeed)}H${WIDTH}`} stroke="var(--lead)" />
              </>
            )}
            <path
              d={points.length === 0 ? '' : `M${[...upper, ...lower].join('L')}Z`}
              fill="var(--ink2)"
              stroke="var(--ink)"
              strokeWidth="1"
              clipPath="url(#log-clip)"
            />
            <text x={LEFT} y={y0 - 7} className="axis name">
              {channel.label}, {channel.unit}
            </text>
            {at && (
              <text x={WIDTH} y={y0 - 7} textAnchor="end" className="axis name">
                {formatted(at.ranges[channel.code]?.[1])}
              </text>
            )}
          </g>
        );
      })}
      {ticks(from, to, 8).map((tick) => (
        <g key={tick}>
          <path d={`M${x(tick)} ${total - 24}v4`} stroke="var(--ink)" />
          <text x={x(tick)} y={total - 7} textAnchor="middle" className="axis">
            {clock(tick)}
          </text>
        </g>
      ))}
      {cursor !== null && at && (
        <g pointerEvents="none">
          <path d={`M${x(cursor)} 0V${total - 24}`} stroke="var(--enamel)" strokeWidth="1.4" />
          <text x={x(cursor)} y={total - 7} textAnchor="middle" className="axis readout">
            {clock(cursor)}
          </text>
        </g>
      )}
    </svg>
  );
}

const formatted = (value: number | undefined): string => (value === undefined ? '–' : value >= 100 ? value.toFixed(0) : value.toFixed(2));

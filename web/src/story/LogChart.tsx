import { useQuery } from '@tanstack/react-query';
import { scaleLinear } from '@visx/scale';
import { useRef, useState } from 'react';
import { Band, CommonAxis, ForbiddenAbove, Strip, type Ranged, type Scale } from '../draw/Chart';
import { answer, api, type Schemas } from '../shared/api';
import { clock } from '../shared/clock';
import { words } from '../shared/messages';
import { useLater } from '../shared/useLater';
import { useStretch } from './useStretch';

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
/** Room for the common axis. */
const FOOT = 28;
/** Room left above the highest value of a strip, as a share of what is below it; less where a limit is drawn. */
const HEADROOM = 0.08;
const HEADROOM_OF_LIMIT = 0.04;

/** The overview of a log: a strip a channel over one time, which zooms and moves without waiting for the server. */
export function LogChart({ analysis, result, overSpeed, channels, stretch, onStretch }: Props) {
  const [from, to] = stretch;
  const asked = useLater(stretch, 90);
  const margin = (asked[1] - asked[0]) * 0.25;
  const window = useQuery({
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
  const buckets = window.data ?? [];
  const svg = useRef<SVGSVGElement>(null);
  const [cursor, setCursor] = useState<number | null>(null);
  const hand = useStretch(svg, { from, to }, result, LEFT / WIDTH, onStretch);
  const at = cursor === null ? undefined : buckets.findLast((bucket) => bucket.at <= cursor);

  const x = scaleLinear<number>({ domain: [from, to], range: [LEFT, WIDTH] });
  let foot = 0;
  const strips = channels
    .map((channel) => ({ channel, data: rangesOf(buckets, channel.code) }))
    .filter(({ data }) => data.length > 0)
    .map((one) => {
      const top = foot + NAMED;
      foot = top + (one.channel.code === 'speed' ? TALL : LOW);
      return { ...one, y: heightOf(one.data, one.channel.code === 'speed' ? overSpeed : null, top, foot) };
    });
  return (
    <svg
      ref={svg}
      className="log-chart"
      viewBox={`0 0 ${WIDTH} ${Math.max(foot + FOOT, 120)}`}
      role="application"
      tabIndex={0}
      aria-label={`${words.log.title}: ${clock(from)} to ${clock(to)}. ${words.log.zoomHint}`}
      onKeyDown={hand.onKeyDown}
      onPointerDown={hand.onPointerDown}
      onPointerUp={hand.onPointerUp}
      onPointerMove={(event) => {
        if (!hand.drag(event)) setCursor(hand.timeAt(event.clientX));
      }}
      onPointerLeave={() => setCursor(null)}
    >
      {strips.map(({ channel, data, y }) => (
        <Strip
          key={channel.code}
          x={x}
          y={y}
          name={`${channel.label}, ${channel.unit}`}
          reading={at && formatted(at.ranges[channel.code]?.[1])}
        >
          {channel.code === 'speed' && <ForbiddenAbove x={x} y={y} value={overSpeed} />}
          <Band x={x} y={y} data={data} />
        </Strip>
      ))}
      <CommonAxis x={x} top={foot + 4} format={clock} />
      {cursor !== null && at && (
        <g pointerEvents="none">
          <path d={`M${x(cursor)} 0V${foot + 4}`} stroke="var(--enamel)" strokeWidth="1.4" />
          <text x={x(cursor)} y={foot + 21} textAnchor="middle" className="axis readout">
            {clock(cursor)}
          </text>
        </g>
      )}
    </svg>
  );
}

const rangesOf = (buckets: Buckets, channel: string): Ranged[] =>
  buckets.flatMap(({ at, ranges }) => {
    const [least, most] = ranges[channel] ?? [];
    return least === undefined || most === undefined ? [] : [{ at, least, most }];
  });

/** From zero, or the least where it is below, to a little above the most and above the limit. */
function heightOf(data: Ranged[], limit: number | null, top: number, bottom: number): Scale {
  const least = Math.min(0, ...data.map((one) => one.least));
  const peak = Math.max(limit ?? -Infinity, ...data.map((one) => one.most));
  const room = (peak - least) * (limit === null ? HEADROOM : HEADROOM_OF_LIMIT);
  return scaleLinear<number>({ domain: [least, peak === least ? least + 1 : peak + room], range: [bottom, top] });
}

const formatted = (value: number | undefined): string => (value === undefined ? '–' : value >= 100 ? value.toFixed(0) : value.toFixed(2));

import { Graph, layout, type EdgeLabel, type GraphLabel, type NodeLabel } from '@dagrejs/dagre';
import type { Schemas } from '../shared/api';

export type ChainView = Schemas['ChainView'];
type Link = ChainView['links'][number];

export const [BOX_WIDTH, BOX_HEIGHT] = [122, 64];
const [PITCH, LANE, MARGIN] = [147, 88, 14];
/** Between two strands, with room for the words over the lower. */
const STRAND = 40;
const GAP = PITCH - BOX_WIDTH;
/** Where in the gap behind a column the trunks of its events stand, so that two of them do not lie on each other. */
const TRUNKS = [5, 9, 13];
/** Between the bar of what was needed together and the event. */
export const BAR_BEFORE = 12;

export interface Placed {
  code: string;
  x: number;
  y: number;
  column: number;
}

export interface Routed {
  link: Link;
  /** Corners from the earlier event to the later. */
  corners: readonly (readonly [number, number])[];
}

export interface ChainLayout {
  width: number;
  height: number;
  events: ReadonlyMap<string, Placed>;
  links: readonly Routed[];
  /** Where each strand begins. */
  strandTops: readonly number[];
}

type Points = readonly { x: number; y: number }[];
type Drawing = Pick<ChainView, 'events' | 'links' | 'orders'>;

/** Columns by the order of events, lanes beside each other, links level and upright; each strand in lanes of its own. */
export function laidOut(chain: Drawing): ChainLayout {
  const events = new Map<string, Placed>();
  const points = new Map<Link, Points>();
  const strandTops: number[] = [];
  let top = MARGIN;
  for (const strand of [...new Set(chain.events.map((one) => one.strand))].sort((a, b) => a - b)) {
    strandTops.push(top);
    const { graph, height } = ofStrand(chain, strand);
    const shift = shiftOf(chain, graph, events);
    for (const code of graph.nodes()) {
      const { x = 0, y = 0 } = graph.node(code);
      const column = shift + columnOf(x);
      events.set(code, { code, column, x: MARGIN + column * PITCH, y: top + Math.round(y - BOX_HEIGHT / 2) });
    }
    for (const link of chain.links)
      if (!link.isCut && graph.hasEdge(link.from, link.to))
        points.set(
          link,
          (graph.edge(link.from, link.to).points ?? []).map(({ x, y }) => ({ x: x + shift * PITCH, y: y + top })),
        );
    top += height + STRAND;
  }
  const trunk = trunks(chain, events);
  const columns = Math.max(0, ...[...events.values()].map((one) => one.column + 1));
  return {
    width: Math.max(1, 2 * MARGIN + columns * PITCH - GAP),
    height: Math.max(1, top - STRAND + MARGIN),
    events,
    strandTops,
    links: chain.links.flatMap((link) => {
      const [from, to] = [events.get(link.from), events.get(link.to)];
      return from === undefined || to === undefined
        ? []
        : [{ link, corners: route(from, to, points.get(link) ?? [], trunk.get(link.from) ?? 0) }];
    }),
  };
}

const columnOf = (x: number): number => Math.round((x - BOX_WIDTH / 2) / PITCH);

function ofStrand(chain: Drawing, strand: number): { graph: Graph<GraphLabel, NodeLabel, EdgeLabel>; height: number } {
  const graph = new Graph<GraphLabel, NodeLabel, EdgeLabel>();
  graph.setGraph({ rankdir: 'LR', nodesep: LANE - BOX_HEIGHT, edgesep: LANE - BOX_HEIGHT, ranksep: GAP });
  for (const event of chain.events) if (event.strand === strand) graph.setNode(event.code, { width: BOX_WIDTH, height: BOX_HEIGHT });
  for (const one of [...chain.links, ...chain.orders])
    if (graph.hasNode(one.from) && graph.hasNode(one.to)) graph.setEdge(one.from, one.to, { width: 0, height: 0, weight: 1 });
  layout(graph);
  return { graph, height: Math.max(...graph.nodes().map((code) => (graph.node(code).y ?? 0) + BOX_HEIGHT / 2)) };
}

/** How many columns a strand begins later, so that what people put after an event of a strand above stands after it. */
function shiftOf(chain: Drawing, graph: Graph<GraphLabel, NodeLabel, EdgeLabel>, above: ReadonlyMap<string, Placed>): number {
  return Math.max(
    0,
    ...chain.orders.map((one) => {
      const before = above.get(one.from);
      return before === undefined || !graph.hasNode(one.to) ? 0 : before.column + 1 - columnOf(graph.node(one.to).x ?? 0);
    }),
  );
}

/** Of each event with links, where its trunk stands behind its column. */
function trunks(chain: Drawing, events: ReadonlyMap<string, Placed>): Map<string, number> {
  const perColumn = new Map<number, number>();
  const trunk = new Map<string, number>();
  for (const { from } of chain.links) {
    const column = events.get(from)?.column ?? 0;
    if (trunk.has(from)) continue;
    const used = perColumn.get(column) ?? 0;
    trunk.set(from, TRUNKS[used % TRUNKS.length] ?? 0);
    perColumn.set(column, used + 1);
  }
  return trunk;
}

/** Square corners: each column between is passed in the lane that the layout left free for the link. */
function route(from: Placed, to: Placed, points: Points, trunk: number): [number, number][] {
  const corners: [number, number][] = [[from.x + BOX_WIDTH, from.y + BOX_HEIGHT / 2]];
  let y = from.y + BOX_HEIGHT / 2;
  const lead = (column: number, next: number): void => {
    if (Math.abs(next - y) < 0.5) return;
    const x = MARGIN + column * PITCH + BOX_WIDTH + trunk;
    corners.push([x, y], [x, next]);
    y = next;
  };
  // A cut link between strands has no lane of its own.
  for (let column = from.column + 1; column < to.column && points.length > 0; column++)
    lead(column - 1, at(points, BOX_WIDTH / 2 + column * PITCH));
  lead(to.column - 1, to.y + BOX_HEIGHT / 2);
  corners.push([to.x, y]);
  return corners;
}

/** Where the line through the points of a link is at a column. */
function at(points: Points, x: number): number {
  for (let i = 1; i < points.length; i++) {
    const [one, other] = [points[i - 1], points[i]];
    if (one !== undefined && other !== undefined && x <= other.x)
      return other.x === one.x ? other.y : one.y + ((other.y - one.y) * (x - one.x)) / (other.x - one.x);
  }
  return points.at(-1)?.y ?? 0;
}

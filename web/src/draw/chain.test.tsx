import { render, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { ChainGraph, wrapped } from './ChainGraph';
import { BOX_HEIGHT, BOX_WIDTH, laidOut, type ChainView } from './chainLayout';

type Event = ChainView['events'][number];
type Link = ChainView['links'][number];

const event = (code: string, more: Partial<Event> = {}): Event => ({
  code,
  label: code,
  isCause: false,
  standing: 'seen',
  number: null,
  evidence: '4E',
  sentence: `${code}.`,
  because: '',
  probability: 0.9,
  places: [],
  signs: [],
  step: '',
  strand: 0,
  needsAll: false,
  isOlder: false,
  addedBy: '',
  ...more,
});
const link = (from: string, to: string, more: Partial<Link> = {}): Link => ({
  from,
  to,
  standing: 'seen',
  isCut: false,
  by: '',
  words: '',
  ...more,
});
const chain = (events: Event[], links: Link[], more: Partial<ChainView> = {}): ChainView => ({
  events,
  links,
  orders: [],
  first: null,
  firstBy: '',
  edits: [],
  contained: [],
  left: [],
  ...more,
});
const WORDS = { first: 'first event', both: 'both', older: 'older damage', second: 'a second chain', alone: 'by itself' };

const LETTERS = ['a', 'b', 'c', 'd', 'e', 'f', 'g'];

/** Events of a chain from a to g with a detour, a long link and a second strand. */
const wide = chain(LETTERS.map((code) => event(code)).concat(event('x', { strand: 1 }), event('y', { strand: 1 })), [
  link('a', 'b'),
  link('b', 'c'),
  link('c', 'd'),
  link('b', 'e'),
  link('e', 'd'),
  link('a', 'f'),
  link('f', 'd'),
  link('a', 'g'),
  link('x', 'y'),
]);

describe('where the events stand', () => {
  it('puts what leads to an event before it, and no two on each other', () => {
    const laid = laidOut(wide);
    for (const one of wide.links)
      expect(laid.events.get(one.from)?.column, `${one.from} before ${one.to}`).toBeLessThan(laid.events.get(one.to)?.column ?? 0);
    const all = [...laid.events.values()];
    for (const one of all)
      for (const other of all)
        if (one !== other && one.column === other.column)
          expect(Math.abs(one.y - other.y), `${one.code} and ${other.code}`).toBeGreaterThanOrEqual(BOX_HEIGHT + 10);
    for (const { x, y } of all) {
      expect(x + BOX_WIDTH).toBeLessThanOrEqual(laid.width);
      expect(y + BOX_HEIGHT).toBeLessThanOrEqual(laid.height);
    }
  });

  it('leads links level and upright, from the one to the other, through no third event', () => {
    const laid = laidOut(wide);
    for (const { link: one, corners } of laid.links) {
      const [from, to] = [laid.events.get(one.from), laid.events.get(one.to)];
      expect(corners[0]).toEqual([(from?.x ?? 0) + BOX_WIDTH, (from?.y ?? 0) + BOX_HEIGHT / 2]);
      expect(corners.at(-1)).toEqual([to?.x, (to?.y ?? 0) + BOX_HEIGHT / 2]);
      corners.slice(1).forEach(([x, y], i) => {
        const [beforeX, beforeY] = corners[i] ?? [0, 0];
        expect(x === beforeX || y === beforeY, `${one.from} to ${one.to}`).toBe(true);
        for (const third of laid.events.values())
          if (third !== from && third !== to && y === beforeY)
            expect(
              y > third.y && y < third.y + BOX_HEIGHT && Math.max(x, beforeX) > third.x && Math.min(x, beforeX) < third.x + BOX_WIDTH,
              `${one.from} to ${one.to} through ${third.code}`,
            ).toBe(false);
      });
    }
  });

  it('gives a second chain lanes of its own, and begins it after what people put before it', () => {
    const alone = laidOut(wide);
    const lowest = Math.max(...LETTERS.map((code) => alone.events.get(code)?.y ?? 0));
    expect(alone.events.get('x')?.y).toBeGreaterThan(lowest + BOX_HEIGHT);
    expect(alone.events.get('x')?.column).toBe(0);
    const ordered = laidOut({ ...wide, orders: [link('b', 'x')] });
    expect(ordered.events.get('x')?.column).toBe((ordered.events.get('b')?.column ?? 0) + 1);
  });

  it('lays out nothing without falling over', () => {
    expect(laidOut(chain([], [])).events.size).toBe(0);
  });
});

describe('how it is drawn', () => {
  const draw = (of: ChainView) => render(<ChainGraph chain={of} words={WORDS} label="Chain of damage" />);

  it('flags the first event, names a second chain and marks what was needed together', () => {
    const { container } = draw(
      chain(
        [event('a', { number: 1 }), event('b', { number: 2 }), event('c', { number: 3, needsAll: true }), event('x', { strand: 1 })],
        [link('a', 'c'), link('b', 'c')],
        { first: 'a' },
      ),
    );
    expect(screen.getByText('first event').closest('g')?.parentElement).toHaveTextContent(/^a/);
    expect(screen.getByText('by itself')).toBeInTheDocument();
    expect(screen.queryByText('a second chain')).not.toBeInTheDocument();
    expect(screen.getByText('both')).toBeInTheDocument();
    expect(container.querySelectorAll('[data-to="c"] path[stroke-width="4"]')).toHaveLength(2);
  });

  it('needs two that lead to an event to say that both were needed', () => {
    draw(chain([event('a'), event('c', { needsAll: true })], [link('a', 'c')]));
    expect(screen.queryByText('both')).not.toBeInTheDocument();
  });

  it('draws a cut link with two strokes and no arrow, a denied one with a bar', () => {
    const { container } = draw(
      chain(
        [event('a'), event('b'), event('c', { standing: 'denied' })],
        [link('a', 'b', { isCut: true }), link('b', 'c', { standing: 'denied' })],
      ),
    );
    expect(container.querySelectorAll('[data-to="b"] path')).toHaveLength(2);
    expect(container.querySelector('[data-to="b"] path')).toHaveAttribute('stroke-dasharray', '7 4');
    expect(container.querySelector('[data-to="c"] path[stroke-width="2.4"]')).toBeInTheDocument();
    expect(container.querySelector('[data-to="c"] path[fill]')).not.toBeInTheDocument();
  });

  it('breaks a long name over two lines and cuts what does not fit', () => {
    expect(wrapped('Train overloaded')).toEqual(['Train overloaded']);
    expect(wrapped('Valve motion lost control (float)')).toEqual(['Valve motion lost', 'control (float)']);
    expect(wrapped('Valve too large for its insert, or band off its seat')).toEqual(['Valve too large', 'for its insert, o…']);
  });
});

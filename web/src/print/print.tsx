import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { ChainGraph } from '../draw/ChainGraph';
import type { ChainView } from '../draw/chainLayout';
import { PlanDrawing, severityReading } from '../draw/HeadPlan';
import { MarginRule } from '../draw/MarginRule';
import { PistonChart } from '../draw/PistonChart';
import { SpeedStrips } from '../draw/SpeedStrips';
import { Weight } from '../draw/Weight';
import tokens from '../look/tokens.json';
import { Drawn, type Measure } from '../photograph/Drawn';
import type { MarginView, PlanView, Schemas } from '../shared/api';
import { words } from '../shared/messages';

/** A drawing asked for: what its component needs, and nothing that the component would have to work out. */
export type Wanted =
  | { kind: 'plan'; plan: PlanView; worst: Record<string, number>; failed: string[]; label: string }
  | { kind: 'rule'; margin: MarginView; width: number; height: number }
  | { kind: 'chain'; chain: ChainView }
  | { kind: 'weight'; decibans: number; width: number; height: number }
  | { kind: 'speeds'; motion: Schemas['MotionView']; logged: Schemas['LoggedBinView'][] }
  | { kind: 'piston'; piston: Schemas['PistonView']; label: string }
  | { kind: 'picture'; width: number; height: number; drawn: Measure[] };

/** Paper is the light theme on white. */
const PAPER: Record<string, string> = {
  ...tokens.light.css,
  ...tokens.print.css,
  '--condensed': "'Sofia Sans Condensed', Helvetica, sans-serif",
};

/** Lines on a picture keep the width that they have on a screen which shows its long side in so many pixels. */
const SHOWN = 560;

function component(wanted: Wanted): ReactElement {
  switch (wanted.kind) {
    case 'plan':
      return (
        <PlanDrawing
          plan={wanted.plan}
          reading={(cell) => severityReading(wanted.worst[cell.station] ?? null)}
          failed={new Set(wanted.failed)}
          label={wanted.label}
        />
      );
    case 'rule':
      return <MarginRule margin={wanted.margin} width={wanted.width} height={wanted.height} bare />;
    case 'chain':
      return <ChainGraph chain={wanted.chain} words={words.chain.drawn} label={words.chain.title} />;
    case 'weight':
      return <Weight decibans={wanted.decibans} width={wanted.width} height={wanted.height} />;
    case 'speeds':
      return wanted.motion.sweep === null ? (
        <svg viewBox="0 0 1 1" />
      ) : (
        <SpeedStrips
          motion={wanted.motion}
          sweep={wanted.motion.sweep}
          tried={[]}
          cursor={null}
          logged={wanted.logged}
          words={{ ...words.motion, logged: words.motion.loggedStrip }}
          label={words.motion.sweepOf(wanted.motion.label)}
        />
      );
    case 'piston':
      return (
        <PistonChart
          piston={wanted.piston}
          beside={[]}
          cursor={null}
          words={words.motion.piston}
          label={words.motion.piston.chart(wanted.label)}
        />
      );
    case 'picture': {
      const marks = wanted.drawn.filter((one) => one.shape === 'mark');
      return (
        <svg viewBox={`0 0 ${wanted.width} ${wanted.height}`}>
          {wanted.drawn.map((one, i) => (
            <Drawn key={i} measure={one} pixel={Math.max(wanted.width, wanted.height) / SHOWN} number={marks.indexOf(one) + 1} />
          ))}
        </svg>
      );
    }
  }
}

/** What the style sheets of the screen say of the texts of a chart. */
const TYPE = `<style>
text { font-family: var(--condensed); }
.axis { font-size: 14px; fill: var(--ink2); }
.name, .strong { fill: var(--ink); }
.strong, .wrong { font-weight: bold; }
.wrong { fill: var(--lead); }
</style>`;

/**
 * The drawing of the screen as an SVG document of its own, in the colours of paper. What it names inside itself begins with its number,
 * so that several can stand on one page.
 */
export function printed(wanted: Wanted, number = 0): string {
  return renderToStaticMarkup(component(wanted), { identifierPrefix: `d${number}` })
    .replace(/^<svg ([^>]*)>/, (_, attributes: string) => {
      const [, width, height] = /viewBox="0 0 (\S+) (\S+)"/.exec(attributes) ?? [];
      const size = wanted.kind === 'rule' || wanted.kind === 'weight' ? wanted : { width, height };
      const rest = attributes.replace(/(?:^| )(?:width|height|style)="[^"]*"/g, '');
      return `<svg xmlns="http://www.w3.org/2000/svg" width="${size.width}" height="${size.height}" ${rest.trim()}>${TYPE}`;
    })
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => {
      const colour = PAPER[name];
      if (colour === undefined) throw new Error(`Paper has no ${name}.`);
      return colour;
    });
}

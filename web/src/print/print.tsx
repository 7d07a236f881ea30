import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactElement } from 'react';
import { ChainGraph, sizeOf } from '../draw/ChainGraph';
import { laidOut, type ChainView } from '../draw/chainLayout';
import { PlanDrawing, severityReading } from '../draw/HeadPlan';
import { MarginRule } from '../draw/MarginRule';
import tokens from '../look/tokens.json';
import { Drawn, type Measure } from '../photograph/Drawn';
import type { MarginView, PlanView } from '../shared/api';
import { words } from '../shared/messages';

/** A drawing asked for: what its component needs, and nothing that the component would have to work out. */
export type Wanted =
  | { kind: 'plan'; plan: PlanView; worst: Record<string, number>; failed: string[]; label: string }
  | { kind: 'rule'; margin: MarginView; width: number; height: number }
  | { kind: 'chain'; chain: ChainView }
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

/** The drawing of the screen as an SVG document of its own, in the colours of paper. */
export function printed(wanted: Wanted): string {
  const box = wanted.kind === 'plan' ? wanted.plan : wanted.kind === 'chain' ? sizeOf(laidOut(wanted.chain)) : wanted;
  const sized = `<svg xmlns="http://www.w3.org/2000/svg" width="${box.width}" height="${box.height}" `;
  return renderToStaticMarkup(component(wanted))
    .replace(/^<svg (?:width="\S+" height="\S+" )?/, sized)
    .replace(/var\((--[\w-]+)\)/g, (_, name: string) => {
      const colour = PAPER[name];
      if (colour === undefined) throw new Error(`Paper has no ${name}.`);
      return colour;
    });
}

import type { EngineInput } from '../shared/api';
import { words } from '../shared/messages';

/** The engine as it is being described: numbers that stand in a row are one text each, as they are typed. */
export interface EngineDraft {
  engine: EngineInput;
  firing: string;
  angles: string;
  /** By bank. */
  numbering: Record<string, string>;
}

const numbers = (text: string): number[] =>
  text
    .split(/[\s,;-]+/)
    .filter((word) => word !== '')
    .map(Number);

/** What a person describes of the engine, without what is derived from it. */
function described(engine: EngineInput & { summary?: string }): EngineInput {
  const copy = { ...engine };
  delete copy.summary;
  return copy;
}

export const draftOf = (engine: EngineInput): EngineDraft => ({
  engine: described(engine),
  firing: (engine.firingOrder ?? []).join('-'),
  angles: (engine.firingAngles ?? []).join(' '),
  numbering: Object.fromEntries(Object.entries(engine.numbering ?? {}).map(([bank, list]) => [bank, list.join(' ')])),
});

/** What the draft comes to: where cylinders are new, were added or moved, their numbers and the order of valves are chosen anew. */
export function enteredOf({ engine, firing, angles, numbering }: EngineDraft, stands: EngineInput): EngineInput {
  const isNumbered = Object.keys(numbering).length > 0;
  const sameShape = isNumbered && engine.layout === stands.layout && engine.cylinders === stands.cylinders;
  return {
    ...engine,
    firingOrder: numbers(firing),
    firingAngles: numbers(angles),
    ...(sameShape
      ? { numbering: Object.fromEntries(Object.entries(numbering).map(([bank, text]) => [bank, numbers(text)])) }
      : { numbering: undefined as never, valveOrder: null }),
  };
}

/** Where two descriptions differ, by what was described. */
export function differences(theirs: EngineDraft, mine: EngineDraft): { name: string; theirs: string; mine: string }[] {
  const said = ({ engine, firing, angles, numbering }: EngineDraft): Record<string, unknown> => ({
    ...engine,
    firingOrder: firing,
    firingAngles: angles,
    numbering,
  });
  const shown = (value: unknown): string =>
    value === null || value === undefined ? '' : typeof value === 'object' ? JSON.stringify(value) : `${value as string | number}`;
  const [left, right] = [said(theirs), said(mine)];
  return [...new Set([...Object.keys(left), ...Object.keys(right)])]
    .map((key) => ({
      name: (words.engine.names as Partial<Record<string, string>>)[key] ?? key,
      theirs: shown(left[key]),
      mine: shown(right[key]),
    }))
    .filter((one) => one.theirs !== one.mine);
}

import type { Schemas } from '../shared/api';

type Slider = Schemas['SliderView'];

/** What can be taken whole from elsewhere. */
export type PartTried = Schemas['PartChoiceView']['part'];

/** A value tried in place of what was found, or the part of another place, in the one shape in which a change is written. */
export type Tried =
  { places: [string]; name: string; to: { number: number; unit: string } } | { places: [string]; part: PartTried; from: string };

/** What is tried at a place; of an address that says something else, nothing. */
export const readTried = (text: string | null, place: string): Tried[] => at(told(text), place);

/** What was set aside to be seen beside it, likewise. */
export const readKept = (text: string | null, place: string): Tried[][] => {
  const kept = told(text);
  return Array.isArray(kept) ? kept.map((one) => at(one, place)).filter((one) => one.length > 0) : [];
};

function told(text: string | null): unknown {
  try {
    return text === null ? null : JSON.parse(text);
  } catch {
    return null;
  }
}

const at = (all: unknown, place: string): Tried[] =>
  Array.isArray(all) ? (all as Tried[]).filter((one) => Array.isArray(one.places) && one.places[0] === place) : [];

/** What is tried, in words. */
export function triedWords(all: readonly Tried[], sliders: readonly Slider[], parts: readonly Schemas['PartChoiceView'][]): string {
  return all
    .map((one) => {
      if ('part' in one) return parts.find((part) => part.from === one.from)?.name ?? one.from;
      const slider = sliders.find((other) => other.name === one.name);
      const unit = one.to.unit === '1' ? '' : ` ${one.to.unit}`;
      return `${slider?.label ?? one.name} ${one.to.number.toFixed(slider?.decimals ?? 3)}${unit}`;
    })
    .join(', ');
}

export const triedOf = (all: readonly Tried[], name: string): number | null => {
  const one = all.find((tried) => 'name' in tried && tried.name === name);
  return one !== undefined && 'to' in one ? one.to.number : null;
};

export const partOf = (all: readonly Tried[], part: PartTried): string | null => {
  const one = all.find((tried) => 'part' in tried && tried.part === part);
  return one !== undefined && 'from' in one ? one.from : null;
};

/** With a slider at a figure; at its own, it is as found. */
export function withSlider(all: readonly Tried[], place: string, slider: Slider, to: number | null): Tried[] {
  const others = all.filter((one) => !('name' in one) || one.name !== slider.name);
  return to === null || Math.abs(to - slider.found) < slider.step / 2
    ? others
    : [...others, { places: [place], name: slider.name, to: { number: to, unit: slider.unit } }];
}

export function withPart(all: readonly Tried[], place: string, part: PartTried, from: string | null): Tried[] {
  const others = all.filter((one) => !('part' in one) || one.part !== part);
  return from === null ? others : [...others, { places: [place], part, from }];
}

/** On the nearest step of a slider, within its ends. */
export const onStep = (slider: Slider, figure: number): number =>
  Number(Math.min(slider.to, Math.max(slider.from, Math.round(figure / slider.step) * slider.step)).toFixed(6));

import { Button } from 'antd';
import { Keycap } from '../draw/Tag';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { useKeys } from '../shared/keys';
import { words } from '../shared/messages';
import { keepAsRemedy } from './asRemedy';
import { onStep, partOf, triedOf, triedWords, withPart, withSlider, type PartTried, type Tried } from './change';
import './tried.css';

type Slider = Schemas['SliderView'];

/** Steps that an arrow goes with Shift held down. */
const LONG = 10;
/** What is taken whole from elsewhere, in the order in which it is offered. */
const TAKEN: readonly PartTried[] = ['spring', 'lobe'];

interface Props {
  place: string;
  sliders: readonly Slider[];
  parts: readonly Schemas['PartChoiceView'][];
  tried: readonly Tried[];
  onTry: (tried: Tried[]) => void;
  /** The hand rests: what is tried is worth keeping in the address. */
  onRest: () => void;
}

/** What may be tried at a valve, each on a slider of its own; nothing of it is recorded. */
export function Sliders({ place, sliders, parts, tried, onTry, onRest }: Props) {
  const bench = useBench();
  return (
    <section className="what-if in-tried" aria-label={words.stack.whatIf} onPointerUp={onRest} onKeyUp={onRest} onBlur={onRest}>
      <header>
        <h3>{words.stack.whatIf}</h3>
        <span className="note">{words.stack.whatIfNote}</span>
        <span className="keys">
          <Keycap>←</Keycap>
          <Keycap>→</Keycap> {words.stack.step} <Keycap>Backspace</Keycap> {words.stack.asFound}
        </span>
        <Button size="small" disabled={tried.length === 0} onClick={() => keepAsRemedy(bench, tried, triedWords(tried, sliders, parts))}>
          {words.stack.asRemedy}
        </Button>
        <Button size="small" disabled={tried.length === 0} onClick={() => onTry([])}>
          {words.stack.allAsFound}
        </Button>
      </header>
      <div className="sliders">
        {sliders.map((slider) => (
          <OneSlider
            key={slider.name}
            slider={slider}
            tried={triedOf(tried, slider.name)}
            onTry={(to) => onTry(withSlider(tried, place, slider, to))}
          />
        ))}
        {TAKEN.filter((part) => parts.some((one) => one.part === part)).map((part) => (
          <div key={part} className="slider">
            <span>{words.stack.part[part]}</span>
            <Choice
              value={partOf(tried, part) ?? ''}
              label={words.stack.part[part]}
              width="100%"
              onChange={(from) => onTry(withPart(tried, place, part, from === '' ? null : from))}
              options={[
                { value: '', label: words.stack.partAsFound[part] },
                ...parts
                  .filter((one) => one.part === part)
                  .map((one) => ({
                    value: one.from,
                    label: one.isShelved ? words.stack.onShelf(one.name) : words.stack.offEngine(one.name),
                  })),
              ]}
            />
          </div>
        ))}
      </div>
    </section>
  );
}

function OneSlider({ slider, tried, onTry }: { slider: Slider; tried: number | null; onTry: (to: number | null) => void }) {
  const at = tried ?? slider.found;
  const share = (figure: number): string => `${(100 * (figure - slider.from)) / (slider.to - slider.from)}%`;
  const step = (by: number): void => onTry(onStep(slider, at + by * slider.step));
  const onKeyDown = useKeys([
    { shown: '← →', does: words.keysDo.sliderStep, on: /^Arrow(Right|Up)$/, shift: false, run: () => step(1) },
    { shown: '← →', does: words.keysDo.sliderStep, on: /^Arrow(Left|Down)$/, shift: false, run: () => step(-1) },
    { shown: 'Shift ← →', does: words.keysDo.sliderLong, on: /^Arrow(Right|Up)$/, shift: true, run: () => step(LONG) },
    { shown: 'Shift ← →', does: words.keysDo.sliderLong, on: /^Arrow(Left|Down)$/, shift: true, run: () => step(-LONG) },
    { shown: 'Backspace', does: words.keysDo.sliderBack, on: /^Backspace$/, run: () => onTry(null) },
  ]);
  const [low, high] = [Math.min(at, slider.found), Math.max(at, slider.found)];
  return (
    <label className={tried === null ? 'slider' : 'slider is-tried'}>
      <span>{slider.label}</span>
      <span className="figures">{slider.found.toFixed(slider.decimals)}</span>
      <span className="rail">
        <i style={{ left: share(low), right: `calc(100% - ${share(high)})` }} />
        <input
          type="range"
          min={slider.from}
          max={slider.to}
          step="any"
          value={at}
          aria-label={slider.label}
          aria-valuetext={`${at.toFixed(slider.decimals)} ${slider.unit === '1' ? '' : slider.unit}`}
          onChange={(event) => onTry(onStep(slider, Number(event.target.value)))}
          onKeyDown={onKeyDown}
        />
        <svg width="10" height="9" style={{ left: share(slider.found) }} aria-hidden="true">
          <path d="M1 8L5 1L9 8Z" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.2" />
        </svg>
      </span>
      <b className="figures">{tried === null ? words.stack.asFound : at.toFixed(slider.decimals)}</b>
    </label>
  );
}

import { Button } from 'antd';
import type { Schemas } from '../shared/api';
import { useBench } from '../entry/useBench';
import { words } from '../shared/messages';
import { triedWords } from '../tried/change';
import { triedSpeed, type Alternative } from './tried';

type Motion = Schemas['MotionView'];
type Margin = Schemas['MarginView'];

interface Props {
  motion: Motion;
  alternatives: readonly Alternative[];
  onDrop: (which: number) => void;
}

/** As found against what is tried: the speeds, and what more spring or less is paid with, each against its limit; beside it the use. */
export function Beside({ motion, alternatives, onDrop }: Props) {
  const kept = alternatives.filter((one) => one.name !== words.motion.tried);
  const heads = (
    <>
      <th className="num">{words.motion.found}</th>
      {alternatives.map((one) => (
        <th key={one.name} className="num tried" title={triedWords(one.tried, motion.sliders, motion.parts)}>
          {one.name}
        </th>
      ))}
    </>
  );
  return (
    <>
      <table className="thresholds">
        <thead>
          <tr>
            <th scope="col">{words.motion.thresholds}</th>
            {heads}
          </tr>
        </thead>
        <tbody>
          {motion.thresholds.map((one) => (
            <tr key={one.name}>
              <th scope="row">{words.motion.names[one.name]}</th>
              <td className="num">
                {one.found ?? '–'}
                {one.plusMinus !== null && <small> ±{one.plusMinus}</small>}
              </td>
              {alternatives.map((other) => (
                <td key={other.name} className="num tried">
                  {other.motion === undefined ? '…' : (triedSpeed(other, one.name) ?? '–')}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {kept.map((one, i) => (
        <p key={one.name} className="beside">
          <b className="enamel">{one.name}</b> {triedWords(one.tried, motion.sliders, motion.parts)}
          <Button size="small" type="link" onClick={() => onDrop(i)} aria-label={words.motion.dropNamed(one.name)}>
            {words.motion.drop}
          </Button>
        </p>
      ))}
      <table className="thresholds">
        <thead>
          <tr>
            <th scope="col">{words.motion.moreOrLess}</th>
            {heads}
          </tr>
        </thead>
        <tbody>
          <FloatMargin motion={motion} alternatives={alternatives} />
          {motion.weighed.map((one) => (
            <tr key={one.name}>
              <th scope="row">
                {one.found.title}
                <small>{one.found.limitWords}</small>
              </th>
              <td className="num">
                <Figure of={one.found} />
              </td>
              {alternatives.map((other) => (
                <td key={other.name} className="num tried">
                  <Figure of={other.motion?.weighed.find((weighed) => weighed.name === one.name)?.tried ?? null} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** What more spring or less is weighed by: both sides, and what the engine is for. */
export function Use() {
  const { view } = useBench();
  const use = [view.story.answers['use'], view.story.answers['stands']].filter((one) => one !== undefined && one !== '');
  return (
    <>
      <p className="use">
        <b>{words.motion.use}</b> {use.length === 0 ? words.motion.noUse : use.join(' ')}
      </p>
      <p className="note">{words.motion.bothSides}</p>
    </>
  );
}

/** How far the speed of float lies beyond the highest that it saw. */
function FloatMargin({ motion, alternatives }: Omit<Props, 'onDrop'>) {
  const { highest } = motion;
  if (highest === null) return null;
  const beyond = (speed: number | null | undefined) => {
    if (speed === null || speed === undefined) return '–';
    const by = speed - highest;
    return <span className={by < 0 ? 'wrong' : undefined}>{by.toFixed(0).replace('-', '−')}</span>;
  };
  return (
    <tr>
      <th scope="row">
        {words.motion.floatBeyond}
        <small>{words.motion.highest(highest)}</small>
      </th>
      <td className="num">{beyond(motion.thresholds.find((one) => one.name === 'float')?.found)}</td>
      {alternatives.map((one) => (
        <td key={one.name} className="num tried">
          {one.motion === undefined ? '…' : beyond(one.motion.thresholds.find((other) => other.name === 'float')?.tried)}
        </td>
      ))}
    </tr>
  );
}

/** In lead where its limit is passed. */
const Figure = ({ of }: { of: Margin | null }) => (
  <span className={of?.verdict.startsWith('outside') === true ? 'wrong' : undefined} title={of?.verdictWords}>
    {of?.value?.figure.replace('-', '−') ?? '–'}
  </span>
);

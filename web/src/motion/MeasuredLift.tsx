import { Button, Input } from 'antd';
import { useState } from 'react';
import { useBench } from '../entry/useBench';
import type { Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { words } from '../shared/messages';
import { readPasted } from '../shared/pasted';
import { placeOfKind, whoseWords, WhoseLobe, type Kind } from './WhoseLobe';

/** As few points make no curve. */
const LEAST = 24;
const WHEELS = ['cam', 'crank'] as const;

interface Props {
  motion: Schemas['MotionView'];
  kind: Kind;
}

/** The lift of a lobe as it was measured: what stands, and a table taken from a file, pasted or typed. It goes before the card. */
export function MeasuredLift({ motion, kind }: Props) {
  const { withdraw } = useBench();
  const [isTaking, setTaking] = useState(false);
  const { measured } = motion;
  const slot = (place: string) => ({ place, part: 'lobe', item: 'lift', index: null });
  return (
    <section aria-label={words.motion.table.head}>
      <h3>{words.motion.table.head}</h3>
      {measured === null ? (
        <p className="note">{words.motion.table.none}</p>
      ) : (
        <p>
          {words.motion.table.stands(measured.label, measured.degrees.length, measured.gauge)}{' '}
          <small className="note">
            {words.motion.table.noise(`${measured.noise.toFixed(motion.unitLength === 'in' ? 5 : 4)} ${motion.unitLength}`)}
          </small>
        </p>
      )}
      <div className="acts-row">
        <Button size="small" disabled={isTaking} onClick={() => setTaking(true)}>
          {measured === null ? words.motion.table.take : words.motion.table.takeAgain}
        </Button>
        {measured !== null && (
          <Button size="small" className="take-back" onClick={() => withdraw(slot(measured.place), words.motion.table.of(measured.label))}>
            {words.motion.table.takeBack}
          </Button>
        )}
      </div>
      {isTaking && <Taking motion={motion} kind={kind} onDone={() => setTaking(false)} />}
    </section>
  );
}

function Taking({ motion, kind, onDone }: Props & { onDone: () => void }) {
  const { view, record } = useBench();
  const [pasted, paste] = useState('');
  const [wheel, setWheel] = useState<(typeof WHEELS)[number]>('cam');
  const [place, setPlace] = useState(placeOfKind(kind));
  const { points, badLine } = readPasted(pasted);
  const unit = view.settings.units === 'inch' ? 'in' : 'mm';
  const label = whoseWords(motion, kind, place);
  const keep = (): void => {
    record(
      'lift',
      { place, part: 'lobe', item: 'lift', index: null },
      { points, wheel, liftUnit: unit },
      words.motion.table.kept(label, points.length),
    );
    onDone();
  };
  return (
    <div className="taking">
      <WhoseLobe motion={motion} kind={kind} place={place} onChange={setPlace} />
      <Choice<(typeof WHEELS)[number]>
        value={wheel}
        label={words.motion.table.wheel}
        width="100%"
        onChange={setWheel}
        options={WHEELS.map((value) => ({ value, label: words.motion.table.wheels[value] }))}
      />
      <label className="from-file">
        {words.motion.table.file}
        <input
          type="file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file !== undefined) void file.text().then(paste);
          }}
        />
      </label>
      <Input.TextArea
        value={pasted}
        aria-label={words.motion.table.paste(unit)}
        placeholder={`${words.motion.table.paste(unit)}\n-70 0.0012\n-68 0.0031`}
        autoSize={{ minRows: 4, maxRows: 9 }}
        onChange={(event) => paste(event.target.value)}
      />
      {badLine !== null && (
        <p className="wrong" role="alert">
          {words.motion.table.badLine(badLine)}
        </p>
      )}
      <div className="acts-row">
        <Button type="primary" disabled={points.length < LEAST || badLine !== null} onClick={keep}>
          {points.length < LEAST ? words.motion.table.least(points.length, LEAST) : words.motion.table.keep(points.length)}
        </Button>
        <Button onClick={onDone}>{words.motion.table.cancel}</Button>
      </div>
    </div>
  );
}

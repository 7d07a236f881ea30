import { useQuery } from '@tanstack/react-query';
import { Button, InputNumber, Progress, Select } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useBench } from '../entry/useBench';
import { answer, api, Refused, type EntryView, type Schemas } from '../shared/api';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { sendBytes } from '../shared/sendFile';
import { clock } from '../shared/clock';
import { LogChart } from './LogChart';
import { StatePeak } from './StatePeak';

type File_ = Schemas['LogFileView'];
type Format = Schemas['LogFormatView'];
type Thresholds = Schemas['ThresholdsView'];
type Channel = Format['columns'][number]['channel'];

/** The log of the run: chosen, its columns checked, read in a stream, and what was found in it. */
export function Logs() {
  const { slots } = useBench();
  const [file, setFile] = useState<File_ | null>(null);
  const logs = slots.standing('log');
  return (
    <div className="logs">
      {logs.map((log) => (
        <Log key={log.index} log={log} />
      ))}
      <Choose onKept={setFile} />
      {file && <Mapping key={file.sha256} file={file} onDone={() => setFile(null)} />}
    </div>
  );
}

/** Sends a log as it is; the server keeps it byte for byte and says how it takes it to be written. */
function Choose({ onKept }: { onKept: (file: File_) => void }) {
  const { view } = useBench();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const take = async (file: File): Promise<void> => {
    setBusy(true);
    setProblem(null);
    try {
      onKept(await sendBytes<File_>(`/api/cases/${view.id}/logs`, file.name, file));
    } catch (error) {
      setProblem(`${file.name}: ${failureWords(error)}`);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="acts-row">
      <Button loading={busy} onClick={() => input.current?.click()}>
        {words.log.choose}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        accept=".csv,.txt,.log,text/csv"
        aria-label={words.log.choose}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      {problem === null ? (
        <span className="note">{words.log.hint}</span>
      ) : (
        <span className="wrong" role="alert">
          {problem}
        </span>
      )}
    </div>
  );
}

/** The columns as they were recognised, to be corrected, and what counts as an event. */
function Mapping({ file, onDone }: { file: File_; onDone: () => void }) {
  const { record } = useBench();
  const [format, setFormat] = useState<Format>(file.format);
  const [thresholds, setThresholds] = useState<Thresholds>(file.thresholds);
  const [problem, setProblem] = useState<string | null>(null);
  const sample = file.sample.map((line) => line.split(format.delimiter));
  const columnOf = (index: number) => format.columns.find((one) => one.index === index);
  const set = (index: number, channel: Channel | null, unit?: string): void =>
    setFormat((old) => ({
      ...old,
      columns: [
        ...old.columns.filter((one) => one.index !== index && one.channel !== channel),
        ...(channel === null ? [] : [{ index, channel, unit: unit ?? file.channels.find((one) => one.code === channel)?.units[0] ?? '' }]),
      ],
    }));
  const read = async (): Promise<void> => {
    try {
      await answer(api.POST('/api/logs/{sha256}/analyses', { params: { path: { sha256: file.sha256 } }, body: { format, thresholds } }));
      record(
        'log',
        { place: 'engine', part: 'timeline', item: 'log', index: file.sha256.slice(0, 16) },
        { sha256: file.sha256, fileName: file.fileName, format, thresholds },
        file.fileName,
      );
      onDone();
    } catch (error) {
      setProblem(failureWords(error));
    }
  };
  const threshold = (key: keyof Thresholds, label: string) => (
    <label>
      <span>{label}</span>
      <InputNumber
        value={thresholds[key]}
        aria-label={label}
        onChange={(value) => setThresholds((old) => ({ ...old, [key]: value ?? (key === 'limiter' ? null : 0) }))}
      />
    </label>
  );
  return (
    <section className="mapping" aria-label={file.fileName}>
      <h3>{file.fileName}</h3>
      {file.doubts.map((doubt) => (
        <p key={doubt} className="wrong">
          {doubt}
        </p>
      ))}
      <div className="acts-row">
        <label>
          {words.log.delimiter}{' '}
          <Select
            value={format.delimiter}
            aria-label={words.log.delimiter}
            style={{ width: 130 }}
            onChange={(delimiter) => setFormat((old) => ({ ...old, delimiter }))}
            options={([',', ';', '\t', '|'] as const).map((value) => ({ value, label: words.log.delimiters[value] }))}
          />
        </label>
        <label>
          {words.log.decimal}{' '}
          <Select
            value={format.decimal}
            aria-label={words.log.decimal}
            style={{ width: 110 }}
            onChange={(decimal) => setFormat((old) => ({ ...old, decimal }))}
            options={(['.', ','] as const).map((value) => ({ value, label: words.log.decimals[value] }))}
          />
        </label>
      </div>
      <table>
        <thead>
          <tr>
            <th>{words.log.column}</th>
            <th>{words.log.holds}</th>
            <th>{words.log.unit}</th>
            <th>{words.log.sample}</th>
          </tr>
        </thead>
        <tbody>
          {format.headers.map((header, index) => {
            const column = columnOf(index);
            return (
              <tr key={index}>
                <td>{header}</td>
                <td>
                  <Select<Channel | ''>
                    value={column?.channel ?? ''}
                    aria-label={`${header} ${words.log.holds}`}
                    style={{ width: 190 }}
                    onChange={(channel) => set(index, channel === '' ? null : channel)}
                    options={[
                      { value: '' as const, label: words.log.nothing },
                      ...file.channels.map((one) => ({ value: one.code, label: one.label })),
                    ]}
                  />
                </td>
                <td>
                  {column && (
                    <Select
                      value={column.unit}
                      aria-label={`${header} ${words.log.unit}`}
                      style={{ width: 110 }}
                      onChange={(unit) => set(index, column.channel, unit)}
                      options={(file.channels.find((one) => one.code === column.channel)?.units ?? []).map((unit) => ({
                        value: unit,
                        label: unit === '' ? '0 to 1' : unit,
                      }))}
                    />
                  )}
                </td>
                <td className="figures quiet">{sample.map((cells) => cells[index]?.trim()).join('   ')}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="questions thresholds">
        {threshold('over_speed', words.log.overSpeed)}
        {threshold('limiter', words.log.limiter)}
        {threshold('oil_per_thousand', words.log.oilPerThousand)}
        {threshold('oil_temperature', words.log.oilTemperature)}
      </div>
      <div className="acts-row">
        <Button type="primary" onClick={() => void read()}>
          {words.log.read}
        </Button>
        {problem !== null && (
          <span className="wrong" role="alert">
            {problem}
          </span>
        )}
      </div>
    </section>
  );
}

const LOOK_EVERY = 400;

/** A log of this case: being read, or read with what was found. */
function Log({ log }: { log: EntryView }) {
  const { withdraw } = useBench();
  const format = log.content.format as Format | undefined;
  const thresholds = log.content.thresholds as Thresholds | undefined;
  const sha256 = log.content.sha256 ?? '';
  const analysis = useQuery({
    queryKey: ['log-analysis', sha256, format, thresholds],
    enabled: format !== undefined && thresholds !== undefined,
    retry: false,
    queryFn: () =>
      answer(
        api.POST('/api/logs/{sha256}/analyses', {
          params: { path: { sha256 } },
          body: { format: format as Format, thresholds: thresholds as Thresholds },
        }),
      ),
    refetchInterval: (query) => (query.state.data?.state === 'waiting' || query.state.data?.state === 'reading' ? LOOK_EVERY : false),
  });
  const data = analysis.data;
  const [stretch, setStretch] = useState<readonly [number, number] | null>(null);
  const result = data?.result ?? null;
  useEffect(() => {
    if (result !== null && stretch === null) setStretch([result.from, result.to]);
  }, [result, stretch]);
  const cancel = async (): Promise<void> => {
    if (!data) return;
    await answer(api.DELETE('/api/log-analyses/{id}', { params: { path: { id: data.id } } }));
    withdraw(log, log.content.fileName ?? '');
  };
  const channels = (format?.columns ?? [])
    .filter((column) => column.channel !== 'time')
    .map((column) => ({ code: column.channel, ...CHANNEL[column.channel] }));
  return (
    <section className="log" aria-label={log.content.fileName}>
      <header className="acts-row">
        <h3>{log.content.fileName}</h3>
        {result && (
          <span className="quiet figures">
            {words.log.reading(result.rows)}, {clock(result.to - result.from)}
          </span>
        )}
        <button type="button" className="take-back" onClick={() => withdraw(log, log.content.fileName ?? '')}>
          {words.log.remove}
        </button>
      </header>
      {analysis.error !== null && (
        <p className="wrong">
          {analysis.error instanceof Refused && analysis.error.problem.status === 404 ? words.log.notHere : analysis.error.message}
        </p>
      )}
      {(data?.state === 'failed' || data?.state === 'fault') && (
        <p className="warn" role="alert">
          {data.message} {data.state === 'fault' && <Button onClick={() => void analysis.refetch()}>{words.log.readAgain}</Button>}
        </p>
      )}
      {(data?.state === 'waiting' || data?.state === 'reading') && (
        <div className="acts-row" role="status">
          <Progress percent={Math.round(data.done * 100)} showInfo={false} style={{ width: 300 }} /> {words.log.reading(data.rows)}
          <Button onClick={() => void cancel()}>{words.log.cancel}</Button>
        </div>
      )}
      {result && stretch && data && (
        <>
          <ul className="log-totals" aria-label={words.log.found}>
            {result.totals.map((total) => (
              <li key={total.kind} className={total.count > 0 && total.kind !== 'at_limiter' ? 'wrong-line' : ''}>
                <span>{total.label}</span>{' '}
                <b className="figures">
                  {total.count === 0 ? words.log.never : `${words.log.times(total.count)}, ${total.seconds.toFixed(1)} s`}
                </b>
              </li>
            ))}
          </ul>
          <LogChart
            analysis={data.id}
            result={result}
            overSpeed={thresholds?.over_speed ?? 0}
            channels={channels}
            stretch={stretch}
            onStretch={(a, b) => setStretch([a, b])}
          />
          <p className="note">
            {words.log.zoomHint}{' '}
            <button type="button" className="take-back" onClick={() => setStretch([result.from, result.to])}>
              {words.log.whole}
            </button>
          </p>
          <div className="found">
            <table aria-label={words.log.peaks}>
              <tbody>
                {result.peaks.map((peak) => (
                  <tr key={peak.channel}>
                    <th scope="row">{peak.label}, most</th>
                    <td className="figure">
                      {formatted(peak.value)} {peak.unit}
                    </td>
                    <td>
                      <button
                        type="button"
                        className="take-back"
                        onClick={() => setStretch([Math.max(result.from, peak.time - 3), Math.min(result.to, peak.time + 3)])}
                      >
                        {words.log.at(clock(peak.time))}
                      </button>
                    </td>
                    <td>
                      <StatePeak peak={peak} figure={formatted(peak.value)} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <ol className="episodes" aria-label={words.log.events}>
              {result.episodes.slice(0, 40).map((one) => (
                <li key={`${one.kind}.${one.from}`}>
                  <button
                    type="button"
                    className="take-back"
                    onClick={() => setStretch([Math.max(result.from, one.from - 2), Math.min(result.to, one.from + one.seconds + 2)])}
                  >
                    {clock(one.from)}
                  </button>{' '}
                  {one.label}, {one.seconds.toFixed(2)} s, {one.kind === 'oil_low' ? 'least' : 'most'} {formatted(one.worst)} {one.unit}
                  {one.kind === 'oil_low' ? ` at ${one.speed.toFixed(0)} 1/min` : ''}
                </li>
              ))}
            </ol>
          </div>
        </>
      )}
    </section>
  );
}

const formatted = (value: number): string => (Math.abs(value) >= 100 ? value.toFixed(0) : value.toFixed(2));

const CHANNEL: Record<Channel, { label: string; unit: string }> = {
  time: { label: 'time', unit: 's' },
  speed: { label: 'engine speed', unit: '1/min' },
  boost: { label: 'boost', unit: 'bar' },
  exhaust_pressure: { label: 'exhaust pressure', unit: 'bar' },
  oil_pressure: { label: 'oil pressure', unit: 'bar' },
  oil_temperature: { label: 'oil temperature', unit: '°C' },
  throttle: { label: 'throttle', unit: '%' },
};

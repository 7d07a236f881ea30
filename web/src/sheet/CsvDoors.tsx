import { Button } from 'antd';
import { useRef, useState } from 'react';
import { useBench } from '../entry/useBench';
import { answer, api, type Schemas } from '../shared/api';
import { Choice } from '../shared/Choice';
import { Dialog } from '../shared/Dialog';
import { failureWords } from '../shared/failure';
import { words } from '../shared/messages';
import { say } from '../shared/saying';

type Read = Schemas['SheetCsvView'];

const NOTHING = '–';

interface Props {
  sheet: string;
  title: string;
  /** The test height of a column by its quantity and index: nothing where it has none, empty where it is not known. */
  heightOf: (item: string, index: string | null) => string | null;
}

/** A sheet as a table for a spreadsheet, and a table of whatever hand onto the sheet: all of it as one stroke, or nothing. */
export function CsvDoors({ sheet, title, heightOf }: Props) {
  const { view, recordAll } = useBench();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [read, setRead] = useState<Read | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const ask = async (text: string, mapping?: readonly string[]): Promise<void> => {
    setProblem(null);
    try {
      setRead(
        await answer(
          api.POST('/api/cases/{id}/sheets/{sheet}/csv', {
            params: { path: { id: view.id, sheet } },
            body: { text, ...(mapping === undefined ? {} : { mapping: [...mapping] }) },
          }),
        ),
      );
    } catch (error) {
      setRead(null);
      setProblem(failureWords(error));
    }
  };
  const close = (): void => {
    setFile(null);
    setRead(null);
    setProblem(null);
  };
  const heightless = read?.cells.filter((cell) => heightFor(cell, heightOf) === '') ?? [];
  const take = (): void => {
    if (read === null) return;
    const told = words.csv.taken(read.cells.length, file?.name ?? '');
    recordAll(
      read.cells.map((cell) => {
        const { place, part, item, index, text } = cell;
        const height = heightFor(cell, heightOf);
        return {
          kind: 'reading' as const,
          slot: { place, part, item, index },
          data: { text, ...(height === null ? {} : { atText: height }) },
        };
      }),
      told,
    );
    say(told);
    close();
  };
  return (
    <>
      <a className="act-button" href={`/api/cases/${view.id}/sheets/${sheet}/readings.csv`} download>
        {words.csv.out}
      </a>
      <button type="button" className="act-button" onClick={() => input.current?.click()}>
        {words.csv.in}
      </button>
      <input
        ref={input}
        type="file"
        accept=".csv,.txt,.tsv,text/csv"
        className="unseen"
        tabIndex={-1}
        aria-label={words.csv.in}
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          event.target.value = '';
          if (chosen === undefined) return;
          void chosen.text().then((text) => {
            setFile({ name: chosen.name, text });
            return ask(text);
          });
        }}
      />
      <Dialog open={file !== null} onClose={close} width={760} title={words.csv.title(file?.name ?? '', title)}>
        {problem !== null && (
          <p className="wrong" role="alert">
            {problem}
          </p>
        )}
        {read !== null && file !== null && (
          <>
            <p className="note">{words.csv.hint}</p>
            <table className="csv-columns">
              <tbody>
                {read.headers.map((header, i) => (
                  <tr key={`${i} ${header}`}>
                    <th scope="row">{header === '' ? words.csv.column(i + 1) : header}</th>
                    <td>
                      <Choice
                        value={read.mapping[i] === '' ? NOTHING : (read.mapping[i] ?? NOTHING)}
                        label={words.csv.means(header)}
                        width={360}
                        onChange={(code) =>
                          void ask(
                            file.text,
                            read.mapping.map((one, other) => (other !== i ? one : code === NOTHING ? '' : code)),
                          )
                        }
                        options={[
                          { value: NOTHING, label: words.csv.leftOut },
                          ...read.targets.map((one) => ({ value: one.code, label: one.label })),
                        ]}
                      />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            {read.refusals.length > 0 && (
              <ul className="refusals" role="alert">
                {read.refusals.map((one) => (
                  <li key={`${one.line} ${one.column} ${one.reason}`}>{words.csv.refused(one.line, one.column, one.reason)}</li>
                ))}
              </ul>
            )}
            {heightless.length > 0 && <p className="wrong">{words.bench.heightMissing}</p>}
            <div className="acts-row">
              <Button type="primary" disabled={read.refusals.length > 0 || read.cells.length === 0 || heightless.length > 0} onClick={take}>
                {words.csv.take(read.cells.length)}
              </Button>
              <Button onClick={close}>{words.csv.leave}</Button>
            </div>
          </>
        )}
      </Dialog>
    </>
  );
}

/** Loads stand at a height: that which the table tells, else that of the column; nothing where it is none, empty where it is missing. */
const heightFor = ({ item, index, atText }: Read['cells'][number], heightOf: Props['heightOf']): string | null =>
  atText ?? heightOf(item, index);

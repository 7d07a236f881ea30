import { Button } from 'antd';
import { words } from '../shared/messages';

interface Props {
  /** What differs: its name, theirs, and what stands here. */
  differences: readonly { name: string; theirs: string; mine: string }[];
  onTake: () => void;
}

/** What another hand wrote meanwhile beside what stands here, only where they differ. Neither replaces the other unseen. */
export function Theirs({ differences, onTake }: Props) {
  return (
    <div className="warn theirs" role="alert">
      <h3>{words.document.overtaken}</h3>
      <table>
        <thead>
          <tr>
            <th aria-label={words.document.what} />
            <th>{words.document.theirs}</th>
            <th>{words.document.mine}</th>
          </tr>
        </thead>
        <tbody>
          {differences.map((one) => (
            <tr key={one.name}>
              <th scope="row">{one.name}</th>
              <td>{one.theirs || words.document.nothing}</td>
              <td>{one.mine || words.document.nothing}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="note">{words.document.choose}</p>
      <Button onClick={onTake}>{words.document.take}</Button>
    </div>
  );
}

import { Modal } from 'antd';
import { Keycap } from '../draw/Tag';
import { words } from '../shared/messages';

const OF_STEP: Record<string, readonly (readonly [string, string])[]> = {
  teardown: words.keysOf.teardown,
  bench: words.keysOf.bench,
  before: [...words.keysOf.bench, ...words.keysOf.gauge],
  story: words.keysOf.story,
};

export function KeysDialog({ step, open, onClose }: { step: string; open: boolean; onClose: () => void }) {
  const rows = [...(OF_STEP[step] ?? []), ...words.keysOf.plan, ...words.keysOf.everywhere];
  return (
    <Modal open={open} onCancel={onClose} footer={null} title="Keys of this place" transitionName="" maskTransitionName="">
      <table>
        <tbody>
          {rows.map(([key, does]) => (
            <tr key={key + does}>
              <td style={{ height: 34, width: 120 }}>
                <Keycap>{key}</Keycap>
              </td>
              <td>{does}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}

import { Keycap } from '../draw/Tag';
import { useListedKeys } from '../shared/keys';
import { Dialog } from '../shared/Dialog';
import { words } from '../shared/messages';

/** The keys that mean something where the person is: those that are handled, no others. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const listed = useListedKeys();
  return (
    <Dialog open={open} onClose={onClose} title={words.keysTitle}>
      <table>
        <tbody>
          {open &&
            [...listed(), ...words.keysListed].map(({ shown, does }) => (
              <tr key={shown + does}>
                <td style={{ height: 34, width: 120 }}>
                  <Keycap>{shown}</Keycap>
                </td>
                <td>{does}</td>
              </tr>
            ))}
        </tbody>
      </table>
    </Dialog>
  );
}

import { Modal } from 'antd';
import styles from './Shell.module.css';

const KEYS: readonly (readonly [keys: string, what: string])[] = [
  ['/  or  Ctrl K', 'Find a pattern, class or fibre, or do something'],
  ['?', 'These keys'],
  ['Ctrl Z', 'Take back the last change to a pattern'],
  ['Ctrl Shift Z', 'Do it again'],
  ['Ctrl S', 'Save a pattern at once (it saves itself)'],
  ['↑ ↓', 'From part to part, step to step, row to row'],
  ['↑ ↓ in a size', 'A millimetre or a sixteenth more or less; with Shift five'],
  ['← → ↑ ↓', 'On the shelf: from drawer to drawer; Home and End to its ends'],
  ['Alt ↑  Alt ↓', 'Move this part or step up or down'],
  ['Enter', 'Open the part or step, and close it again'],
  ['Ctrl D', 'Duplicate this part or step'],
  ['Delete', 'Delete this part or step (it can be undone)'],
  [
    '← →  on the ladder',
    'Read along it; Alt ↑ ↓ puts a step on another rung, Delete gives it back to the school',
  ],
  ['1 – 9  at the tray', 'One more of that needle, with Shift one less; O I B S: out, in, broken, sold'],
  ['Ctrl Enter', 'Add another part or step after this one'],
];

export function KeysHelp({ onClose }: { onClose: () => void }) {
  return (
    <Modal open title="Keys" footer={null} onCancel={onClose} width={520}>
      <table className={styles.keys}>
        <tbody>
          {KEYS.map(([keys, what]) => (
            <tr key={keys}>
              <td>
                <kbd>{keys}</kbd>
              </td>
              <td>{what}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Modal>
  );
}

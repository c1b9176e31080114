'use client';
import '../kit/tableStyles';
import { Modal, Table } from '@mantine/core';

const KEYS = [
  ['1 – 5', 'left hand, little finger to thumb'],
  ['6 – 0', 'right hand, thumb to little finger'],
  ['Shift 1 – 0', 'add the nail to the selection'],
  ['A – L', 'put the look with that letter on the selected nails'],
  ['Alt . and Alt ,', 'the next view, the one before'],
  ['Ctrl A', 'all ten nails'],
  ['N', 'in Design: a new look for the chosen nails'],
  ['+', 'in Design: add something to the open look'],
  ['O', 'in Design: a colour of your own'],
  ['M', 'mirror the hand of the selected nail to the other hand'],
  ['← →', 'the nail beside'],
  ['Ctrl Z, Ctrl Y', 'undo, redo'],
  ['↑ ↓, Delete', 'on a film in Design: the one above or below; taken out'],
  ['Alt ↑ ↓', 'in Plate to top: move the step you are on; in Design: lay the film over or under'],
  ['↑ ↓ ← →', 'on a handle: 0.1 mm; with Shift 1 mm'],
  ['Shift, press', 'on a handle: move it along with the others'],
  ['Ctrl C, Ctrl V', 'in Design: the held pieces or stones copied, and laid into the open look'],
  ['Ctrl D', 'on a handle: the piece or stone once more, beside it'],
  ['Delete', 'on a handle: the piece or stone taken out'],
  ['Alt, drag', 'a handle: free of lines it would fall into'],
  ['Escape', 'what is being dragged goes back'],
  ['?', 'this list'],
] as const;

export function KeysHelp({ onClose }: { onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title="Keys" centered size="lg">
      <Table>
        <Table.Tbody>
          {KEYS.map(([keys, words]) => (
            <Table.Tr key={keys}>
              <Table.Td style={{ whiteSpace: 'nowrap', fontWeight: 600 }}>{keys}</Table.Td>
              <Table.Td>{words}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Modal>
  );
}

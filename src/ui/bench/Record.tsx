'use client';
import { Button, Modal, Table, TextInput } from '@mantine/core';
import { IconDownload } from '@tabler/icons-react';
import { useState } from 'react';
import type { Bench } from '@/core/bench/log';
import { MOST_NOTE } from '@/core/bench/log';
import { recordOf } from '@/core/bench/record';
import { recordCsv } from '@/core/files/recordCsv';
import { upperFirst } from '@/core/model/letters';
import type { NailName } from '@/core/model/names';
import { downloadText, fileName } from '../kit/download';
import '../kit/tableStyles';
import { clockWords } from '@/core/model/times';
import { Photos } from './Photos';
import { whoseNails } from '../kit/whose';
import classes from './BenchView.module.css';

interface Props {
  title: string;
  bench: Bench;
  worked: NailName[];
  /** A note to what is done now. */
  onNote: (text: string) => void;
  onClose: () => void;
}

/** What was done at the table, and how long it took beside what was planned; notes are written into it. */
export function Record({ title, bench, worked, onNote, onClose }: Props) {
  const [note, setNote] = useState('');
  const lines = recordOf(bench);
  const start = lines[0]?.at_ms ?? 0;
  return (
    <Modal opened onClose={onClose} title={`The record of ${title}`} size={860}>
      <form
        className={classes.note}
        onSubmit={(event) => {
          event.preventDefault();
          if (note.trim() === '') return;
          onNote(note.trim());
          setNote('');
        }}
      >
        <TextInput
          aria-label="Note"
          placeholder="A note: the magnet’s angle, a marble’s parts …"
          maxLength={MOST_NOTE}
          value={note}
          onChange={({ currentTarget }) => setNote(currentTarget.value)}
        />
        <Button type="submit" variant="default" disabled={note.trim() === ''}>
          Note it
        </Button>
        <Button
          variant="default"
          leftSection={<IconDownload size={18} />}
          onClick={() => downloadText(`${fileName(title)}-record.csv`, recordCsv(bench))}
        >
          CSV
        </Button>
      </form>
      <Photos set={bench.set} start_ms={start} />
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>At</Table.Th>
            <Table.Th>Nails</Table.Th>
            <Table.Th>Done</Table.Th>
            <Table.Th>Took, of planned</Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {lines.map((line, i) => (
            <Table.Tr key={i}>
              <Table.Td>{clockWords((line.at_ms - start) / 1000)}</Table.Td>
              <Table.Td>{line.nails.length > 0 ? whoseNails(line.nails, worked) : ''}</Table.Td>
              <Table.Td>{upperFirst(line.words)}</Table.Td>
              <Table.Td>
                {line.took_s === undefined
                  ? ''
                  : `${clockWords(line.took_s)} of ${clockWords(line.planned_s ?? 0)}`}
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Modal>
  );
}

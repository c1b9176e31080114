'use client';
import { Button, Modal, TextInput } from '@mantine/core';
import { useRef, useState, type ReactNode } from 'react';
import type { KeptMotif } from '@/core/craft/keptMotif';
import { decodeText } from '@/core/files/decodeText';
import { readMotifs, writeMotifs } from '@/core/files/motifFile';
import { motifSvg } from '@/core/picture/motifSvg';
import { faultWords } from '@/core/model/placeWords';
import { putMotifs, renameMotif } from '@/data/motifs';
import { downloadBlob, downloadText, fileName } from '../kit/download';
import { BrokenRows } from '../kit/BrokenRows';
import { FileInput } from '../kit/FileInput';
import { MoreMenu } from '../kit/MoreMenu';
import { notify, notKept } from '../kit/notify';
import { removeAndOffer } from '../kit/removeAndOffer';
import { useBroken } from '../kit/useBroken';
import classes from './AddTray.module.css';

const TABLES = ['motifs'] as const;

interface Props {
  motifs: readonly KeptMotif[];
  /** What is shown of each, nothing where it is not sought. */
  children: (motif: KeptMotif) => ReactNode;
}

/** The artist's own motifs, over what the program has: to be taken, called otherwise, exported, removed; and the library as a file. */
export function MotifShelf({ motifs, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const broken = useBroken(TABLES);
  const [naming, setNaming] = useState<KeptMotif>();
  const shown = motifs
    .map((motif) => ({ motif, offer: children(motif) }))
    .filter(({ offer }) => offer !== undefined);
  async function take(file: File) {
    const text = decodeText(new Uint8Array(await file.arrayBuffer()));
    const read = text.ok ? readMotifs(text.value) : text;
    if (!read.ok) {
      notify(`“${file.name}” was not taken in: ${faultWords(read.faults[0]!)}. Nothing was changed.`);
      return;
    }
    await putMotifs(read.value);
    notify(
      `${read.value.length === 1 ? 'One motif' : `${read.value.length} motifs`} taken into your library.`,
    );
  }
  return (
    <section aria-label="My motifs">
      <div className={classes.ownHead}>
        <h3>My motifs</h3>
        <MoreMenu
          label="More for my motifs"
          entries={[
            { key: 'in', words: 'Take in a library file', onPick: () => input.current?.click() },
            ...(motifs.length > 0
              ? [
                  {
                    key: 'out',
                    words: 'Export all as one file',
                    onPick: () => downloadText('My motifs.lacquer-motifs.json', writeMotifs(motifs)),
                  },
                ]
              : []),
          ]}
        />
        <FileInput
          input={input}
          accept=".json,application/json"
          label="Library of motifs"
          onFile={(file) => void take(file).catch(notKept)}
        />
      </div>
      {motifs.length === 0 && (
        <p className={classes.none}>
          What you draw can be kept for every set: in the menu of a motif, “Keep it in my motifs”.
        </p>
      )}
      {shown.length > 0 && (
        <ul className={classes.offers}>
          {shown.map(({ motif, offer }) => (
            <li key={motif.id} className={classes.own}>
              {offer}
              <MoreMenu
                label={`More for “${motif.name}”`}
                entries={[
                  { key: 'name', words: 'Call it otherwise', onPick: () => setNaming(motif) },
                  {
                    key: 'svg',
                    words: 'Export it as SVG',
                    onPick: () =>
                      downloadBlob(
                        `${fileName(motif.name)}.svg`,
                        new Blob([motifSvg(motif)], { type: 'image/svg+xml' }),
                      ),
                  },
                  {
                    key: 'remove',
                    words: 'Remove it from my motifs',
                    danger: true,
                    onPick: () =>
                      void removeAndOffer({ table: 'motifs', key: motif.id, title: motif.name }).catch(
                        notKept,
                      ),
                  },
                ]}
              />
            </li>
          ))}
        </ul>
      )}
      <BrokenRows title="Motifs that cannot be read" label="Motifs that cannot be read" broken={broken} />
      {naming && <Naming motif={naming} onClose={() => setNaming(undefined)} />}
    </section>
  );
}

function Naming({ motif, onClose }: { motif: KeptMotif; onClose: () => void }) {
  const [name, setName] = useState(motif.name);
  return (
    <Modal opened onClose={onClose} title="What it is called" size={420} centered>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // It stands in another form.
          event.stopPropagation();
          renameMotif(motif.id, name.trim()).then(onClose, notKept);
        }}
      >
        <TextInput
          data-autofocus
          label="Name"
          maxLength={60}
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        <Button fullWidth mt="md" type="submit" disabled={name.trim() === ''}>
          Call it so
        </Button>
      </form>
    </Modal>
  );
}

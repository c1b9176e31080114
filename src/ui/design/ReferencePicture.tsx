'use client';
import { Button, Popover } from '@mantine/core';
import { IconPhoto } from '@tabler/icons-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { readPath, writePath } from '@/core/craft/fieldPath';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import { decodeText } from '@/core/files/decodeText';
import { readGimpPalette, writeGimpPalette } from '@/core/files/gimpPalette';
import type { Match } from '@/core/colour/match';
import { messageOf } from '@/core/model/messageOf';
import type { Product } from '@/core/model/product';
import { faultWords } from '@/core/model/placeWords';
import { mixed } from '@/core/starter/mixed';
import { recoloured } from '@/core/starter/shelf';
import type { Reference } from '@/data/records';
import { putReference, removeReference, watchReference } from '@/data/references';
import { matchesOf, paletteOfPicture } from '@/workers/planner';
import type { MatchedColour } from '@/workers/plannerApi';
import { downloadBlob } from '../kit/download';
import { FileInput } from '../kit/FileInput';
import { BlobImage } from '../kit/BlobImage';
import { MoreMenu } from '../kit/MoreMenu';
import { useShelf } from '../shelf/useShelf';
import { useStudio } from '../studio/studio';
import { useTaking } from './useTaking';
import { openElementOf, openLookOf, useEditing } from './useEditing';
import classes from './Desk.module.css';
import { notKept } from '../kit/notify';

/** What a set is designed after: a picture kept beside the desk, its colours, and what of the shelf comes near them. */
export function ReferencePicture() {
  const id = useStudio((s) => s.set.id);
  const kit = useStudio((s) => s.set.kit.products);
  const { items } = useShelf();
  const products = useMemo(
    () => [
      ...kit,
      ...(items ?? [])
        .map((item) => item.product)
        .filter((product) => !kit.some((one) => one.id === product.id)),
    ],
    [kit, items],
  );
  const input = useRef<HTMLInputElement>(null);
  const { reference, keep, takeAway } = useReference(id);
  const [colours, setColours] = useState<readonly MatchedColour[]>();
  const [fault, setFault] = useState<string>();
  const [moves, setMoves] = useState(false);
  const title = useStudio((s) => s.set.title);

  const mark = reference && markOf(reference.name, reference.picture);
  /** The picture whose colours are shown already. */
  const read = useRef<string>(undefined);
  // The colours of a picture that was kept before are found again when it comes.
  useEffect(() => {
    if (!reference || read.current === mark) return;
    let gone = false;
    paletteOfPicture(reference.picture, products.filter(isColour)).then(
      (read) => {
        if (gone) return;
        setColours(read.ok ? read.value.colours : undefined);
        setMoves(read.ok && read.value.moves);
        setFault(read.ok ? undefined : faultWords(read.faults[0]!));
      },
      (error: unknown) => {
        if (!gone) setFault(messageOf(error));
      },
    );
    return () => {
      gone = true;
    };
    // Another product on the shelf does not read the picture anew, nor does word of it from the store.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [mark]);

  async function take(file: File) {
    setFault(undefined);
    if (/\.gpl$/i.test(file.name)) {
      const text = decodeText(new Uint8Array(await file.arrayBuffer()));
      const palette = text.ok ? readGimpPalette(text.value) : text;
      if (!palette.ok) return setFault(palette.faults.map(faultWords).join('; '));
      const few = palette.value.colours.slice(0, MOST_SHOWN).map((one) => one.colour);
      setMoves(false);
      setColours(await matchesOf(few, products.filter(isColour)));
      return;
    }
    // Only what can be read is kept.
    const palette = await paletteOfPicture(file, products.filter(isColour));
    if (!palette.ok) return setFault(faultWords(palette.faults[0]!));
    read.current = markOf(file.name, file);
    setColours(palette.value.colours);
    setMoves(palette.value.moves);
    await keep({ set: id, name: file.name, picture: file });
  }

  return (
    <div className={classes.reference}>
      {reference ? (
        <BlobImage blob={reference.picture} alt={`Reference: ${reference.name}`} />
      ) : (
        <Button
          px={10}
          variant="default"
          leftSection={<IconPhoto size={18} />}
          onClick={() => input.current?.click()}
        >
          Reference picture
        </Button>
      )}
      <FileInput
        input={input}
        accept="image/png,image/jpeg,image/webp,.gpl"
        label="Reference picture or palette"
        onFile={(file) => {
          take(file).catch((error: unknown) => setFault(messageOf(error)));
        }}
      />
      {fault && (
        <p className={classes.fault} role="alert">
          {fault}
        </p>
      )}
      {moves && <p className={classes.alike}>It moves: its first picture was taken.</p>}
      {colours && (
        <div className={classes.palette} role="group" aria-label="Palette">
          {colours.map((one) => (
            <Chip key={one.colour} matched={one} products={products} />
          ))}
          <MoreMenu
            label="More for the palette"
            entries={[
              { key: 'other', words: 'Another picture or palette', onPick: () => input.current?.click() },
              {
                key: 'save',
                words: 'Palette as a file (.gpl)',
                onPick: () =>
                  downloadBlob(
                    `${id}.gpl`,
                    new Blob(
                      [
                        writeGimpPalette(
                          title,
                          colours.map((one) => ({ name: one.colour, colour: one.colour })),
                        ),
                      ],
                      { type: 'text/plain' },
                    ),
                  ),
              },
              {
                key: 'away',
                words: 'Take it away',
                danger: true,
                onPick: () => {
                  setColours(undefined);
                  setMoves(false);
                  read.current = undefined;
                  void takeAway().catch(notKept);
                },
              },
            ]}
          />
        </div>
      )}
    </div>
  );
}

/** What tells one picture from another. */
function markOf(name: string, { size }: Blob): string {
  return `${name} ${size}`;
}

const MOST_SHOWN = 24;

function isColour(product: Product): boolean {
  return product.family === 'gel-colour' && product.colour !== undefined;
}

function useReference(set: string) {
  const [reference, setReference] = useState<Reference>();
  useEffect(() => watchReference(set, setReference, () => undefined), [set]);
  return {
    reference,
    // Shown at once, and kept where the store lets it.
    keep: async (next: Reference) => {
      setReference(next);
      await putReference(next);
    },
    takeAway: async () => {
      setReference(undefined);
      await removeReference(set);
    },
  };
}

function Chip({ matched, products }: { matched: MatchedColour; products: readonly Product[] }) {
  const look = useStudio((s) => openLookOf(s.set, s));
  const open = useStudio((s) => s.openElement);
  const element = look && openElementOf(look, open);
  const [shown, setShown] = useState(false);
  return (
    <Popover opened={shown} onChange={setShown} width={250} position="top" trapFocus returnFocus>
      <Popover.Target>
        <button
          type="button"
          className={classes.chip}
          style={{ background: matched.colour }}
          aria-label={`Colour ${matched.colour}`}
          onClick={() => setShown(!shown)}
        />
      </Popover.Target>
      <Popover.Dropdown className={classes.match} aria-label={`What comes near ${matched.colour}`}>
        {matched.single && (
          <p>
            Nearest: <b>{says(matched.single, products)}</b>
          </p>
        )}
        {matched.mix && (
          <p>
            Mixed: <b>{says(matched.mix, products)}</b>
          </p>
        )}
        {look && element ? (
          <UseIt
            look={look}
            element={element}
            matched={matched}
            products={products}
            onUsed={() => setShown(false)}
          />
        ) : null}
      </Popover.Dropdown>
    </Popover>
  );
}

interface UseItProps {
  look: Look;
  element: Element;
  matched: MatchedColour;
  products: readonly Product[];
  onUsed: () => void;
}

/** The nearest product, or a new one of that colour, taken by the open element. */
function UseIt({ look, element: ofLook, matched, products, onUsed }: UseItProps) {
  const { element, put } = useEditing(look, ofLook);
  const field = techniqueOf(element.kind).fields.find(
    (one) => one.kind === 'product' && one.families.includes('gel-colour'),
  );
  const plain = techniqueOf(element.kind).fields.find((one) => one.kind === 'shade');
  const path = field?.path ?? plain?.path;
  const { take, takeNew } = useTaking((id, gesture) => {
    if (path !== undefined) put(writePath(element, path, id), gesture);
    onUsed();
  });
  if (path === undefined) return <p>The open element takes its colours one by one: open a plain colour.</p>;
  const now = products.find((one) => one.id === readPath(element, path));

  if (!field)
    return (
      <Button
        variant="default"
        onClick={() => {
          put(writePath(element, path, matched.colour));
          onUsed();
        }}
      >
        Use this colour
      </Button>
    );
  const taken = new Set(products.map((one) => one.id));
  const recipe = (matched.mix?.parts ?? []).flatMap(({ product: id, parts }) => {
    const product = products.find((one) => one.id === id);
    return product ? [{ product, parts }] : [];
  });
  const nearest = products.find((one) => one.id === matched.single?.parts[0]?.product);
  return (
    <>
      {nearest && (
        <Button variant="default" onClick={() => take(nearest)}>
          Use {nearest.name}
        </Button>
      )}
      {recipe.length > 1 && (
        <Button variant="default" onClick={() => takeNew(mixed(recipe, taken))}>
          Use the mix
        </Button>
      )}
      {(now ?? nearest) && (
        <Button
          variant="default"
          onClick={() => {
            const like = (now?.colour ? now : nearest) ?? nearest!;
            takeNew(recoloured(like, `Colour ${matched.colour}`, matched.colour, taken));
          }}
        >
          A new colour like it
        </Button>
      )}
    </>
  );
}

/** "2 Ember 12 + 1 Amber 11, ΔE 1.8" */
function says({ parts, off }: Match, products: readonly Product[]): string {
  const name = (id: string) => products.find((one) => one.id === id)?.name ?? id;
  const words =
    parts.length === 1
      ? name(parts[0]!.product)
      : parts.map((part) => `${part.parts} ${name(part.product)}`).join(' + ');
  return `${words}, ΔE ${off.toFixed(1)}`;
}

'use client';
import { useState } from 'react';
import { Button } from '@mantine/core';
import { supplyKindOf } from '@/core/craft/supplies';
import { contextOf } from '@/core/document/nailContext';
import type { Neighbour } from '@/core/craft/technique';
import { techniqueOf, type Element } from '@/core/craft/techniques';
import type { Look } from '@/core/document/document';
import { FadePlan } from './FadePlan';
import { ToldApart } from './ToldApart';
import { Fields } from '../kit/fields/Fields';
import { useSupplies } from '../shelf/useShelf';
import { useStudioStore } from '../studio/studio';
import { useEditing } from './useEditing';
import { usePen } from './usePen';
import { Pick } from '../kit/Pick';
import classes from './DesignView.module.css';

/** The editor of one element, made from the fields its technique declares. */
export function ElementFields({ look, element: ofLook }: { look: Look; element: Element }) {
  const { element, own, whose, put, clear } = useEditing(look, ofLook);
  return (
    <div className={classes.fields}>
      {own && (
        <p className={classes.alone}>
          On the {whose} only.{' '}
          <Button variant="default" onClick={clear}>
            As the look has it
          </Button>
        </p>
      )}
      <FromShelf element={element} onTake={put} />
      <FadePlan element={element} />
      <Arrangements look={look} element={element} onLay={put} />
      <Fields
        subject={`${look.id} ${element.id} ${element.kind}`}
        fields={techniqueOf(element.kind).fields}
        of={element}
        fitting={'fit' in element ? element : undefined}
        onChange={put}
      />
      <ToldApart look={look} element={element} />
    </div>
  );
}

/** What stands on the shelf for this: its measures and colour are taken with it. */
function FromShelf({ element, onTake }: { element: Element; onTake: (next: Element) => void }) {
  const { fromShelf } = techniqueOf(element.kind);
  const { supplies = [] } = useSupplies();
  const fitting = fromShelf
    ? supplies.filter((one) => one.kind === fromShelf.kind && (fromShelf.fits?.(one) ?? true))
    : [];
  if (!fromShelf || fitting.length === 0) return null;
  return (
    <Pick
      className={classes.wide}
      label="From the shelf"
      value=""
      data={[
        { value: '', label: 'Choose' },
        ...fitting.map((one) => ({
          value: one.id,
          label: `${one.name} · ${supplyKindOf(one.kind).says(one)}`,
        })),
      ]}
      onChange={(event) => {
        const chosen = fitting.find((one) => one.id === event.currentTarget.value);
        if (chosen) onTake(fromShelf.take(element, chosen));
      }}
    />
  );
}

/** All of an element laid at once, on the nail in focus. */
function Arrangements({
  look,
  element,
  onLay,
}: {
  look: Look;
  element: Element;
  onLay: (next: Element) => void;
}) {
  const { arrangements = [], drawn = [] } = techniqueOf(element.kind);
  const store = useStudioStore();
  const pen = usePen();
  // Which way is drawn in just now.
  const [way, setWay] = useState<string>();
  const others: Neighbour[] = look.elements
    .filter((one) => one.id !== element.id)
    .map((one) => ({ body: techniqueOf(one.kind).goneRound?.(one) }))
    .map(({ body }) => (body ? { body } : {}));
  const fitting = arrangements.filter((one) => one.fits?.(others) ?? true);
  if (fitting.length + drawn.length === 0) return null;
  return (
    <div
      className={classes.arrange}
      role="group"
      aria-label={fitting.length > 0 ? 'Lay them all' : drawn[0]!.words}
    >
      {fitting.map((one) => (
        <Button
          key={one.key}
          px={12}
          variant="default"
          title={one.says}
          onClick={() => {
            const { set, focus } = store.getState();
            onLay(one.lay(element, contextOf(set, focus), others));
          }}
        >
          {one.words}
        </Button>
      ))}
      {drawn.map((one) => {
        const drawing = pen.drawing && way === one.words;
        return (
          <Button
            key={one.words}
            px={12}
            variant={drawing ? 'filled' : 'default'}
            title={one.says}
            onClick={() => {
              if (drawing) return pen.lay();
              setWay(one.words);
              pen.take((line) => {
                const { set, focus } = store.getState();
                onLay(one.lay(element, contextOf(set, focus), line));
              });
            }}
          >
            {drawing ? 'Draw it now' : one.words}
          </Button>
        );
      })}
    </div>
  );
}

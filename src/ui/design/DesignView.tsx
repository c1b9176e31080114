'use client';
import {
  DndContext,
  DragOverlay,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useElementSize } from '@mantine/hooks';
import { useState, type CSSProperties, type ReactNode } from 'react';
import type { SetDocument } from '@/core/document/document';
import { nailsOf, type Finding } from '@/core/judge/finding';
import { mirrorOf, NAILS, digitOf, nailWords, type NailName } from '@/core/model/names';
import { spreadOf, type LaidNail } from '@/core/picture/spread';
import { announcing } from '../kit/announcing';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';
import { SEVERITY } from '../kit/words';
import { useSettled, useStudio } from '../studio/studio';
import { toggled } from '../studio/StudioKeys';
import { BothHands } from './BothHands';
import { Desk } from './Desk';
import { LookEditor } from './LookEditor';
import { LookTray } from './LookTray';
import { SeenAsFilters } from './SeenAs';
import nailClasses from '../kit/nailButton.module.css';
import classes from './DesignView.module.css';

const MOST_PX_PER_MM = 7;
/** Ten nails take this share of the height at most: the rest is the desk's. */
const SPREAD_SHARE = 0.29;
const EDGE_PX = 16;
const NARROW_PX = 960;
const NARROW_TALL_PX = 680;

/** What shall they wear? Ten nails, the looks to put on them, and the open look's elements. */
export function DesignView() {
  const changeWorn = useStudio((s) => s.changeWorn);
  const set = useSettled((now) => now);
  const seenAs = useStudio((s) => s.seenAs);
  const { ref, width, height } = useElementSize();
  // On a phone, or zoomed in, the view is as long as what is in it, and scrolls.
  const tall = width > 0 && width <= NARROW_PX ? NARROW_TALL_PX : height || 744;
  const high = tall * SPREAD_SHARE;
  const most = Math.min(MOST_PX_PER_MM, high / spreadOf(set).height_mm);
  const px_per_mm = spreadScale(set, (width || 1196) - EDGE_PX, most);
  const [dragged, setDragged] = useState<string>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  );
  return (
    <DndContext
      id="design"
      accessibility={announcing(
        (id) => NAILS.filter((name) => name === id).map(nailWords)[0] ?? draggedWords(id, set),
        'Press space to take it up, arrows to move it, space to put it on a nail, Escape to leave it.',
      )}
      sensors={sensors}
      onDragStart={(event) => setDragged(String(event.active.id))}
      onDragCancel={() => setDragged(undefined)}
      onDragEnd={(event) => {
        setDragged(undefined);
        const nail = NAILS.find((name) => name === event.over?.id);
        const from = nailDragged(event.active.id);
        if (!nail || nail === from) return;
        if (from) changeWorn({ kind: 'swap', nails: [from, nail] });
        else changeWorn({ kind: 'wear', nails: [nail], look: String(event.active.id) });
      }}
    >
      <SeenAsFilters />
      <div
        ref={ref}
        className={classes.view}
        style={{ '--seen-as': seenAs === 'plain' ? 'none' : `url(#seen-${seenAs})` } as CSSProperties}
      >
        <section className={classes.spread} aria-label="Ten nails">
          <TenNails px_per_mm={px_per_mm} />
          <BothHands />
        </section>
        <LookTray />
        <Desk height_px={tall - spreadOf(set).height_mm * px_per_mm - DESK_EDGES_PX} />
        <LookEditor />
      </div>
      <DragOverlay dropAnimation={null}>
        {dragged && <div className={classes.dragged}>{draggedWords(dragged, set)}</div>}
      </DragOverlay>
    </DndContext>
  );
}

/** By itself: a picture that comes is no matter of the desk's. */
function TenNails({ px_per_mm }: { px_per_mm: number }) {
  const set = useSettled((now) => now);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  return (
    <HandsSpread
      set={set}
      pictures={pictures}
      px_per_mm={px_per_mm}
      around={(laid, picture) => <SpreadNail laid={laid}>{picture}</SpreadNail>}
    />
  );
}

/** What the desk has above and below its nail. */
const DESK_EDGES_PX = 94;

/** A nail is dragged to another to swap what they wear; a look, to be put on. */
const NAIL = 'nail ';

function nailDragged(id: string | number): NailName | undefined {
  return NAILS.find((name) => `${NAIL}${name}` === id);
}

function draggedWords(id: string, set: SetDocument): string | undefined {
  const nail = nailDragged(id);
  return nail ? `Swap ${nailWords(nail)}` : set.looks.find((look) => look.id === id)?.name;
}

function SpreadNail({ laid, children }: { laid: LaidNail; children: ReactNode }) {
  const { name } = laid;
  const selected = useStudio((s) => s.selected);
  const select = useStudio((s) => s.select);
  const look = useSettled((set) => set.looks.find((one) => one.id === set.nails[name].look)?.name);
  const worst = useStudio((s) => worstOf(s.plan?.findings, name));
  const { setNodeRef, isOver } = useDroppable({ id: name });
  // By pointer only: Enter and Space choose the nail.
  const { setNodeRef: setDragged, listeners } = useDraggable({ id: `${NAIL}${name}` });
  const here = selected.includes(name);
  const twin = useStudio((s) => s.bothHands) && !here && selected.includes(mirrorOf(name));
  return (
    <button
      ref={(node) => {
        setNodeRef(node);
        setDragged(node);
      }}
      onPointerDown={listeners?.onPointerDown as React.PointerEventHandler | undefined}
      type="button"
      className={nailClasses.nail}
      data-testid={`nail-${name}`}
      data-over={isOver || undefined}
      data-selected={here || undefined}
      data-twin={twin || undefined}
      aria-pressed={here}
      aria-label={`${nailWords(name)}: ${look ?? 'no look'}${worst ? `, ${SEVERITY[worst].word.toLowerCase()}` : ''}`}
      onClick={(event) => select(event.shiftKey ? toggled(selected, name) : [name])}
    >
      {children}
      <span className={nailClasses.key} aria-hidden>
        {digitOf(name)}
        {worst && <b style={{ color: SEVERITY[worst].variable }}> {SEVERITY[worst].mark}</b>}
      </span>
    </button>
  );
}

function worstOf(findings: readonly Finding[] | undefined, nail: NailName) {
  const own = findings?.filter((finding) => nailsOf(finding).includes(nail) && finding.severity !== 'note');
  return own?.find((finding) => finding.severity === 'stop')?.severity ?? own?.[0]?.severity;
}

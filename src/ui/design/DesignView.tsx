'use client';
import {
  DndContext,
  DragOverlay,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { useElementSize } from '@mantine/hooks';
import { useState, type ReactNode } from 'react';
import { nailsOf, type Finding } from '@/core/judge/finding';
import { NAILS, nailKey, nailWords, type NailName } from '@/core/model/names';
import type { Laid } from '@/core/picture/spread';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';
import { SEVERITY } from '../kit/words';
import { useStudio } from '../studio/studio';
import { toggled } from '../studio/StudioKeys';
import { LargeNail } from './LargeNail';
import { LookEditor } from './LookEditor';
import { LookTray } from './LookTray';
import nailClasses from '../kit/nailButton.module.css';
import classes from './DesignView.module.css';

const MOST_PX_PER_MM = 7;
const EDGE_PX = 16;

/** What shall they wear? Ten nails, the looks to put on them, and the open look's elements. */
export function DesignView() {
  const set = useStudio((s) => s.set);
  const focus = useStudio((s) => s.focus);
  const change = useStudio((s) => s.change);
  const { ref, width } = useElementSize();
  const px_per_mm = spreadScale(set, (width || 1196) - EDGE_PX, MOST_PX_PER_MM);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  const [dragged, setDragged] = useState<string>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor),
  );
  return (
    <DndContext
      id="design"
      sensors={sensors}
      onDragStart={(event) => setDragged(String(event.active.id))}
      onDragCancel={() => setDragged(undefined)}
      onDragEnd={(event) => {
        setDragged(undefined);
        const nail = NAILS.find((name) => name === event.over?.id);
        if (nail) change({ kind: 'wear', nails: [nail], look: String(event.active.id) });
      }}
    >
      <div className={classes.view}>
        <section ref={ref} className={classes.spread} aria-label="Ten nails">
          <HandsSpread
            set={set}
            pictures={pictures}
            px_per_mm={px_per_mm}
            around={(laid, picture) => <SpreadNail laid={laid}>{picture}</SpreadNail>}
          />
        </section>
        <LookTray />
        <LookEditor />
        <LargeNail picture={pictures[focus]} />
      </div>
      <DragOverlay dropAnimation={null}>
        {dragged && (
          <div className={classes.dragged}>{set.looks.find((look) => look.id === dragged)?.name}</div>
        )}
      </DragOverlay>
    </DndContext>
  );
}

function SpreadNail({ laid, children }: { laid: Laid; children: ReactNode }) {
  const { name } = laid;
  const selected = useStudio((s) => s.selected);
  const select = useStudio((s) => s.select);
  const look = useStudio((s) => s.set.looks.find((one) => one.id === s.set.nails[name].look)?.name);
  const worst = useStudio((s) => worstOf(s.plan?.findings, name));
  const { setNodeRef, isOver } = useDroppable({ id: name });
  const here = selected.includes(name);
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={nailClasses.nail}
      data-testid={`nail-${name}`}
      data-over={isOver || undefined}
      data-selected={here || undefined}
      aria-pressed={here}
      aria-label={`${nailWords(name)}: ${look ?? 'no look'}${worst ? `, ${SEVERITY[worst].word.toLowerCase()}` : ''}`}
      onClick={(event) => select(event.shiftKey ? toggled(selected, name) : [name])}
    >
      {children}
      <span className={nailClasses.key} aria-hidden>
        {nailKey(name)}
        {worst && <b style={{ color: SEVERITY[worst].variable }}> {SEVERITY[worst].mark}</b>}
      </span>
    </button>
  );
}

function worstOf(findings: readonly Finding[] | undefined, nail: NailName) {
  const own = findings?.filter((finding) => nailsOf(finding).includes(nail) && finding.severity !== 'note');
  return own?.find((finding) => finding.severity === 'stop')?.severity ?? own?.[0]?.severity;
}

'use client';
import { Button, Checkbox } from '@mantine/core';
import { techniqueOf } from '@/core/craft/techniques';
import { frameOf, lookOf } from '@/core/compile/prepare';
import { handOf, mirrorOf, nailWords } from '@/core/model/names';
import type { NailPicture } from '@/core/picture/nailPicture';
import { Go } from '../kit/Go';
import { NailCanvas } from '../kit/NailCanvas';
import { pathOf } from '../kit/route';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './DesignView.module.css';

const HEIGHT_PX = 260;

/** The nail in focus, large, with what it wears otherwise than its look says. */
export function LargeNail({ picture }: { picture: NailPicture | undefined }) {
  const set = useStudio((s) => s.set);
  const focus = useStudio((s) => s.focus);
  const selected = useStudio((s) => s.selected);
  const store = useStudioStore();
  const { change } = store.getState();
  const nail = set.nails[focus];
  const build = set.builds.find((one) => one.id === nail.build)!;
  const { length_mm } = frameOf(nail, build);
  const px_per_mm = Math.min(14, HEIGHT_PX / (length_mm + 1.2));

  const look = lookOf(set, nail);
  const targets = selected.length > 0 ? selected : [focus];
  return (
    <aside className={classes.large} aria-label="The nail in focus">
      <h2>{nailWords(focus)}</h2>
      <div className={classes.stage}>
        <NailCanvas picture={picture} px_per_mm={px_per_mm} label={`${nailWords(focus)}, large`} />
      </div>
      <p className={classes.mm}>
        {nail.plate.width_mm} mm wide, {length_mm.toFixed(1)} mm long ·{' '}
        <Go href={pathOf({ kind: 'set', id: set.id, view: 'hands' })}>{build.name}</Go>
      </p>
      <div className={classes.own}>
        <Checkbox
          size="md"
          label={targets.length > 1 ? `Work on these ${targets.length} nails` : 'Work on this nail'}
          checked={nail.in_work}
          styles={{ body: { minHeight: 44, alignItems: 'center' } }}
          onChange={() => change({ kind: 'in-work', nails: targets, in_work: !nail.in_work })}
        />
        {look && look.elements.length > 1 && (
          <fieldset style={{ border: 0, padding: 0, margin: '6px 0' }}>
            <legend style={{ fontWeight: 600, padding: 0 }}>On this nail only</legend>
            {look.elements.map((element) => {
              const off = nail.changes.some((one) => one.element === element.id && 'leave_off' in one);
              return (
                <Checkbox
                  key={element.id}
                  size="md"
                  label={techniqueOf(element.kind).words}
                  checked={!off}
                  styles={{ body: { minHeight: 44, alignItems: 'center' } }}
                  onChange={() =>
                    change(
                      off
                        ? { kind: 'clear-nail-change', nail: focus, element: element.id }
                        : {
                            kind: 'nail-change',
                            nail: focus,
                            change: { element: element.id, leave_off: true },
                          },
                    )
                  }
                />
              );
            })}
          </fieldset>
        )}
        <Button variant="default" h={44} onClick={() => change({ kind: 'mirror', from: handOf(focus) })}>
          Mirror to the {handOf(mirrorOf(focus))} hand
        </Button>
      </div>
    </aside>
  );
}

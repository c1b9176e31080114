'use client';
import { Button, Checkbox } from '@mantine/core';
import { BUILDS, buildKindOf } from '@/core/craft/builds';
import { techniqueOf } from '@/core/craft/techniques';
import { SHAPE_DEFINITIONS } from '@/core/geometry/shape';
import { SHAPES, type Shape } from '@/core/model/shapes';
import { lookOf } from '@/core/compile/prepare';
import { handOf, mirrorOf, nailWords } from '@/core/model/names';
import type { NailPicture } from '@/core/picture/nailPicture';
import { Choice, FigureInput } from '../kit/Inputs';
import { NailCanvas } from '../kit/NailCanvas';
import { useStudio, useStudioStore } from '../studio/studio';
import { readPath, writePath } from '@/core/craft/fieldPath';
import { FieldInput } from './ElementFields';
import classes from './DesignView.module.css';

const HEIGHT_PX = 168;

/** The nail in focus, large, with its own choices and how it is built. */
export function LargeNail({ picture }: { picture: NailPicture | undefined }) {
  const set = useStudio((s) => s.set);
  const focus = useStudio((s) => s.focus);
  const selected = useStudio((s) => s.selected);
  const store = useStudioStore();
  const { change } = store.getState();
  const nail = set.nails[focus];
  const build = set.builds.find((one) => one.id === nail.build)!;
  const kind = buildKindOf(build.kind);
  const length_mm = nail.plate.bed_mm + kind.free_mm(build, nail.plate);
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
        {nail.plate.width_mm} mm wide, {length_mm.toFixed(1)} mm long
      </p>
      <div className={classes.own}>
        <Checkbox
          size="md"
          label={targets.length > 1 ? `Work on these ${targets.length} nails` : 'Work on this nail'}
          checked={nail.in_work}
          styles={{ body: { minHeight: 44, alignItems: 'center' } }}
          onChange={() => change({ kind: 'in-work', nails: targets, in_work: !nail.in_work })}
        />
        <Choice
          label={targets.length > 1 ? `Build of ${targets.length} nails` : 'Build'}
          choices={set.builds.map((one) => ({ value: one.id, label: one.name }))}
          value={nail.build}
          onChange={(next) => change({ kind: 'use-build', nails: targets, build: next })}
        />
        <Choice
          label={`Shape of ${build.name.toLowerCase()}`}
          choices={SHAPES.map((shape) => ({ value: shape, label: SHAPE_DEFINITIONS[shape].words }))}
          value={build.shape}
          onChange={(next) => change({ kind: 'put-build', build: { ...build, shape: next as Shape } })}
        />
        {kind.fields.map((field) => (
          <FieldInput
            key={field.path}
            field={field}
            value={readPath(build, field.path)}
            onChange={(value) =>
              change({ kind: 'put-build', build: writePath(build, field.path, value) as typeof build })
            }
          />
        ))}
        {kind.edge === 'plate' && (
          <FigureInput
            label="Own free edge of this nail"
            unit="mm"
            value={nail.plate.free_edge_mm}
            min={0}
            max={30}
            step={0.5}
            onChange={(next) => change({ kind: 'plate', nail: focus, plate: { free_edge_mm: next } })}
          />
        )}
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
        <p style={{ color: 'var(--soft)', fontSize: 14, margin: 0 }}>
          {BUILDS.find((one) => one.kind === build.kind)?.blurb}
        </p>
      </div>
    </aside>
  );
}

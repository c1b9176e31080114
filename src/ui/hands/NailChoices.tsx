'use client';
import { Checkbox } from '@mantine/core';
import { lengthened, shaped } from '@/core/compile/lengthen';
import { lengthPast_mm } from '@/core/compile/lengths';
import { frameOf, buildOf } from '@/core/document/nailContext';
import { BUILDS, buildKindOf } from '@/core/craft/builds';
import { lengthOf, LENGTHS } from '@/core/craft/lengths';
import { STARTS, startKindOf } from '@/core/craft/starts';
import { namedBuild, nameApart } from '@/core/document/naming';
import { SHAPE_DEFINITIONS } from '@/core/geometry/shape';
import { upperFirst } from '@/core/model/letters';
import { CONDITIONS, type Condition } from '@/core/model/nail';
import { groupWords, nailWords, type NailName } from '@/core/model/names';
import { rounded } from '@/core/model/rounded';
import { SHAPES, type Shape } from '@/core/model/shapes';
import type { Start } from '@/core/model/start';
import { strengthWords, thicknesses, type Thickness } from '@/core/simulate/strength';
import { Fields } from '../kit/fields/Fields';
import { FieldsOfSet } from '../design/FieldsOfSet';
import { freeId } from '@/core/model/freeId';
import { Choice, FigureInput } from '../kit/Inputs';
import { useStudio, useStudioStore } from '../studio/studio';
import { ChooseNails } from '../studio/ChooseNails';
import { ThreeViewsDrawing } from './ThreeViewsDrawing';
import { Pick } from '../kit/Pick';
import classes from './HandsView.module.css';

const CONDITION_WORDS: Record<Condition, string> = {
  thin: 'Thin',
  oily: 'Oily',
  ridged: 'Ridged',
  bitten: 'Bitten',
  'lifted-before': 'Lifted before',
  'leave-alone': 'Leave alone: injured or infected',
};

/** A length that is none of those with a name. */
const AS_IT_IS = 'as-it-is';

/** Before the kind of a build that the set does not have yet. */
const NEW = 'new ';

/** What the chosen nails are like, how they are built, and their shape from three sides. */
export function NailChoices() {
  const set = useStudio((s) => s.set);
  const focus = useStudio((s) => s.focus);
  const body = useStudio((s) => s.plan?.bodies[s.focus]);
  const planning = useStudio((s) => s.planning);
  const selected = useStudio((s) => s.selected);
  const store = useStudioStore();
  const { change } = store.getState();
  const nail = set.nails[focus];
  const nails = selected.length > 0 ? selected : [focus];
  const build = buildOf(set, nail);
  const kind = buildKindOf(build.kind);
  const frame = frameOf(nail, build);
  const free_mm = frame.length_mm - frame.bed_mm;
  const length = lengthOf(rounded(free_mm, 2));
  const exact = rounded(free_mm, 2) === length.free_mm;
  const start = startKindOf(nail.start.kind);
  function takeBuild(value: string) {
    if (!value.startsWith(NEW)) {
      change({ kind: 'use-build', nails, build: value });
      return;
    }
    const made = buildKindOf(value.slice(NEW.length));
    const id = freeId(made.kind, set.builds);
    const fresh = namedBuild(made.fresh(id));
    const names = set.builds.map((one) => one.name);
    change({
      kind: 'many',
      changes: [
        { kind: 'put-build', build: { ...fresh, name: nameApart(fresh.name, names) } },
        { kind: 'use-build', nails, build: id },
      ],
    });
  }
  const shapeNow = (name: NailName) => set.nails[name].own_shape ?? buildOf(set, set.nails[name]).shape;
  const putStart = (next: Start, gesture?: string) =>
    change({ kind: 'nail', nails, put: { start: next } }, gesture);
  return (
    <FieldsOfSet>
      <aside className={classes.choices} aria-label="The chosen nails">
        <h2>{upperFirst(nails.length > 1 ? groupWords(nails) : nailWords(focus))}</h2>
        <ChooseNails />
        <ThreeViewsDrawing frame={frame} body={body && planning === 'fresh' ? body : undefined} />
        {body && planning === 'fresh' && <ThicknessTable rows={thicknesses(body, frame.bed_mm, free_mm)} />}
        {body && planning === 'fresh' && (
          <p className={classes.body}>
            <b>{upperFirst(strengthWords(body, frame.bed_mm))}</b>
          </p>
        )}
        <div className={classes.pair}>
          <Pick
            className={classes.wide}
            label={differ(nails.map((name) => set.nails[name].build)) ? 'Build (they differ)' : 'Build'}
            value={nail.build}
            data={[
              { group: 'In this set', items: set.builds.map((one) => ({ value: one.id, label: one.name })) },
              {
                group: 'New',
                items: BUILDS.map((one) => ({ value: `${NEW}${one.kind}`, label: one.words })),
              },
            ]}
            onChange={(event) => takeBuild(event.currentTarget.value)}
          />
          <Choice
            label={differ(nails.map(shapeNow)) ? 'Shape (they differ)' : 'Shape'}
            choices={[
              ...(nail.own_shape
                ? [{ value: '', label: `${SHAPE_DEFINITIONS[build.shape].words}, as the build` }]
                : []),
              ...SHAPES.map((shape) => ({ value: shape, label: SHAPE_DEFINITIONS[shape].words })),
            ]}
            value={shapeNow(focus)}
            onChange={(next) => change(shaped(set, nails, next ? (next as Shape) : null))}
          />
          <Choice
            label={differ(nails.map((name) => lengthPast_mm(set, name))) ? 'Length (they differ)' : 'Length'}
            choices={[
              ...(exact ? [] : [{ value: AS_IT_IS, words: length.words, free_mm }]),
              ...LENGTHS.map((one) => ({ ...one, value: one.words })),
            ]
              // A length of its own stands among the others where it belongs.
              .sort((a, b) => a.free_mm - b.free_mm)
              .map(({ value, words, free_mm: mm }) => ({ value, label: `${words}, ${rounded(mm, 1)} mm` }))}
            value={exact ? length.words : AS_IT_IS}
            onChange={(words) => {
              const chosen = LENGTHS.find((one) => one.words === words);
              if (chosen) change(lengthened(set, nails, chosen.free_mm));
            }}
          />
          <FigureInput
            label={kind.edge === 'plate' ? 'Own free edge' : 'Past the free edge'}
            unit="mm"
            value={free_mm}
            min={0}
            max={30}
            step={0.5}
            onChange={(mm, gesture) => change(lengthened(set, nails, mm), gesture)}
          />
          <Fields
            subject={`${build.id} ${build.kind}`}
            fields={kind.fields}
            of={build}
            onChange={(next, gesture) => change({ kind: 'put-build', build: next }, gesture)}
          />
        </div>
        <div className={classes.pair}>
          <Choice
            label="What is on it"
            choices={STARTS.map((one) => ({ value: one.kind, label: one.words }))}
            value={start.kind}
            onChange={(value) => putStart(startKindOf(value as Start['kind']).fresh())}
          />
          <Fields
            subject={`${focus} ${start.kind}`}
            fields={start.fields(nail.start)}
            of={nail.start}
            onChange={(next, gesture, path = '') => putStart(start.follow?.(next, path) ?? next, gesture)}
          />
        </div>
        <fieldset className={classes.conditions}>
          <legend>Condition</legend>
          {CONDITIONS.map((condition) => {
            const on = nail.conditions.includes(condition);
            const rest = nail.conditions.filter((one) => one !== condition);
            return (
              <Checkbox
                key={condition}
                label={CONDITION_WORDS[condition]}
                checked={on}
                onChange={() =>
                  change({ kind: 'nail', nails, put: { conditions: on ? rest : [...rest, condition] } })
                }
              />
            );
          })}
        </fieldset>
        <Checkbox
          label={nails.length > 1 ? 'Work on these nails' : 'Work on this nail'}
          checked={nail.in_work}
          onChange={() => change({ kind: 'in-work', nails, in_work: !nail.in_work })}
        />
        {nail.conditions.includes('leave-alone') && (
          <p className={classes.caution}>
            No service on injured or infected skin or nails: the wearer sees a clinician first.
          </p>
        )}
      </aside>
    </FieldsOfSet>
  );
}

/** Whether several nails have not the same. */
function differ(values: readonly unknown[]): boolean {
  return values.some((value) => value !== values[0]);
}

/** What lies on the nail beside what is wanted there. */
function ThicknessTable({ rows }: { rows: readonly Thickness[] }) {
  if (rows.length === 0) return null;
  return (
    <table className={classes.thicknesses} aria-label="Thickness of product, found and wanted">
      <tbody>
        {rows.map((row) => (
          <tr key={row.words} data-off={!row.kept || undefined}>
            <th scope="row">{row.words}</th>
            <td>{row.found}</td>
            <td>{row.wanted}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

'use client';
import { Radio } from '@mantine/core';
import { FigureInput } from '../kit/Inputs';
import { useStudio, useStudioStore } from '../studio/studio';
import { SCHOOLS, type School } from './schools';
import classes from './PracticeView.module.css';

/** How do I work? The choices the trade disagrees about, each way with what it brings and costs. */
export function PracticeView() {
  const edge_mm = useStudio((s) => s.set.practice.edge_mm);
  const store = useStudioStore();
  return (
    <div className={classes.view}>
      <h2>How I work</h2>
      <p className={classes.lead}>
        The trade does it either way. Each set keeps its own answers; the plan follows at once.
      </p>
      <div className={classes.groups}>
        {SCHOOLS.map((group) => (
          <section key={group.words}>
            <h3>{group.words}</h3>
            {group.schools.map((school) => (
              <SchoolChoice key={school.key} school={school} />
            ))}
            {group === SCHOOLS.at(-1) && (
              <div className={classes.figure}>
                <FigureInput
                  label="What the file leaves of a free edge"
                  unit="mm"
                  value={edge_mm}
                  min={0.3}
                  max={1.2}
                  step={0.02}
                  onChange={(mm, gesture) =>
                    store.getState().change({ kind: 'practice', practice: { edge_mm: mm } }, gesture)
                  }
                />
              </div>
            )}
          </section>
        ))}
      </div>
    </div>
  );
}

function SchoolChoice({ school }: { school: School }) {
  const value = useStudio((s) => s.set.practice[school.key]);
  const store = useStudioStore();
  return (
    <Radio.Group
      className={classes.school}
      label={school.words}
      value={value}
      onChange={(next) => store.getState().change({ kind: 'practice', practice: { [school.key]: next } })}
    >
      <div className={classes.ways} data-keeps-arrows>
        {school.choices.map((choice, i) => (
          <Radio
            key={choice.value}
            size="md"
            value={choice.value}
            label={i === 0 && choice.label !== 'Usual' ? `${choice.label} (usual)` : choice.label}
            description={choice.says}
          />
        ))}
      </div>
    </Radio.Group>
  );
}

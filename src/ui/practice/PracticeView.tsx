'use client';
import { Button, Radio } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { Practice } from '@/core/model/practice';
import { keepPractice, ownPractice } from '@/data/asked';
import { FigureInput } from '../kit/Inputs';
import { notify, notKept } from '../kit/notify';
import { useStudio, useStudioStore } from '../studio/studio';
import { OnTheTable } from './OnTheTable';
import { OwnTimes } from './OwnTimes';
import { SCHOOLS, type School } from './schools';
import classes from './PracticeView.module.css';

/** How do I work? The choices the trade disagrees about, each way with what it brings and costs. */
export function PracticeView() {
  const edge_mm = useStudio((s) => s.set.practice.edge_mm);
  const store = useStudioStore();
  return (
    <div className={classes.view}>
      <div className={classes.head}>
        <div>
          <h2>How I work</h2>
          <p className={classes.lead}>
            The trade does it either way. Each set keeps its own answers; the plan follows at once.
          </p>
        </div>
        <OwnWays />
      </div>
      <div className={classes.groups}>
        {SCHOOLS.map((group) => (
          <section key={group.words}>
            <h3>{group.words}</h3>
            {group.schools.map((school) => (
              <SchoolChoice key={school.key} school={school} />
            ))}
            {group === SCHOOLS[0] && <OnTheTable />}
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
      <OwnTimes />
    </div>
  );
}

/** New sets begin as the artist works; a set that differs can be brought to it. */
function OwnWays() {
  const practice = useStudio((s) => s.set.practice);
  const store = useStudioStore();
  const [own, setOwn] = useState<Practice | null>();
  useEffect(() => {
    ownPractice().then(
      (found) => setOwn(found ?? null),
      () => setOwn(null),
    );
  }, []);
  if (own === undefined || (own && same(own, practice))) return null;
  function keep() {
    keepPractice(practice).then(() => {
      setOwn(practice);
      notify('New sets begin this way from now on.');
    }, notKept);
  }
  return (
    <div className={classes.own}>
      <Button variant="default" onClick={keep}>
        Begin new sets this way
      </Button>
      {own && (
        <Button
          variant="default"
          onClick={() => store.getState().change({ kind: 'practice', practice: own })}
        >
          Take my own ways
        </Button>
      )}
    </div>
  );
}

function same(a: Practice, b: Practice): boolean {
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]) as ReadonlySet<keyof Practice>;
  return [...keys].every((key) => JSON.stringify(a[key]) === JSON.stringify(b[key]));
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
            value={choice.value}
            label={i === 0 && choice.label !== 'Usual' ? `${choice.label} (usual)` : choice.label}
            description={choice.says}
          />
        ))}
      </div>
    </Radio.Group>
  );
}

'use client';
import { Button, SegmentedControl } from '@mantine/core';
import { useElementSize } from '@mantine/hooks';
import { IconRulerMeasure } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { UNITS, type Unit } from '@/core/craft/measures';
import { digitOf, nailWords } from '@/core/model/names';
import type { LaidNail } from '@/core/picture/spread';
import { simulatedCaliper } from '@/devices/caliper';
import { HandsSpread, spreadScale } from '../kit/HandsSpread';
import { FINENESS, usePictures } from '../kit/usePictures';
import { useStudio } from '../studio/studio';
import { toggled } from '../studio/StudioKeys';
import { CaliperPanel } from './CaliperPanel';
import { ForWhom } from './ForWhom';
import { HandsMenu } from './HandsMenu';
import { MeasureTable } from './MeasureTable';
import { NailChoices } from './NailChoices';
import { SkinTones } from './SkinTones';
import nailClasses from '../kit/nailButton.module.css';
import classes from './HandsView.module.css';

const MOST_PX_PER_MM = 9;
const EDGE_PX = 16;

/** What do I have to work with? Both hands from their measures, taken nail by nail, and what each nail is like. */
export function HandsView() {
  const set = useStudio((s) => s.set);
  const { ref, width } = useElementSize();
  const px_per_mm = spreadScale(set, (width || 880) - EDGE_PX, MOST_PX_PER_MM);
  const pictures = usePictures(set, px_per_mm * FINENESS);
  const [seen, setSeen] = useState<'worn' | 'sit'>('worn');
  const [unit, setUnit] = useState<Unit>('mm');
  const [caliper] = useState(simulatedCaliper);
  const [measuring, setMeasuring] = useState(false);
  return (
    <div className={classes.view}>
      <section className={classes.hands} aria-label="Both hands">
        <div className={classes.bar}>
          <SegmentedControl
            aria-label="How the hands are seen"
            value={seen}
            onChange={(value) => setSeen(value as typeof seen)}
            data={[
              { value: 'worn', label: 'As worn' },
              { value: 'sit', label: 'As I sit' },
            ]}
          />
          <SegmentedControl
            aria-label="Unit"
            value={unit}
            onChange={(value) => setUnit(value as Unit)}
            data={Object.entries(UNITS).map(([value, { words }]) => ({ value, label: words }))}
          />
          <SkinTones />
          <span className={classes.grow} />
          <Button
            variant={measuring ? 'filled' : 'default'}
            aria-pressed={measuring}
            leftSection={<IconRulerMeasure size={18} />}
            onClick={() => setMeasuring(!measuring)}
          >
            Caliper
          </Button>
          <HandsMenu />
        </div>
        <ForWhom />
        <div ref={ref} className={classes.spread} data-turned={seen === 'sit' || undefined}>
          <HandsSpread
            set={set}
            pictures={pictures}
            px_per_mm={px_per_mm}
            around={(laid, picture) => (
              <HandsNail laid={laid} turned={seen === 'sit'}>
                {picture}
              </HandsNail>
            )}
          />
        </div>
        {measuring && <CaliperPanel caliper={caliper} />}
        <MeasureTable unit={unit} caliper={caliper} turned={seen === 'sit'} />
      </section>
      <NailChoices />
    </div>
  );
}

function HandsNail({
  laid: { name },
  turned,
  children,
}: {
  laid: LaidNail;
  turned: boolean;
  children: ReactNode;
}) {
  const selected = useStudio((s) => s.selected);
  const select = useStudio((s) => s.select);
  const worked = useStudio((s) => s.set.nails[name].in_work);
  const here = selected.includes(name);
  return (
    <button
      type="button"
      className={nailClasses.nail}
      data-testid={`nail-${name}`}
      data-selected={here || undefined}
      data-out={!worked || undefined}
      aria-pressed={here}
      aria-label={`${nailWords(name)}${worked ? '' : ', left out'}`}
      onClick={(event) => select(event.shiftKey ? toggled(selected, name) : [name])}
    >
      {children}
      <span className={nailClasses.key} data-turned={turned || undefined} aria-hidden>
        {digitOf(name)}
      </span>
    </button>
  );
}

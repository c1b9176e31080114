'use client';
import { Button, Switch } from '@mantine/core';
import { upperFirst } from '@/core/model/letters';
import { HANDS, handOf, nailWords, type NailName } from '@/core/model/names';
import { ChooseNails } from '../studio/ChooseNails';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import classes from './DesignView.module.css';

/** Whether both hands are edited as one; and after an edit, where else it went, to be kept or taken back from there. */
export function BothHands() {
  const bothHands = useStudio((s) => s.bothHands);
  const carried = useSettled((set, s) =>
    s.carried?.by === 'hands' && s.carried.after === set ? s.carried : undefined,
  );
  const store = useStudioStore();
  return (
    <>
      <div className={classes.both}>
        <Switch
          label="Both hands"
          title="What is put on a nail goes on the same finger of the other hand as well"
          checked={bothHands}
          onChange={(event) => store.getState().editBothHands(event.currentTarget.checked)}
        />
        <ChooseNails />
      </div>
      {carried && (
        <div className={classes.carried} role="status">
          <span>{alsoWords(carried.nails)}</span>
          <Button variant="default" onClick={() => store.getState().handsDiffer()}>
            {onlyWords(carried.nails)}, on purpose
          </Button>
        </div>
      )}
    </>
  );
}

/** "On the right ring finger too." */
function alsoWords(nails: readonly NailName[]): string {
  return nails.length === 1 ? `On the ${nailWords(nails[0]!)} too.` : `On ${nails.length} more nails too.`;
}

/** "Left only": what keeps it when the nails it was carried to give it back. */
function onlyWords(carriedTo: readonly NailName[]): string {
  const kept = HANDS.filter((hand) => !carriedTo.some((nail) => handOf(nail) === hand));
  return kept.length === 1 ? `${upperFirst(kept[0]!)} only` : 'Only those chosen';
}

'use client';
import { Checkbox } from '@mantine/core';
import { boxOfSupply, lampOfSupply, supplyKindOf } from '@/core/craft/supplies';
import type { Change } from '@/core/document/changes';
import type { Supply, SupplyOf } from '@/core/model/supply';
import { Go } from '../kit/Go';
import { useSupplies } from '../shelf/useShelf';
import { useStudio, useStudioStore } from '../studio/studio';
import classes from './PracticeView.module.css';

/** The lamps and tip boxes that this set is planned with: its own, and those of the shelf. */
export function OnTheTable() {
  const kit = useStudio((s) => s.set.kit);
  const { supplies = [] } = useSupplies();
  const lamps = withOwn(
    kit.lamps.map((lamp): SupplyOf<'lamp'> => ({ kind: 'lamp', ...lamp })),
    supplies.filter((one) => one.kind === 'lamp'),
  );
  const boxes = withOwn(
    kit.tips.map((box): SupplyOf<'tips'> => ({ kind: 'tips', ...box })),
    supplies.filter((one) => one.kind === 'tips'),
  );
  return (
    <>
      <Things
        words="Lamps on the table"
        things={lamps}
        on={(id) => kit.lamps.some((one) => one.id === id)}
        put={(one) => ({ kind: 'put-lamp', lamp: lampOfSupply(one) })}
        remove={(lamp) => ({ kind: 'remove-lamp', lamp })}
      />
      <Things
        words="Tip boxes at hand"
        things={boxes}
        on={(id) => kit.tips.some((one) => one.id === id)}
        put={(one) => ({ kind: 'put-tips', box: boxOfSupply(one) })}
        remove={(box) => ({ kind: 'remove-tips', box })}
      />
      <p className={classes.more}>
        More of them are put on the <Go href="/shelf">shelf</Go>.
      </p>
    </>
  );
}

/** What the set carries as it carries it, then what the shelf has besides. */
function withOwn<T extends Supply>(own: readonly T[], shelf: readonly T[]): T[] {
  return [...own, ...shelf.filter((one) => !own.some((other) => other.id === one.id))];
}

function Things<T extends Supply>({
  words,
  things,
  on,
  put,
  remove,
}: {
  words: string;
  things: readonly T[];
  on: (id: string) => boolean;
  put: (one: T) => Change;
  remove: (id: string) => Change;
}) {
  const store = useStudioStore();
  return (
    <fieldset className={classes.things}>
      <legend>{words}</legend>
      {things.map((one) => (
        <Checkbox
          key={one.id}
          label={one.name}
          description={supplyKindOf(one.kind).says(one)}
          checked={on(one.id)}
          onChange={(event) =>
            store.getState().change(event.currentTarget.checked ? put(one) : remove(one.id))
          }
        />
      ))}
    </fieldset>
  );
}

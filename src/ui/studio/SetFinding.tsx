'use client';
import { Button } from '@mantine/core';
import { nailsOf, type Finding } from '@/core/judge/finding';
import { boxesThatServe, tipSize } from '@/core/judge/rules/tipSize';
import { boxOfSupply } from '@/core/craft/supplies';
import { FindingNote } from '../kit/FindingNote';
import { useSupplies } from '../shelf/useShelf';
import { useSettled, useStudioStore } from './studio';

/** A finding about the set at hand, with its ways out, and with what the shelf has for it. */
export function SetFinding({ finding, showNail }: { finding: Finding; showNail?: boolean }) {
  const { change } = useStudioStore().getState();
  return (
    <FindingNote finding={finding} {...(showNail ? { showNail } : {})} onFix={(fix) => change(fix.change)}>
      {tipSize.codes.includes(finding.code) && <OtherBoxes finding={finding} />}
    </FindingNote>
  );
}

/** So many are offered; the shelf has them all. */
const MOST = 2;

/** The boxes of the shelf that have a tip where this set's have none. */
function OtherBoxes({ finding }: { finding: Finding }) {
  const set = useSettled((now) => now);
  const { change } = useStudioStore().getState();
  const { supplies = [] } = useSupplies();
  const boxes = supplies.flatMap((one) => (one.kind === 'tips' ? [boxOfSupply(one)] : []));
  const served = boxesThatServe(set, nailsOf(finding), boxes).filter(
    ({ otherCurves }) => finding.code !== 'tip-curve' || otherCurves === 0,
  );
  return served.slice(0, MOST).map(({ box }) => (
    <Button key={box.id} variant="default" onClick={() => change({ kind: 'put-tips', box })}>
      Take “{box.name}” to the table as well
    </Button>
  ));
}

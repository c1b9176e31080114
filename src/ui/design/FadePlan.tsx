'use client';
import { Button } from '@mantine/core';
import { useMemo } from 'react';
import type { Element } from '@/core/craft/techniques';
import { nailsOf } from '@/core/judge/finding';
import { fadeOf } from '@/core/picture/fade';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import classes from './FadePlan.module.css';
import { leastOf, mostOf } from '@/core/model/extent';

/** A fade as it comes: every pass, how evenly it moves, and where it goes grey, with the colour that bridges it. */
export function FadePlan({ element }: { element: Element }) {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const told = useStudio((s) =>
    s.plan?.findings.find(
      (one) => one.code === 'muddy-middle' && one.element === element.id && nailsOf(one).includes(s.focus),
    ),
  );
  const store = useStudioStore();
  const fade = useMemo(() => fadeOf(set, focus, element), [set, focus, element]);
  if (!fade) return null;
  const most = Math.max(mostOf(fade.steps), 1);
  const lost = Math.round(fade.dip.lost * 100);
  return (
    <div className={classes.fade}>
      {fade.passes.map((colours, i) => (
        <div key={i} className={classes.pass}>
          <span>Pass {i + 1}</span>
          <span
            className={classes.strip}
            style={{ background: `linear-gradient(to right, ${colours.join()})` }}
          />
        </div>
      ))}
      <div className={classes.pass}>
        <span>Moves</span>
        <svg
          className={classes.steps}
          viewBox={`0 0 ${fade.steps.length * 10} 24`}
          preserveAspectRatio="none"
          aria-hidden
        >
          {fade.steps.map((step, i) => (
            <rect key={i} x={i * 10 + 1} width={8} y={24 - (22 * step) / most} height={(22 * step) / most} />
          ))}
        </svg>
      </div>
      <p>
        {fade.evenness > EVEN ? 'It moves evenly' : 'It moves in jumps'}: ΔE {leastOf(fade.steps).toFixed(1)}{' '}
        to {mostOf(fade.steps).toFixed(1)} over equal stretches.
        {lost > GREYS &&
          ` Greyest at ${Math.round(fade.dip.at * 100)} %: ${lost} % of its colour is lost there.`}
      </p>
      {told?.fix && (
        <Button variant="default" onClick={() => store.getState().change(told.fix!.change)}>
          {told.fix.words}
        </Button>
      )}
    </div>
  );
}

/** The slowest stretch moves at least so much of what the quickest does. */
const EVEN = 0.35;
/** Less of the colour than this is not missed, in per cent. */
const GREYS = 12;

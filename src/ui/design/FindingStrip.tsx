'use client';
import { nailsOf, type Finding } from '@/core/judge/finding';
import { nailWords, type NailName } from '@/core/model/names';
import { go } from '../kit/Go';
import { pathOf } from '../kit/route';
import { SEVERITY } from '../kit/words';
import { useStudio } from '../studio/studio';
import classes from './Desk.module.css';

const ORDER = { stop: 0, warn: 1, note: 2 } as const;

/** The worst that is found on this nail, else on the set, in words; it leads to its place. */
export function FindingStrip() {
  const focus = useStudio((s) => s.focus);
  const planning = useStudio((s) => s.planning);
  const findings = useStudio((s) => s.plan?.findings);
  const id = useStudio((s) => s.set.id);
  const select = useStudio((s) => s.select);
  if (planning === 'failed') return <p className={classes.strip}>No plan could be made of it.</p>;
  if (planning !== 'fresh' || !findings) return <p className={classes.strip}>Planning …</p>;
  const here = worst(findings.filter((one) => nailsOf(one).includes(focus)));
  const told = here && here.severity !== 'note' ? here : (worst(findings) ?? here);
  if (!told) return <p className={classes.strip}>Nothing found on any nail.</p>;
  const nail: NailName | undefined = nailsOf(told).includes(focus) ? focus : nailsOf(told)[0];
  const { mark, word, variable } = SEVERITY[told.severity];
  return (
    <button
      type="button"
      className={classes.strip}
      data-testid="strip"
      onClick={() => {
        if (nail) select([nail]);
        go(pathOf({ kind: 'set', id, view: nail ? 'layers' : 'timing' }));
      }}
    >
      <b style={{ color: variable }}>
        <span aria-hidden>{mark}</span> {word}
      </b>
      {nail && nail !== focus && <span className={classes.where}>{nailWords(nail)}</span>}
      <span className={classes.message}>{told.message}</span>
    </button>
  );
}

function worst(findings: readonly Finding[]): Finding | undefined {
  return [...findings].sort((a, b) => ORDER[a.severity] - ORDER[b.severity])[0];
}

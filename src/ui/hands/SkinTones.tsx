'use client';
import { SKIN_TONES } from '@/core/starter/hand';
import { useStudio } from '../studio/studio';
import classes from './HandsView.module.css';

/** Skin tone of the hands that are drawn. */
export function SkinTones() {
  const skin = useStudio((s) => s.set.skin);
  const change = useStudio((s) => s.change);
  return (
    <div className={classes.tones} role="group" aria-label="Skin tone">
      {SKIN_TONES.map(({ words, colour }) => (
        <button
          key={colour}
          type="button"
          aria-pressed={colour === skin}
          aria-label={words}
          title={words}
          style={{ background: colour }}
          onClick={() => change({ kind: 'skin', skin: colour })}
        />
      ))}
    </div>
  );
}

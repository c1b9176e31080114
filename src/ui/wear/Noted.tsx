'use client';
import { Button } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { dayWords } from '@/core/model/days';
import type { WearNote } from '@/core/model/wear';
import { causesOf } from '@/core/wear/causes';
import type { Photo } from '@/data/records';
import { BlobImage } from '../kit/BlobImage';
import { WHAT_WORDS } from './whatWords';
import classes from './WearView.module.css';

interface NotedProps {
  note: WearNote;
  photo: Photo | undefined;
  facts: Parameters<typeof causesOf>[0];
  onChange: (note: WearNote) => void;
  onRemove: () => void;
}

/** What was noted, and the causes that what was done allows; the artist says which it was. */
export function Noted({ note, facts, photo, onChange, onRemove }: NotedProps) {
  const offered = causesOf(facts, note);
  const said = (code: string) => note.causes.find((one) => one.code === code)?.so;
  const say = (code: string, so: boolean) => {
    const others = note.causes.filter((one) => one.code !== code);
    onChange({ ...note, causes: said(code) === so ? others : [...others, { code, so }] });
  };
  return (
    <article className={classes.noted} data-testid="noted">
      <header>
        <b>
          {WHAT_WORDS[note.what]}
          {note.much ? `, ${note.much}` : ''}
        </b>{' '}
        {dayWords(note.on)}
        {note.grown_mm ? `, ${note.grown_mm} mm` : ''}
        {note.felt.length > 0 && <span className={classes.caution}> felt: {note.felt.join(', ')}</span>}
        <Button
          variant="subtle"
          color="gray"
          size="compact-md"
          leftSection={<IconTrash size={16} />}
          onClick={onRemove}
        >
          Take out
        </Button>
      </header>
      {note.note && <p>{note.note}</p>}
      {photo && (
        <div className={classes.photo}>
          <BlobImage blob={photo.picture} alt={`${WHAT_WORDS[note.what]}, as it was photographed`} />
        </div>
      )}
      {offered.length === 0 && note.what !== 'grown-out' && note.what !== 'off-early' && (
        <p className={classes.soft}>What was done on this nail speaks for no cause that is known here.</p>
      )}
      {offered.length > 0 && (
        <ul className={classes.causes} aria-label="What may stand behind it">
          {offered.map(({ code, words, instead, strength, evidence }) => (
            <li key={code} data-said={said(code)}>
              <span>
                <b>{words}</b> <small className={classes.soft}>evidence: {strength}</small>
                <br />
                {evidence.join(' ')} {instead}
              </span>
              <span className={classes.yesNo}>
                <Button
                  variant={said(code) === true ? 'filled' : 'default'}
                  size="compact-md"
                  aria-pressed={said(code) === true}
                  aria-label={`It was so: ${words}`}
                  onClick={() => say(code, true)}
                >
                  It was
                </Button>
                <Button
                  variant={said(code) === false ? 'filled' : 'default'}
                  size="compact-md"
                  aria-pressed={said(code) === false}
                  aria-label={`It was not so: ${words}`}
                  onClick={() => say(code, false)}
                >
                  Not so
                </Button>
              </span>
            </li>
          ))}
        </ul>
      )}
    </article>
  );
}

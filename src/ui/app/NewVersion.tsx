'use client';
import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { keepOffline, takeUp, type Versions } from './offline';
import classes from './App.module.css';

const WORDS: Record<Exclude<Versions, 'one'>, string> = {
  waiting:
    'A new version of Merry Lacquer is ready. It is taken up when you say so; what you made stays as it is.',
  changed:
    'A new version was taken up in another tab. This page goes on with the old one until it is opened anew.',
};

/** Says when there is a new version; never takes it up by itself. */
export function NewVersion() {
  const [versions, setVersions] = useState<Versions>('one');
  const [later, setLater] = useState(false);
  useEffect(() => keepOffline(setVersions), []);
  if (versions === 'one' || later) return null;
  return (
    <section className={classes.line} role="status">
      <p>{WORDS[versions]}</p>
      <Button onClick={versions === 'waiting' ? takeUp : () => window.location.reload()}>
        {versions === 'waiting' ? 'Take it up' : 'Open the page anew'}
      </Button>
      <Button variant="default" onClick={() => setLater(true)}>
        Later
      </Button>
    </section>
  );
}

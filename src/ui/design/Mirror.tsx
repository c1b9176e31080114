'use client';
import { Button, Popover } from '@mantine/core';
import { useState } from 'react';
import { overwrittenBy, type Overwritten } from '@/core/document/mirroring';
import { fingerOf, handOf, mirrorOf, nailWords, type Finger } from '@/core/model/names';
import { useSettled, useStudio, useStudioStore } from '../studio/studio';
import classes from './Desk.module.css';

/** Makes the other hand like this one, or one finger of it; what that overwrites is shown before. */
export function Mirror() {
  const set = useSettled((now) => now);
  const focus = useStudio((s) => s.focus);
  const store = useStudioStore();
  const [open, setOpen] = useState(false);
  const from = handOf(focus);
  const other = handOf(mirrorOf(focus));
  const changed = open ? overwrittenBy(set, from) : [];
  const here = changed.find((one) => one.finger === fingerOf(focus));
  function mirror(finger?: Finger) {
    setOpen(false);
    store.getState().change({ kind: 'mirror', from, ...(finger ? { finger } : {}) });
  }
  return (
    <Popover opened={open} onChange={setOpen} position="top-end" width={330} trapFocus returnFocus>
      <Popover.Target>
        <Button className={classes.mirror} variant="default" onClick={() => setOpen(!open)}>
          Mirror to the {other} hand
        </Button>
      </Popover.Target>
      <Popover.Dropdown aria-label={`Mirror to the ${other} hand`}>
        {changed.length === 0 ? (
          <p className={classes.alike}>Both hands are alike already.</p>
        ) : (
          <>
            <ul className={classes.overwritten}>
              {changed.map((one) => (
                <li key={one.nail}>
                  <b>{nailWords(one.nail)}</b> {becomesWords(one)}
                </li>
              ))}
            </ul>
            <Button fullWidth onClick={() => mirror()}>
              {changed.length === 1 ? 'Change this nail' : `Change these ${changed.length} nails`}
            </Button>
            {here && changed.length > 1 && (
              <Button mt={8} fullWidth variant="default" onClick={() => mirror(here.finger)}>
                Only the {nailWords(here.nail)}
              </Button>
            )}
          </>
        )}
      </Popover.Dropdown>
    </Popover>
  );
}

/** "Velvet becomes Gilt slivers; tips become a natural nail". */
function becomesWords({ was, becomes, ownChanges, build }: Overwritten): string {
  const look = was === becomes ? '' : `${was ?? 'no look'} becomes ${becomes ?? 'no look'}`;
  const body = build ? `${build.was} becomes ${build.becomes}` : '';
  const own =
    ownChanges && was === becomes ? `what it has otherwise in ${was ?? 'its look'} is overwritten` : '';
  return [look, body, own].filter(Boolean).join('; ');
}

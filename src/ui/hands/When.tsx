'use client';
import { TextInput } from '@mantine/core';
import { Appointed } from '@/core/model/appointment';
import { useGesture } from '../kit/useGesture';
import { useStudio } from '../studio/studio';
import classes from './HandsView.module.css';

/** The day the client comes, the time once there is a day, and when it has to be over. */
export function When() {
  const appointment = useStudio((s) => s.set.appointment);
  const change = useStudio((s) => s.change);
  const gesture = useGesture();
  function put(next: unknown) {
    const read = Appointed.safeParse(next);
    // What is half typed is no day yet.
    if (read.success) change({ kind: 'appoint', appointment: read.data }, gesture.id());
  }
  return (
    <span className={classes.when}>
      <span aria-hidden>on</span>
      <TextInput
        type="date"
        aria-label="Day of the sitting"
        w={170}
        max="9999-12-31"
        value={appointment?.on ?? ''}
        onFocus={gesture.begin}
        onChange={({ currentTarget: { value } }) =>
          put(value === '' ? null : { at: null, ...appointment, on: value })
        }
      />
      {appointment && (
        <>
          <span aria-hidden>at</span>
          <TextInput
            type="time"
            aria-label="Time of the sitting"
            w={130}
            value={appointment.at ?? ''}
            onFocus={gesture.begin}
            onChange={({ currentTarget: { value } }) => put({ ...appointment, at: value || null })}
          />
          {appointment.at !== null && (
            <>
              <span aria-hidden>to</span>
              <TextInput
                type="time"
                aria-label="When it has to be over"
                w={130}
                value={appointment.until ?? ''}
                onFocus={gesture.begin}
                onChange={({ currentTarget: { value } }) => put({ ...appointment, until: value || null })}
              />
            </>
          )}
        </>
      )}
    </span>
  );
}

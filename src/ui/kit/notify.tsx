'use client';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import { messageOf } from '@/core/model/messageOf';
import { createElement, type ComponentType, type ReactNode } from 'react';
import classes from './notify.module.css';

interface Said {
  /** The notifications stay unloaded until anything is said. */
  Place: ComponentType<{ position: 'bottom-center'; autoClose: number }> | undefined;
  /** What is said plainly, where they cannot be loaded. */
  plain: ReactNode;
}

const said = createStore<Said>(() => ({ Place: undefined, plain: undefined }));

export function NotificationPlace() {
  const Place = useStore(said, (state) => state.Place);
  const plain = useStore(said, (state) => state.plain);
  return (
    <>
      {Place && createElement(Place, { position: 'bottom-center', autoClose: 7000 })}
      {plain && (
        <div role="alert" className={classes.plain}>
          {plain}
          <button type="button" onClick={() => said.setState({ plain: undefined })}>
            All right
          </button>
        </div>
      )}
    </>
  );
}

/** Says something at the foot of the page. What has an `id` is said once at a time, and stays until it is closed. */
export function notify(message: ReactNode, title?: string, id?: string): void {
  import('@mantine/notifications').then(
    ({ notifications, Notifications }) => {
      said.setState({ Place: Notifications });
      notifications.show({
        message,
        closeButtonProps: { 'aria-label': 'Close', size: 44 },
        styles: { description: { color: 'var(--ink)' } },
        ...(title ? { title, color: 'red' } : {}),
        ...(id ? { id, autoClose: false } : {}),
      });
    },
    () =>
      said.setState({
        plain: (
          <span>
            {title && <b>{title}. </b>}
            {message}
          </span>
        ),
      }),
  );
}

/** Says that something that was asked for did not happen, and why. */
export function notDone(error: unknown): void {
  notify(messageOf(error), 'That did not work');
}

/** Says that what was just made could not be written, and why. */
export function notKept(error: unknown): void {
  notify(messageOf(error), 'It was not kept');
}

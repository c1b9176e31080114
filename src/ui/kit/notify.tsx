'use client';
import dynamic from 'next/dynamic';
import { useStore } from 'zustand';
import { createStore } from 'zustand/vanilla';
import type { ReactNode } from 'react';

/** Whether anything was ever said: until then the notifications stay unloaded. */
const said = createStore<{ any: boolean }>(() => ({ any: false }));

const Notifications = dynamic(() => import('@mantine/notifications').then((module) => module.Notifications), {
  ssr: false,
});

export function NotificationPlace() {
  const any = useStore(said, (state) => state.any);
  return any ? <Notifications position="bottom-center" autoClose={7000} /> : null;
}

export function notify(message: ReactNode, title?: string): void {
  said.setState({ any: true });
  void import('@mantine/notifications').then(({ notifications }) =>
    notifications.show({ message, ...(title ? { title, color: 'red' } : {}) }),
  );
}

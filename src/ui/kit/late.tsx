'use client';
import { useEffect, useEffectEvent, useState, type ComponentType } from 'react';
import { notify } from './notify';

/** A part of the page that comes when it is first used. */
export type Late<P extends object> = ComponentType<P> & {
  /** Brings it before it is used. */
  bring: () => Promise<void>;
};

interface Otherwise {
  /** Shown in its place where it cannot be loaded; without it, that is only told. */
  instead: ComponentType<{ again: () => void }>;
  /** Shown until it is there. */
  meanwhile?: ComponentType;
}

/**
 * A part of the page that comes when it is first used. Where it cannot be loaded (offline, the server gone, an
 * update) that is told, or shown in its place, `onClose` is called, and nothing else on the page is touched.
 */
export function late<P extends object>(
  load: () => Promise<ComponentType<P>>,
  what: string,
  otherwise?: Otherwise,
): Late<P> {
  let loaded: ComponentType<P> | undefined;
  let loading: Promise<void> | undefined;
  const bring = () =>
    (loading ??= load().then(
      (made) => {
        loaded = made;
      },
      (error: unknown) => {
        // Another try may find it.
        loading = undefined;
        throw error;
      },
    ));
  function Late(props: P) {
    const [Part, setPart] = useState<ComponentType<P> | undefined>(() => loaded);
    const [tries, setTries] = useState(0);
    const [lost, setLost] = useState(false);
    const failed = useEffectEvent(() => {
      if (otherwise) {
        setLost(true);
        return;
      }
      notify('It could not be loaded. Your work is kept; try again once the connection is back.', what);
      if ('onClose' in props) (props.onClose as () => void)();
    });
    useEffect(() => {
      if (Part) return undefined;
      let stale = false;
      bring().then(
        () => {
          if (!stale) setPart(() => loaded);
        },
        () => {
          if (!stale) failed();
        },
      );
      return () => {
        stale = true;
      };
    }, [Part, tries]);
    if (Part) return <Part {...props} />;
    if (otherwise && lost) {
      const again = () => {
        setLost(false);
        setTries(tries + 1);
      };
      return <otherwise.instead again={again} />;
    }
    return otherwise?.meanwhile ? <otherwise.meanwhile /> : null;
  }
  return Object.assign(Late, { bring });
}

'use client';
import { useEffect, useEffectEvent, useState, type ComponentType } from 'react';
import { notify } from './notify';

/**
 * A part of the page that comes when it is first used. Where it cannot be loaded (offline, the server gone, an
 * update) that is told, `onClose` is called, and nothing else on the page is touched.
 */
export function late<P extends object>(
  load: () => Promise<ComponentType<P>>,
  what: string,
): ComponentType<P> {
  let loaded: ComponentType<P> | undefined;
  function Late(props: P) {
    const [Part, setPart] = useState<ComponentType<P> | undefined>(() => loaded);
    const failed = useEffectEvent(() => {
      notify('It could not be loaded. Your work is kept; try again once the connection is back.', what);
      if ('onClose' in props) (props.onClose as () => void)();
    });
    useEffect(() => {
      if (loaded) return undefined;
      let stale = false;
      load().then(
        (made) => {
          loaded = made;
          if (!stale) setPart(() => made);
        },
        () => {
          if (!stale) failed();
        },
      );
      return () => {
        stale = true;
      };
    }, []);
    return Part ? <Part {...props} /> : null;
  }
  return Late;
}

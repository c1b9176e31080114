'use client';
import { useEffect, useState } from 'react';

/** Where nothing has to be there before a table is watched. */
export const nothingFirst = () => Promise.resolve();

/**
 * A table of the store as it is: undefined until it is read, `fault` where it cannot be. `before` runs once ahead of the
 * watching; both have to be the same functions at every call.
 */
export function useWatched<T>(
  before: () => Promise<void>,
  watch: (onChange: (value: T) => void, onError: (error: unknown) => void) => () => void,
): { value: T | undefined; fault: unknown } {
  const [value, setValue] = useState<T>();
  const [fault, setFault] = useState<unknown>();
  useEffect(() => {
    let stop: (() => void) | undefined;
    let gone = false;
    before().then(() => {
      if (!gone) stop = watch(setValue, setFault);
    }, setFault);
    return () => {
      gone = true;
      stop?.();
    };
  }, [before, watch]);
  return { value, fault };
}

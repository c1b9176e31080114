'use client';
import { useEffect, useState } from 'react';

/**
 * What a worker answers of something; undefined until it has. What it said of another is not true of this one. `ask` has to be the same
 * function as long as what it is asked of is the same.
 */
export function useAnswer<T>(ask: () => Promise<T>): T | 'failed' | undefined {
  const [answered, setAnswered] = useState<{ ask: () => Promise<T>; answer: T | 'failed' }>();
  useEffect(() => {
    let stale = false;
    const take = (answer: T | 'failed') => {
      if (!stale) setAnswered({ ask, answer });
    };
    ask().then(take, () => take('failed'));
    return () => {
      stale = true;
    };
  }, [ask]);
  return answered?.ask === ask ? answered.answer : undefined;
}

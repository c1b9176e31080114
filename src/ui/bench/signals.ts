'use client';
import { useEffect } from 'react';

const TONE_HZ = 660;
const TONE_S = 0.35;

/** Two short tones, made and not loaded; nothing where the browser has no sound. */
export function sound(): void {
  try {
    const audio = new AudioContext();
    [0, 0.45].forEach((after) => {
      const tone = audio.createOscillator();
      const loud = audio.createGain();
      tone.frequency.value = TONE_HZ;
      loud.gain.setValueAtTime(0.0001, audio.currentTime + after);
      loud.gain.exponentialRampToValueAtTime(0.3, audio.currentTime + after + 0.03);
      loud.gain.exponentialRampToValueAtTime(0.0001, audio.currentTime + after + TONE_S);
      tone.connect(loud).connect(audio.destination);
      tone.start(audio.currentTime + after);
      tone.stop(audio.currentTime + after + TONE_S);
    });
    setTimeout(() => {
      audio.close().catch(() => undefined);
    }, 1500);
  } catch {
    // Without sound the screen still flashes.
  }
}

/** The screen stays on while the table is worked at, where the browser can. */
export function useAwake(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined;
    let held: WakeLockSentinel | undefined;
    let over = false;
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (lock) => {
          if (over) lock.release().catch(() => undefined);
          else held = lock;
        },
        () => undefined,
      );
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      over = true;
      document.removeEventListener('visibilitychange', ask);
      held?.release().catch(() => undefined);
    };
  }, [wanted]);
}

'use client';
import { useState } from 'react';

/** What is done in one go at a field: from when it is entered until it is entered again. */
export class Gesture {
  private static count = 0;
  private name = '';

  constructor() {
    this.begin();
  }

  readonly begin = (): void => {
    Gesture.count += 1;
    this.name = `gesture ${Gesture.count}`;
  };

  readonly id = (): string => this.name;
}

export function useGesture(): Gesture {
  return useState(() => new Gesture())[0];
}

'use client';

import { useEffect, useState } from 'react';

/** A hand that has just tapped taps again soon: the page keeps still for so long. */
const restMilliseconds = 1000;

const hand = { isDown: false, lastAt: -Infinity };
const waiting = new Set<() => void>();
let isWatched = false;

function watchHand(): void {
  if (isWatched) return;
  isWatched = true;
  const listen = (kinds: readonly string[], does: () => void) =>
    kinds.forEach((kind) => window.addEventListener(kind, does, { capture: true, passive: true }));
  const touched = (isDown: boolean) => () => {
    hand.isDown = isDown;
    hand.lastAt = performance.now();
  };
  listen(['pointerdown'], touched(true));
  listen(['pointerup', 'pointercancel'], touched(false));
  // What was tapped has been told by then, and changes the page by itself.
  listen(['click'], () => setTimeout(() => waiting.forEach((act) => act())));
}

/** Acts once no finger is on the screen or likely on its way: at once, after a rest, or with what the finger did. */
function whenStill(act: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = () => {
    const left = hand.isDown
      ? restMilliseconds
      : hand.lastAt + restMilliseconds - performance.now();
    if (left > 0) timer = setTimeout(look, left);
    else act();
  };
  waiting.add(act);
  look();
  return () => {
    waiting.delete(act);
    clearTimeout(timer);
  };
}

/**
 * What is to be shown that moves what is below it, or whether it is: changes only while no finger is on the screen. A button
 * that moves between the finger's coming down and going up is not pressed, and nobody is told.
 */
export function useSettled<Shown extends boolean | string | undefined>(is: Shown): Shown {
  const [settled, setSettled] = useState(is);
  useEffect(watchHand, []);
  useEffect(() => (settled === is ? undefined : whenStill(() => setSettled(is))), [is, settled]);
  return settled;
}

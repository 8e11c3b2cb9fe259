/** A click of a finger or a mouse, and what it was on. */
export interface Click {
  readonly x: number;
  readonly y: number;
  /** Milliseconds, as events count them. */
  readonly at: number;
  /** What the button said, and what it would have been done to; empty where there was none. */
  readonly means: string;
  /** The browser itself takes it for the second of a double one. */
  readonly isCountedSecond: boolean;
  readonly isTouch: boolean;
}

/** Not every browser counts taps: two so near to each other are of one hand that shook, or tapped twice to be certain. */
const soonMilliseconds = 400;
const nearPixels = 24;

/**
 * Whether a click is the second half of a double one, and has met something else than the first: what the first did has changed
 * the page under the finger. A key that is tapped twice is the same key both times.
 */
export const hasMissed = (first: Click | undefined, second: Click): boolean =>
  first !== undefined &&
  first.means !== '' &&
  second.means !== '' &&
  first.means !== second.means &&
  (second.isCountedSecond || (second.isTouch && second.at - first.at < soonMilliseconds)) &&
  Math.hypot(second.x - first.x, second.y - first.y) < nearPixels;

/**
 * Lets no second half of a double tap do to the next check, or step, what the first has done to the one before. What a button is
 * for stands in `data-means` around it, where its words do not say it.
 * @returns what ends it.
 */
export function watchDoubleTaps(): () => void {
  let first: Click | undefined;
  let pointer = '';
  // Not every browser says of a click what made it.
  const comeDown = (event: PointerEvent) => (pointer = event.pointerType);
  const look = (event: MouseEvent) => {
    // By the keyboard, or by the page itself.
    if (event.detail === 0 || !event.isTrusted) return;
    const second: Click = {
      x: event.clientX,
      y: event.clientY,
      at: event.timeStamp,
      means: meaningOf(event.target),
      isCountedSecond: event.detail > 1,
      isTouch: pointer === 'touch',
    };
    if (!hasMissed(first, second)) {
      first = second;
      return;
    }
    event.preventDefault();
    event.stopImmediatePropagation();
    // A third is held against the first as well.
    first = { ...second, means: first!.means };
  };
  /** A key that is held down says the same again and again, to whatever has come in the meantime. */
  const lookAtKey = (event: KeyboardEvent) => {
    if (event.repeat && (event.key === 'Enter' || event.key === ' ') && buttonOf(event.target)) {
      event.preventDefault();
      event.stopImmediatePropagation();
    }
  };
  window.addEventListener('pointerdown', comeDown, true);
  window.addEventListener('click', look, true);
  window.addEventListener('keydown', lookAtKey, true);
  return () => {
    window.removeEventListener('pointerdown', comeDown, true);
    window.removeEventListener('click', look, true);
    window.removeEventListener('keydown', lookAtKey, true);
  };
}

const buttonOf = (target: EventTarget | null): HTMLElement | null =>
  target instanceof Element ? target.closest<HTMLElement>('button, a, summary, label') : null;

function meaningOf(target: EventTarget | null): string {
  const button = buttonOf(target);
  if (!button) return '';
  const words = button.getAttribute('aria-label') ?? button.textContent;
  const to = button.closest<HTMLElement>('[data-means]')?.dataset.means ?? '';
  // What is chosen by the first half would be taken back by the second.
  const isOpen = button.matches('summary') && button.closest('details')?.open;
  const is = button.getAttribute('aria-pressed') ?? button.getAttribute('aria-expanded') ?? isOpen;
  return `${words} of ${to}, ${is}`;
}

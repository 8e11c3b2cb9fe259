declare global {
  interface Window {
    /** Set by the page before its code is there; called by each part of it that answers. */
    ohmmeterAwake?: () => void;
  }
}

/**
 * Runs in the page ahead of its code, which on a slow phone comes a second or two after its buttons are seen. A tap in
 * that time is held, and done once the whole page answers: one after the other, each button once, since who sees nothing
 * happen taps again.
 * It stands in the page as text, so it may use nothing outside itself.
 */
export function holdUntilAwake(): void {
  /** What each button said when it was tapped. */
  const tapped = new Map<HTMLElement, string | null>();

  const holdTap = (event: Event) => {
    const button = (event.target as Element).closest<HTMLElement>('button');
    if (!button) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    if (!tapped.has(button)) tapped.set(button, button.textContent);
  };
  window.addEventListener('click', holdTap, true);

  window.ohmmeterAwake = () => {
    if (document.querySelector('[data-sleeps]')) return;
    delete window.ohmmeterAwake;
    window.removeEventListener('click', holdTap, true);
    const left = [...tapped];
    const tapNext = () => {
      const [button, words] = left.shift() ?? [];
      if (!button) {
        document.documentElement.dataset.awake = '';
        return;
      }
      // A button that meanwhile says something else is another button.
      if (button.isConnected && button.textContent === words) button.click();
      // Each is told of what the one before has changed.
      setTimeout(tapNext);
    };
    tapNext();
  };
}

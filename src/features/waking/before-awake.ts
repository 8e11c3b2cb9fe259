declare global {
  interface Window {
    /** Set by the page before its code is there; called by each part of it that answers. */
    ohmmeterAwake?: () => void;
  }
}

/**
 * Runs in the page ahead of its code, which on a slow phone comes a second or two after its buttons are seen. A tap in
 * that time is held, and done once the whole page answers: the last alone, since who sees nothing happen taps again.
 * It stands in the page as text, so it may use nothing outside itself.
 */
export function holdUntilAwake(): void {
  let tapped: { button: HTMLElement; words: string | null } | undefined;

  const holdTap = (event: Event) => {
    const button = (event.target as Element).closest<HTMLElement>('button');
    if (!button) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    tapped = { button, words: button.textContent };
  };
  window.addEventListener('click', holdTap, true);

  window.ohmmeterAwake = () => {
    if (document.querySelector('[data-sleeps]')) return;
    delete window.ohmmeterAwake;
    window.removeEventListener('click', holdTap, true);
    // A button that meanwhile says something else is another button.
    if (tapped?.button.isConnected && tapped.button.textContent === tapped.words) {
      tapped.button.click();
    }
    document.documentElement.dataset.awake = '';
  };
}

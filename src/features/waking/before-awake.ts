import { pressed, typedBefore } from '@/ui/keypad-keys';

declare global {
  interface Window {
    /** Set by the page before its code is there; called by each part of it that answers. */
    ohmmeterAwake?: () => void;
  }
}

/**
 * Runs in the page ahead of its code, which on a slow phone comes a second or two after its buttons are seen. What is typed
 * on a keypad in that time is shown at once, every key counted, and handed to it when the whole page answers, if it still
 * stands for the same check. Any other tap is held, and done then: one after the other, each button once, since who sees
 * nothing happen taps again.
 * It stands in the page as text, so it may use nothing outside itself but what it is given.
 */
function holdUntilAwake(textAfter: typeof pressed, handOver: string): void {
  interface Tap {
    /** What the button said when it was tapped. */
    readonly words: string | null;
    /** The check that stood there, for what is part of it. */
    readonly check: string | undefined;
  }
  const tapped = new Map<HTMLElement, Tap>();
  let typed: { readonly check: string | undefined; readonly text: string } | undefined;

  /** On the bench a button does what it says to the check that stands there. */
  const checkFor = (button: HTMLElement) =>
    button.closest('main')?.querySelector<HTMLElement>('[data-check]')?.dataset.check;
  const keypad = () => document.querySelector<HTMLElement>('[data-types-for]');
  const show = (text: string | undefined) => {
    const display = document.querySelector<HTMLElement>('[data-typed-display]');
    // An attribute: a text of its own would not be what the page's code expects to take over.
    if (text) display?.setAttribute('data-typed-early', text);
    else display?.removeAttribute('data-typed-early');
    // On a phone long steps push it under the keypad.
    if (text) display?.closest('section')?.scrollIntoView({ block: 'end' });
  };
  const type = (key: string) => {
    const check = keypad()?.dataset.typesFor;
    typed = { check, text: textAfter(typed?.check === check ? (typed?.text ?? '') : '', key) };
    show(typed.text);
  };

  const holdTap = (event: Event) => {
    const button = (event.target as Element).closest<HTMLElement>('button');
    if (!button) return;
    event.preventDefault();
    event.stopImmediatePropagation();
    const key = button.dataset.types;
    // A keypad that is folded away for the steps is there all the same.
    if ('opensKeypad' in button.dataset) document.documentElement.dataset.typingEarly = '';
    if (key !== undefined) type(key);
    else if (!tapped.has(button)) {
      tapped.set(button, { words: button.textContent, check: checkFor(button) });
    }
  };
  const holdKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if ((event.target as Element).closest('input, textarea, select')) return;
    const named: Record<string, string> = { ',': '.', Backspace: 'delete', o: 'OL', O: 'OL' };
    const key = named[event.key] ?? event.key;
    const there = [...(keypad()?.querySelectorAll<HTMLButtonElement>('[data-types]') ?? [])];
    // A keypad that is not seen takes no keys, nor does a key that it does not have.
    if (!there.some((each) => each.dataset.types === key && !each.disabled && each.offsetParent)) {
      return;
    }
    event.preventDefault();
    type(key);
  };
  window.addEventListener('click', holdTap, true);
  window.addEventListener('keydown', holdKey, true);

  const handTyped = () => {
    const there = keypad();
    if (typed && there && there.dataset.typesFor === typed.check) {
      there.dispatchEvent(new CustomEvent(handOver, { detail: typed.text }));
    }
    show(undefined);
    delete document.documentElement.dataset.typingEarly;
  };

  const tapEach = (left: [HTMLElement, Tap][]) => {
    const [button, tap] = left.shift() ?? [];
    if (!button || !tap) {
      document.documentElement.dataset.awake = '';
      return;
    }
    // A button that meanwhile says something else is another button.
    if (button.isConnected && button.textContent === tap.words) button.click();
    // Each is told of what the one before has changed.
    setTimeout(() => tapEach(left));
  };

  window.ohmmeterAwake = () => {
    if (document.querySelector('[data-sleeps]')) return;
    delete window.ohmmeterAwake;
    // Once the part that called this is wholly there.
    setTimeout(() => {
      window.removeEventListener('click', holdTap, true);
      window.removeEventListener('keydown', holdKey, true);
      handTyped();
      // Another check may have come in the place of the one that was seen: what was tapped was not meant for it.
      tapEach([...tapped].filter(([button, { check }]) => checkFor(button) === check));
    });
  };
}

/** It as the page has it, with what it is given. */
export const scriptUntilAwake = (): string =>
  `(${String(holdUntilAwake)})(${String(pressed)},${JSON.stringify(typedBefore)})`;

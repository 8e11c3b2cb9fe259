/** Whether all of a page answers is looked for so often. */
const lookMilliseconds = 200;

/**
 * Does something once the page answers: what nobody waits for comes after what a finger may be on.
 * @returns what calls it off.
 */
export function whenAwake(act: () => void): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const look = () => {
    if (window.ohmmeterAwake) timer = setTimeout(look, lookMilliseconds);
    else act();
  };
  look();
  return () => clearTimeout(timer);
}

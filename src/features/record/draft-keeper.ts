/** What a draft becomes: of what it was, or whatever it was. */
export type DraftChange = string | ((before: string) => string);

export interface DraftKeeper {
  change(by: DraftChange): void;
  /** Nobody looks any more; what was typed is kept all the same. */
  leave(): void;
}

export const withText = (text: string, by: DraftChange): string =>
  typeof by === 'string' ? by : by(text);

/** Cleared once it is entered, unless it was typed on meanwhile: a store may take its time. */
export const clearedOf =
  (entered: string) =>
  (text: string): string =>
    text === entered ? '' : text;

/**
 * A draft that may be typed into while it is still being read: what was typed meanwhile is done once more over what was kept, so
 * that neither is lost. Nothing is written before it has been read.
 */
export function keepDraft({
  read,
  write,
  tell,
}: {
  /** What was kept; nothing where the store refuses. */
  read(): Promise<string>;
  write(text: string): void;
  tell(text: string): void;
}): DraftKeeper {
  let text = '';
  let meanwhile: DraftChange[] | undefined = [];
  let isLeft = false;
  void read().then((kept) => {
    const changes = meanwhile!;
    meanwhile = undefined;
    text = changes.reduce(withText, kept);
    if (changes.length > 0) write(text);
    if (!isLeft) tell(text);
  });
  return {
    change(by) {
      text = withText(text, by);
      if (meanwhile) meanwhile.push(by);
      else write(text);
      tell(text);
    },
    leave() {
      isLeft = true;
    },
  };
}

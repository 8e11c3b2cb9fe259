import { v7 as newId } from 'uuid';

/** Ids for what is sent by hand, and may be sent by hand once more. */
export interface SameAgain {
  /** The id of what is said: the same once more, with no end of it known, is the same thing and has the same id. */
  idFor(said: string): string;
  /** How it ended is known: said once more it is another. */
  ended(): void;
}

/** What is sent and not answered may have been taken: sent again under another id it would be there twice. */
export function sameAgain(): SameAgain {
  let open: { readonly said: string; readonly id: string } | undefined;
  return {
    idFor(said) {
      if (open?.said !== said) open = { said, id: newId() };
      return open.id;
    },
    ended() {
      open = undefined;
    },
  };
}

/** What is wrong with a file, where, and what to do about it. */
export interface JobFileProblem {
  /** JSON pointer into the file; empty for the file as a whole. */
  readonly pointer: string;
  readonly message: string;
}

/** A part of a JSON pointer: `~` and `/` in a key are escaped (RFC 6901). */
export const pointerPart = (key: string): string => key.replace(/~/g, '~0').replace(/\//g, '~1');

/** Words by which a job or a unit is found: the same for what is stored, for what is typed, and on a device without signal. */

/** Longer words are cut, on both sides alike. */
const longestWord = 40;

/** What is stored of one job or unit at most. */
const mostWords = 60;

/**
 * The words of some texts: in small letters, without accents, each once. Numbers are words, and so are the parts of a serial
 * number and the whole of it.
 */
export function searchWords(...texts: readonly (string | null | undefined)[]): readonly string[] {
  const words = new Set<string>();
  for (const text of texts) {
    for (const run of plain(text ?? '').split(/\s+/)) {
      const parts = run.split(/[^\p{L}\p{N}]+/u).filter(Boolean);
      for (const part of parts) words.add(part.slice(0, longestWord));
      if (parts.length > 1) words.add(parts.join('').slice(0, longestWord));
    }
  }
  return [...words].slice(0, mostWords);
}

/** The words of a question: each must begin a word of what is found. One that another begins with says nothing more. */
export function questionWords(text: string): readonly string[] {
  const words = [
    ...new Set(
      plain(text)
        .split(/[^\p{L}\p{N}]+/u)
        .filter(Boolean)
        .map((each) => each.slice(0, longestWord)),
    ),
  ];
  return words
    .filter((each) => !words.some((other) => other !== each && other.startsWith(each)))
    .slice(0, mostQuestionWords);
}

const mostQuestionWords = 8;

/** Whether everything asked for is there: each word of the question begins one of the words. */
export const isFound = (words: readonly string[], question: readonly string[]): boolean =>
  question.every((asked) => words.some((each) => each.startsWith(asked)));

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFKD')
    .replace(/\p{M}+/gu, '');

import { pointerPart, type JobFileProblem } from './problem';

/** Deeper than any file of the format, and far from what a stack holds. */
const mostDepth = 100;

/**
 * What no JSON value that is kept may hold, whatever it says: text that is no text (half a character, a character of no
 * width at all that databases refuse), and nesting beyond all use. The first of each is told.
 */
export function soundProblems(value: unknown): JobFileProblem[] {
  const open: { value: unknown; pointer: string; depth: number }[] = [
    { value, pointer: '', depth: 0 },
  ];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value: each, pointer, depth } = next;
    if (typeof each === 'string') {
      if (!isSound(each)) return [unsound(pointer)];
    } else if (each !== null && typeof each === 'object') {
      if (depth === mostDepth) {
        return [{ pointer, message: `This is nested more than ${mostDepth} deep.` }];
      }
      for (const [key, inner] of Object.entries(each)) {
        if (!isSound(key)) return [unsound(pointer)];
        open.push({ value: inner, pointer: `${pointer}/${pointerPart(key)}`, depth: depth + 1 });
      }
    }
  }
  return [];
}

const brokenText = /\0|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

const isSound = (text: string): boolean => !brokenText.test(text);

const unsound = (pointer: string): JobFileProblem => ({
  pointer,
  message: 'This text has a broken character in it. Type it again.',
});

/** Times that the format allows and no calendar of a database has: a leap second, the year 0. */
export function timeProblems(at: string | undefined, pointer: string): JobFileProblem[] {
  if (at === undefined || Date.parse(at) >= firstTime) return [];
  return [{ pointer, message: `"${at}" is no time that a clock has shown here.` }];
}

const firstTime = Date.parse('0001-01-01T00:00:00Z');

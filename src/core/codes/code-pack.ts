import { distinct, inWords, lineOf, soundProblems, type JobFileProblem } from '../job-file';
import type { CodePack } from './generated/code-pack-types';
import { validateCodePack } from './generated/validators';
import { LightPatternError, patternKey, readLightPattern } from './light-pattern';

/** What a family's control can see, by the value that it has as evidence. */
export interface CodeSights {
  readonly family: string;
  /** In words: "pilot proven, water at its setting". */
  readonly sights: Readonly<Record<string, string>>;
}

export type ReadCodePack =
  | { readonly ok: true; readonly pack: CodePack }
  | { readonly ok: false; readonly problems: readonly JobFileProblem[] };

/** A pack above this is refused before it is parsed, in characters. */
export const mostPackCharacters = 300_000;

/**
 * Reads a pack of codes from its text.
 * @param sightsOf what the control of a family sees, or undefined for a family without codes.
 */
export function readCodePackText(
  text: string,
  sightsOf: (family: string) => CodeSights | undefined,
): ReadCodePack {
  if (text.length > mostPackCharacters) {
    return refuse('', `A pack of codes has at most ${mostPackCharacters / 1000} kB.`);
  }
  try {
    return readCodePack(JSON.parse(text) as unknown, sightsOf);
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error);
    return refuse('', `Not readable as JSON${lineOf(text, reason)}: ${reason}`);
  }
}

/** The same for a value that is already parsed. Nothing is half read. */
export function readCodePack(
  value: unknown,
  sightsOf: (family: string) => CodeSights | undefined,
): ReadCodePack {
  const unsound = soundProblems(value);
  if (unsound.length > 0) return { ok: false, problems: unsound };
  if (!validateCodePack(value)) {
    return { ok: false, problems: distinct((validateCodePack.errors ?? []).map(inWords)) };
  }
  const sights = sightsOf(value.family);
  if (!sights) {
    return refuse('/family', `No family with codes is named "${value.family}" here.`);
  }
  const problems = [
    ...value.codes.flatMap((each, k) => codeProblems(value, each, `/codes/${k}`, sights)),
    ...doubled(value.codes.map(({ code }) => code.trim().toLowerCase())).map((k) => ({
      pointer: `/codes/${k}/code`,
      message: 'This code stands in the pack already: each once.',
    })),
    ...doubled(value.codes.map(({ pattern }) => keyOf(pattern))).map((k) => ({
      pointer: `/codes/${k}/pattern`,
      message: 'Another code of this pack blinks the same: nobody could tell them apart.',
    })),
  ];
  return problems.length > 0 ? { ok: false, problems } : { ok: true, pack: value };
}

function codeProblems(
  pack: CodePack,
  { code, saw, pattern }: CodePack['codes'][number],
  pointer: string,
  { sights }: CodeSights,
): JobFileProblem[] {
  const problems: JobFileProblem[] = [];
  if (code.trim() === '') {
    problems.push({ pointer: `${pointer}/code`, message: 'A code is what is shown: "E 12".' });
  }
  if (saw !== undefined && !Object.hasOwn(sights, saw)) {
    problems.push({
      pointer: `${pointer}/saw`,
      message: `The control of this family sees none of "${saw}". Known: ${Object.keys(sights).join(', ')}; leave it out where it is none of these.`,
    });
  }
  if (pattern !== undefined && pack.shownBy === 'display') {
    problems.push({
      pointer: `${pointer}/pattern`,
      message:
        'A display shows no light pattern: leave it out, or let the pack be shown by a light.',
    });
  } else if (pattern !== undefined) {
    const problem = patternProblem(pattern);
    if (problem) problems.push({ pointer: `${pointer}/pattern`, message: problem });
  }
  return problems;
}

/** Why a text is no light pattern; undefined where it is one. */
export function patternProblem(text: string): string | undefined {
  try {
    readLightPattern(text);
    return undefined;
  } catch (error) {
    if (error instanceof LightPatternError) return error.message;
    throw error;
  }
}

const keyOf = (pattern: string | undefined): string | undefined =>
  pattern === undefined || patternProblem(pattern) !== undefined
    ? undefined
    : patternKey(readLightPattern(pattern));

/** Places of what came before. */
function doubled(values: readonly (string | undefined)[]): number[] {
  const seen = new Set<string>();
  return values.flatMap((each, k) => {
    if (each === undefined) return [];
    const isKnown = seen.has(each);
    seen.add(each);
    return isKnown ? [k] : [];
  });
}

const refuse = (pointer: string, message: string): ReadCodePack => ({
  ok: false,
  problems: [{ pointer, message }],
});

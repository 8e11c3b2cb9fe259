import type { SchemaProblem } from './generated/validators';
import { pointerPart, type JobFileProblem } from './problem';

/** What Ajv or the parser found, in words with a place. */

export function inWords({ instancePath, keyword, message, params }: SchemaProblem): JobFileProblem {
  if (keyword === 'additionalProperties') {
    const key = pointerPart(String(params.additionalProperty));
    return { pointer: `${instancePath}/${key}`, message: 'This key is not part of the format.' };
  }
  if (keyword === 'required') {
    return { pointer: instancePath, message: `"${String(params.missingProperty)}" is missing.` };
  }
  if (keyword === 'discriminator') {
    return { pointer: `${instancePath}/kind`, message: 'No kind of entry has this name.' };
  }
  const allowed = Array.isArray(params.allowedValues) ? `: ${params.allowedValues.join(', ')}` : '';
  return { pointer: instancePath, message: `It ${message ?? 'is not valid'}${allowed}.` };
}

export function distinct(problems: readonly JobFileProblem[]): JobFileProblem[] {
  const seen = new Set<string>();
  return problems.filter(({ pointer, message }) => {
    const key = `${pointer} ${message}`;
    return !message.startsWith('It must match "') && !seen.has(key) && seen.add(key);
  });
}

/** Where the text breaks, if the parser said a position. */
export function lineOf(text: string, reason: string): string {
  const position = /position (\d+)/.exec(reason)?.[1];
  if (position === undefined) return '';
  return ` in line ${text.slice(0, Number(position)).split('\n').length}`;
}

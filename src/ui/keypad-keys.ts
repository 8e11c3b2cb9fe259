/** The event that hands a keypad the text that was typed on it before its code was there. */
export const typedBefore = 'ohmmeter-typed';

/** What the keys of the keypad do, other than digits and the point: take the last away, over range, thousands, below nought. */
export type KeypadKey = 'delete' | 'OL' | 'k' | '-' | '.' | `${number}`;

/**
 * What the text becomes when a key is pressed: digits go before a unit step, one point is enough, and a step or a sign that
 * is pressed again is taken back.
 * It also stands in the page as text, ahead of its code, so it may use nothing outside itself.
 */
export function pressed(text: string, key: string): string {
  if (key === 'OL') return 'OL';
  const isOver = text === 'OL';
  if (key === 'delete') return isOver ? '' : text.slice(0, -1);
  if (key === '-') return isOver ? '-' : /^[-−]/.test(text) ? text.slice(1) : `-${text}`;
  const isKilo = /k$/i.test(text);
  if (key === 'k') return isKilo ? text.slice(0, -1) : isOver || text === '' ? text : `${text}k`;
  if (isOver) return key === '.' ? '0.' : key;
  const number = isKilo ? text.slice(0, -1) : text;
  if (key === '.' && /[.,]/.test(number)) return text;
  if (number.replace(/^[-−]/, '').length >= 7) return text;
  return `${number}${key}${isKilo ? 'k' : ''}`;
}

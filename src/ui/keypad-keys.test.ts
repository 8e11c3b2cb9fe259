import { describe, expect, it } from 'vitest';
import { pressed } from './keypad-keys';

const typed = (...keys: string[]) => keys.reduce(pressed, '');

describe('the keys of the keypad', () => {
  it('counts every digit, and one point only', () => {
    expect(typed('1', '1', '.', '.', '8')).toBe('11.8');
    expect(typed('1', '2', '3', '4', '5', '6', '7', '8')).toBe('1234567');
  });

  it('puts digits before the thousands, and takes these back when they are pressed again', () => {
    expect(typed('1', 'k', '0', '.', '5')).toBe('10.5k');
    expect(typed('1', '0', 'k', 'k')).toBe('10');
    expect(typed('k')).toBe('');
  });

  it('takes over range away whole, and begins anew with the next digit', () => {
    expect(typed('4', 'OL')).toBe('OL');
    expect(typed('OL', 'delete')).toBe('');
    expect(typed('OL', '7')).toBe('7');
    expect(typed('OL', '.')).toBe('0.');
    expect(typed('OL', 'k')).toBe('OL');
  });

  it('turns the sign, before or after the digits', () => {
    expect(typed('-', '5')).toBe('-5');
    expect(typed('5', '-', '-')).toBe('5');
    expect(typed('OL', '-')).toBe('-');
    expect(typed('-', '1', '2', '3', '4', '5', '6', '7', '8')).toBe('-1234567');
  });

  it('stands by itself: the page has it as text', () => {
    const alone = new Function(`return (${String(pressed)})`)() as typeof pressed;
    expect(['1', '1', '.', '8', 'k'].reduce(alone, '')).toBe('11.8k');
  });
});

import { describe, expect, it } from 'vitest';
import { keptByServer, notKept, toldTrouble, troubleOfReading } from './store-trouble';

describe('what is told of a store that does not do its part', () => {
  it.each(['silent', 'refused'] as const)(
    'does not forget the proof when an entry went straight: %s',
    (reading) => {
      expect(toldTrouble(undefined, reading)).toContain('prove dead again');
      expect(toldTrouble(keptByServer, reading)).toContain('prove dead again');
      // That it was not entered is what has to be known first.
      expect(toldTrouble(notKept, reading)).toBe(notKept);
    },
  );

  it('is what became of the entry where all of the store was read', () => {
    expect(toldTrouble(keptByServer, 'read')).toBe(keptByServer);
    expect(toldTrouble(undefined, 'closed')).toBe(troubleOfReading.closed);
    expect(toldTrouble(undefined, 'read')).toBeUndefined();
  });
});

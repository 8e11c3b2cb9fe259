import { expect, it } from 'vitest';
import { litresAtOutlet } from '@/core/mixing-valve';
import { lastsWords } from './mixing-words';

it('a full tank is told in litres or gallons, and a tap as cold as its feed in words, not as no end of water', () => {
  expect(lastsWords(litresAtOutlet(200, 50, 10, 47), 'metric')).toBe('195 L');
  expect(lastsWords(litresAtOutlet(200, 50, 10, 47), 'us')).toMatch(/^5[12] gal$/);
  for (const tapCelsius of [9, 10, 10.5]) {
    expect(lastsWords(litresAtOutlet(200, 50, 10, tapCelsius), 'metric')).toMatch(/hardly any hot/);
  }
});

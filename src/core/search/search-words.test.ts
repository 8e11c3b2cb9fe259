import { describe, expect, it } from 'vitest';
import { isFound, questionWords, searchWords } from './search-words';

describe('words by which something is found', () => {
  it.each([
    ['Mill Lane 14', ['mill', 'lane', '14']],
    ['Møller, Käthe', ['møller', 'kathe']],
    ['AX-40/7', ['ax', '40', '7', 'ax407']],
    ['twice twice', ['twice']],
    ['   ', []],
  ])('%s', (text, words) => {
    expect(searchWords(text)).toEqual(words);
  });

  it('are never more than can be stored with a job', () => {
    expect(searchWords(Array.from({ length: 4000 }, (_, k) => `w${k}`).join(' '))).toHaveLength(60);
    expect(searchWords('x'.repeat(4000))[0]).toHaveLength(40);
  });

  it.each([
    ['kathe mill', true],
    ['KÄTHE', true],
    ['mil 1', true],
    ['mill 15', false],
    ['', true],
    ['toString', false],
    ['%', true],
  ])('%s', (question, found) => {
    expect(isFound(searchWords('Käthe Berg', 'Mill Lane 14'), questionWords(question))).toBe(found);
  });
});

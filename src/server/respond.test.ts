import { describe, expect, it, vi } from 'vitest';
import { problemOf } from './respond';

vi.mock('./log', () => ({ logFault: () => undefined }));

const withCode = (code: string, message = 'of a database') =>
  Object.assign(new Error(message), { code });

describe('what an error is answered with', () => {
  it('tells a disk without room by the word of the database, of the system, or of a connection that it keeps from opening', () => {
    const errors = [
      withCode('53100'),
      withCode('ENOSPC'),
      withCode('XX000', 'could not write init file'),
      new Error('in a query', { cause: withCode('53100') }),
    ];
    for (const error of errors) {
      const [status, { problem, message }] = problemOf(error);
      expect(status).toBe(507);
      expect(problem).toBe('unavailable');
      expect(message).toContain('disk of the server is full');
    }
  });

  it('repeats nothing of an error that nobody foresaw', () => {
    const [status, answer] = problemOf(withCode('XX000', 'Bea Falkner, 22 Weir Street'));
    expect(status).toBe(500);
    expect(JSON.stringify(answer)).not.toContain('Falkner');
  });
});

import { execFileSync } from 'node:child_process';

/** Runs a judge of Debian's Python and gives what it prints as JSON. @throws Error where it is missing or fails. */
export const askPython = <T>(program: string): T =>
  JSON.parse(execFileSync('/usr/bin/python3', ['-c', program], { encoding: 'utf8' })) as T;

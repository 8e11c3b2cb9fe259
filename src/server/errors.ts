import type { JobFileProblem } from '../core/job-file';

/** What was asked for is not there, or is not this firm's. */
export class NotFound extends Error {
  override name = 'NotFound';
}

/** What was sent cannot be taken; each problem says where and why. Nothing of it was stored. */
export class Refused extends Error {
  override name = 'Refused';
  constructor(readonly problems: readonly JobFileProblem[]) {
    super(problems.map((each) => each.message).join(' '));
  }
}

/** What was sent is more than is taken at once; it was not read to its end. */
export class TooLarge extends Error {
  override name = 'TooLarge';
  constructor(bytes: number, mostMegabytes: number) {
    const megabytes = (bytes / 1024 / 1024).toFixed(1);
    super(`That has ${megabytes} MB or more; at most ${mostMegabytes} MB are taken at once.`);
  }
}

/** So many ask for the same at this moment that nothing was begun of it. */
export class TooMany extends Error {
  override name = 'TooMany';
}

/** The same id has been stored with other content. */
export class Conflict extends Error {
  override name = 'Conflict';
  constructor(readonly ids: readonly string[]) {
    super('An entry with the same id and other content is already stored.');
  }
}

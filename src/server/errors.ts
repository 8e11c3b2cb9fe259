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

/** The same id has been stored with other content. */
export class Conflict extends Error {
  override name = 'Conflict';
  constructor(readonly ids: readonly string[]) {
    super('An entry with the same id and other content is already stored.');
  }
}

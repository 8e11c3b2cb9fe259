/** Why a plate cannot be worked with, and at which key of the job file. */
export class PlateError extends Error {
  override name = 'PlateError';
  constructor(
    readonly pointer: string,
    message: string,
  ) {
    super(message);
  }
}

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

/** By its name: a server that renders pages has this module twice, and with it this class. */
export const isPlateError = (error: unknown): error is PlateError =>
  error instanceof Error && error.name === 'PlateError';

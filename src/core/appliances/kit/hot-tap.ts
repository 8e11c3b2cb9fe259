import type { Quantity } from '../../quantities';

/** Where every heater's flow is measured: by a container and a clock. It tells nothing of what is wrong by itself. */
export const hotTap: readonly [string, readonly Quantity[]] = ['hot-tap', ['flow']];

import { hotShare } from './mixing';

/** Share of a tank that can be drawn before the outlet falls: the rest mixes with the cold that comes in. Common practice. */
export const usualUsableShare = 0.7;

/**
 * Litres at the tap, mixed to what is wanted, that a full tank gives without being heated meanwhile.
 * @param usableShare 0.7 with a sound dip tube, a quarter or less without one (common practice).
 */
export const mixedLitre = (
  tank: { readonly litre: number; readonly storedCelsius: number; readonly coldCelsius: number },
  wantedCelsius: number,
  usableShare = usualUsableShare,
): number =>
  tank.storedCelsius < wantedCelsius
    ? 0
    : (tank.litre * usableShare) / hotShare(tank.storedCelsius, tank.coldCelsius, wantedCelsius);

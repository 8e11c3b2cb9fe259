import type { SignalMode } from '../kit/signal/declaration';

/** A control that does nothing: so often its display is dark with it, else it shows what it showed. */
export const deadControl = (darkShare: number): SignalMode => ({
  id: 'control.dead',
  variants: [
    { share: darkShare, changes: { 'control.alive': 'open', 'display.lit': 'open' } },
    { share: 1 - darkShare, changes: { 'control.alive': 'open' } },
  ],
});

import bindZones from './bind-zones.json' with { type: 'json' };
import receiverRestart from './receiver-restart.json' with { type: 'json' };
import sensorWake from './sensor-wake.json' with { type: 'json' };

/** Work on a wireless control, not yet read. Common practice; the maker's words and local codes win. */
export const wirelessProcedures: readonly unknown[] = [sensorWake, receiverRestart, bindZones];

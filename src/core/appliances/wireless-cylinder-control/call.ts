/**
 * When a control of stored hot water calls: the sum that is said aloud before anything is opened. Setpoint less differential is
 * where a call begins; an override only allows it, and warms nothing that is warm.
 */
export interface CallSetting {
  readonly storedCelsius: number;
  readonly setpointCelsius: number;
  readonly differentialKelvin: number;
  readonly isAllowed: boolean;
}

/** Below this a call begins, °C. */
export const callsBelow = ({
  setpointCelsius,
  differentialKelvin,
}: Pick<CallSetting, 'setpointCelsius' | 'differentialKelvin'>): number =>
  setpointCelsius - differentialKelvin;

/** Whether it calls: a call that stands goes on to the setpoint. */
export function calls(setting: CallSetting, wasCalling = false): boolean {
  if (!setting.isAllowed || setting.storedCelsius >= setting.setpointCelsius) return false;
  return wasCalling || setting.storedCelsius < callsBelow(setting);
}

/** What a tap does not serve any more, °C. Common practice. */
const servedCelsius = 45;

export type CallVerdict = 'calls' | 'right-not-to' | 'set-too-low';

/** What stored water, setpoint and differential come to, without opening anything. */
export function callVerdict(setting: Omit<CallSetting, 'isAllowed'>): CallVerdict {
  if (calls({ ...setting, isAllowed: true })) return 'calls';
  return setting.storedCelsius < servedCelsius ? 'set-too-low' : 'right-not-to';
}

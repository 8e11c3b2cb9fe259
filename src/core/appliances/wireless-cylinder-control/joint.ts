import type { JointReading, JointVerdict, JointWord } from '../joint-reading';
import { callsBelow, callVerdict, type CallVerdict } from './call';

const ends: Readonly<Record<CallVerdict, string>> = {
  calls: ': a call is due',
  'right-not-to': ': not a fault, no call is right until it has cooled',
  'set-too-low': ' serves nobody and calls nothing: its setting, and no part',
};

/** Stored water, setpoint and differential as one sum: whether a call is due at all. */
export const joint: readonly JointReading[] = [
  {
    id: 'call-sum',
    title: 'The sum of the call',
    checks: ['display-stored-temperature', 'display-setpoint', 'display-differential'],
    judge([storedCelsius = 0, setpointCelsius = 0, differentialKelvin = 0]): JointVerdict {
      const setting = { storedCelsius, setpointCelsius, differentialKelvin };
      const verdict = callVerdict(setting);
      const words: readonly JointWord[] = [
        { celsius: setpointCelsius },
        ' less ',
        { kelvin: differentialKelvin },
        ': it calls below ',
        { celsius: callsBelow(setting) },
        '. Stored ',
        { celsius: storedCelsius },
        ends[verdict],
      ];
      return { isGood: verdict !== 'set-too-low', words };
    },
  },
];

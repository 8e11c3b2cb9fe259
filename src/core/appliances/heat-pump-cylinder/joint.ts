import {
  depthOfShare,
  pocketMillimetre,
  pocketShare,
  roomOvershoot,
  shareOfPair,
} from '../../heat-pump';
import type { JointReading, JointVerdict } from '../joint-reading';
import { done, roomCelsius } from './model';

/** A share at or above this is home: paste, contact and the thermometer's own error are in it. */
const homeShare = 0.9;
/** A drifted sensor and one that is out look alike in one pair: above this it reads more than the water itself. */
const overShare = 1.12;

/** What the unit believes of a water against what is there. */
function pair(sensor: string, checks: readonly [string, string], changedBy: string): JointReading {
  return {
    id: `${sensor}-pair`,
    title: `${sensor[0]!.toUpperCase()}${sensor.slice(1)} sensor against its water`,
    checks,
    changedBy: [changedBy],
    judge([readoutCelsius = 0, contactCelsius = 0]): JointVerdict {
      const share = shareOfPair(readoutCelsius, contactCelsius, roomCelsius);
      const both = [
        'It says ',
        { celsius: readoutCelsius },
        ', there is ',
        { celsius: contactCelsius },
      ] as const;
      if (share === undefined) {
        return {
          isGood: Math.abs(readoutCelsius - contactCelsius) < 4,
          words: [...both, ': too near the room to tell how far in it is'],
        };
      }
      const told = `: it feels ${share.toFixed(2)} of its water`;
      if (share > overShare) {
        return { isGood: false, words: [...both, ': reads hotter than its water, drifted'] };
      }
      if (share >= homeShare) return { isGood: true, words: [...both, `${told}, home`] };
      const depth = Math.round(depthOfShare(Math.max(share, 0)));
      const where =
        share < pocketShare(0)
          ? 'as one that lies beside its pocket'
          : `as one ${depth} mm in of ${pocketMillimetre}, or one that drifted`;
      return {
        isGood: false,
        words: [
          ...both,
          `${told}, ${where}. In a room of `,
          { celsius: roomCelsius },
          ...(sensor === 'buffer' && contactCelsius > 42
            ? [
                '; so hot, rooms go on by ',
                { kelvin: roomOvershoot(contactCelsius - 2, roomCelsius) },
                ' once their thermostat has stopped it',
              ]
            : []),
        ],
      };
    },
  };
}

/** Hot, mixed and tap as one sentence: what limits. */
const mixer: JointReading = {
  id: 'mixer-three',
  title: 'Hot port, mixed port, tap',
  changedBy: [done.mixerOpened, done.mixerShut],
  checks: ['mixer-hot-port-temperature', 'mixer-mixed-port-temperature', 'tap-temperature'],
  judge([hot = 0, mixed = 0, tap = 0]): JointVerdict {
    const words = [
      { celsius: hot },
      ' in, ',
      { celsius: mixed },
      ' out, ',
      { celsius: tap },
      ' at the tap',
    ] as const;
    if (mixed - tap > 3) {
      return {
        isGood: false,
        words: [
          ...words,
          ': right at the valve and lost behind it, cold gets in past a mixer or the outlet holds it',
        ],
      };
    }
    if (hot - mixed < 2) {
      return { isGood: mixed >= 45, words: [...words, ': the stored water limits, not the valve'] };
    }
    if (hot - mixed > 4 && mixed < 45) {
      return {
        isGood: false,
        words: [
          ...words,
          ': the valve limits. A step that moves it: set low; one that moves nothing: its hot side is blocked',
        ],
      };
    }
    return { isGood: true, words: [...words, ': the valve holds'] };
  },
};

export const joint: readonly JointReading[] = [
  pair(
    'buffer',
    ['display-buffer-temperature', 'contact-buffer-temperature'],
    done.bufferSensorHome,
  ),
  pair(
    'cylinder',
    ['display-cylinder-temperature', 'contact-cylinder-temperature'],
    done.cylinderSensorHome,
  ),
  mixer,
];

import { eyesOf } from '../running-water/eyes';
import type { Random } from '../random';
import {
  isControllerLit,
  receiverListens,
  sensorSends,
  type Cures,
  type WirelessMoment,
} from './chain';
import { wirelessNumbers as numbers } from './numbers';
import type { WirelessSystem } from './unit';

const linkOf = (margin: number): string =>
  margin > 7.5 ? 'good' : margin > -0.8 ? 'poor' : 'none';

/** What is seen, heard or felt of a simulated control: apart from what the diagnosis believes would be. */
export function lookAtWireless(
  check: string,
  unit: WirelessSystem,
  cures: Cures,
  now: WirelessMoment,
  storedCelsius: number,
  random: Random,
): string {
  const { either, oneOf } = eyesOf(random);
  const is = (...faults: string[]) => faults.some(unit.has);
  const clearly = numbers.clearlySeen;
  const isLit = isControllerLit(unit);
  const isWet = unit.facts.arrangement !== 'immersion';
  switch (check) {
    case 'display-look': {
      if (!isLit) return random.chance(0.05) ? 'L-1' : 'dark';
      if (is('sensor.battery-flat')) return oneOf(['L-2', 80], ['L-3', 12], ['normal', 8]);
      if (is('sensor.dead')) return oneOf(['L-4', 30], ['L-3', 40], ['L-2', 25], ['normal', 5]);
      if (!now.isHeard) return oneOf(['L-3', 58], ['L-2', 34], ['normal', 8]);
      const isCold = storedCelsius < 44;
      if (isCold && !receiverListens(unit, cures)) return oneOf(['L-5', 78], ['normal', 22]);
      if (isCold && unit.receiverMargin < 1) return oneOf(['L-5', 60], ['normal', 40]);
      if (isCold && isWet && now.isLit && !now.flows) return oneOf(['L-6', 42], ['normal', 58]);
      return oneOf(['normal', 97], ['L-2', 1], ['L-6', 2]);
    }
    case 'stored-temperature-shown':
      if (!isLit) return oneOf(['waiting-mark', 1], ['shown', 1], ['stale', 1]);
      if (now.isHeard) return oneOf(['shown', 97], ['stale', 3]);
      if (is('sensor.battery-flat')) return oneOf(['stale', 75], ['waiting-mark', 25]);
      if (is('radio.sensor-at-metal', 'radio.path-weak'))
        return oneOf(['stale', 48], ['waiting-mark', 52]);
      return oneOf(['waiting-mark', 93], ['stale', 7]);
    case 'program-look':
      return is('program.wrong')
        ? oneOf(['off-now', 55], ['never', 40], ['on-now', 5])
        : oneOf(['on-now', 83], ['off-now', 17]);
    case 'mode-look':
      return is('mode.off')
        ? oneOf(['hot-water-off', 57], ['holiday', 39], ['normal', 4])
        : oneOf(['normal', 98], ['holiday', 2]);
    case 'call-symbol':
      return either(now.isCalling, 'calling', 'not-calling', clearly);
    case 'raised-setpoint-test': {
      const symbol = now.isHeard && !is('mode.off');
      const reaches =
        symbol &&
        !is('system-type.wrong') &&
        (!is('receiver.swapped') || cures.receiverBound) &&
        receiverListens(unit, cures) &&
        unit.receiverMargin > -1 + 2 * random.normal();
      return reaches
        ? oneOf(['symbol-and-light', 95], ['symbol-only', 5])
        : symbol
          ? oneOf(['symbol-only', 95], ['neither', 5])
          : oneOf(['neither', 95], ['symbol-only', 5]);
    }
    case 'system-type-look':
      return either(is('system-type.wrong'), 'other-type', 'matches-pipework', clearly);
    case 'receiver-light-after-override':
      if (now.isLit) return oneOf(['lights', 97], ['dark', 3]);
      if (is('receiver.hung') && !cures.receiversRestarted)
        return oneOf(['flashes', 58], ['dark', 42]);
      if (is('receiver.unbound') && !cures.receiverBound)
        return oneOf(['flashes', 72], ['dark', 28]);
      return oneOf(['dark', 95], ['flashes', unit.receiverMargin < 1 ? 20 : 4]);
    case 'other-receiver-light-after-override':
      return either(
        now.isCalling &&
          ((is('receiver.swapped') && !cures.receiverBound) ||
            (is('system-type.wrong') && unit.luck < 0.8)),
        'lights',
        'dark',
        clearly,
      );
    case 'receiver-relay-click':
      return random.chance(!now.isLit ? 0.05 : is('receiver.relay-open') ? 0.4 : 0.88)
        ? 'heard'
        : 'silent';
    case 'receiver-light-after-call-ends':
      return random.chance(is('overrun.set') && storedCelsius > 45 ? 0.72 : 0.05)
        ? 'stays-lit'
        : 'goes-off';
    case 'receiver-button':
      if (random.chance(0.03)) return oneOf(['relay-runs', 1], ['no-light', 1]);
      return !now.isLit ? 'no-light' : now.fires ? 'relay-runs' : 'light-but-nothing-runs';
    case 'receiver-power-off-2-min':
      return random.chance(is('receiver.hung') ? 0.88 : 0.07) ? 'then-works' : 'no-change';
    case 'sensor-battery-out-10-s':
      if (now.isHeard) return oneOf(['was-shown', 96], ['still-none', 4]);
      return random.chance(is('sensor.hung') ? 0.9 : 0.07) ? 'temperature-appears' : 'still-none';
    case 'signal-test-sensor': {
      const seen = isLit && sensorSends(unit, cures) ? linkOf(unit.sensorMargin) : 'none';
      return random.chance(0.08) ? oneOf(['good', 1], ['poor', 2], ['none', 1]) : seen;
    }
    case 'signal-test-receiver': {
      const seen = isLit && receiverListens(unit, cures) ? linkOf(unit.receiverMargin) : 'none';
      return random.chance(0.08) ? oneOf(['good', 1], ['poor', 2], ['none', 1]) : seen;
    }
    case 'hand-held-sensor-test':
      return either(
        isLit && sensorSends(unit, cures) && unit.freeMargin > -0.5,
        'link-comes',
        'no-link',
        clearly,
      );
    case 'rebind-sensor':
      return either(
        isLit && !is('sensor.dead') && unit.cellVolt > 2.18 && unit.sensorMargin > 0,
        'binds',
        'does-not',
        clearly,
      );
    case 'rebind-receiver':
      return either(
        isLit && !is('receiver.dead', 'receiver.no-supply') && unit.receiverMargin > 0,
        'binds',
        'does-not',
        clearly,
      );
    case 'sensor-seat-look':
      return either(is('sensor.off-cylinder'), 'loose-or-out', 'tight-on-metal', clearly);
    case 'valve-lever-feel':
    case 'valve-lever-idle-feel':
      if (random.chance(0.05)) return oneOf(['springs-back', 2], ['slack-driven-open', 1]);
      if (is('valve.lever-latched')) return 'latched';
      if (is('valve.body-seized')) return 'stiff';
      if (check === 'valve-lever-idle-feel' && is('overrun.set') && storedCelsius > 45)
        return oneOf(['slack-driven-open', 7], ['springs-back', 3]);
      return now.driven ? 'slack-driven-open' : 'springs-back';
    case 'boiler-look':
      if (random.chance(0.04)) return oneOf(['fires', 1], ['stays-off', 1]);
      if (!now.fires) return 'stays-off';
      return is('valve.end-switch-welded') ? 'runs-without-call' : 'fires';
    case 'boiler-idle-look':
      return either(now.fires, 'runs', 'off', clearly);
    case 'pump-feel':
      return either(now.pump, 'running', 'still', clearly);
    case 'cutout-press':
      return either(is('cutout.tripped'), 'clicked', 'no-click', clearly);
    case 'cylinder-flow-pipe':
    case 'cylinder-flow-pipe-idle':
      if (now.flows) return oneOf(['hot', 92], ['tepid', 8]);
      if (now.fires && now.through) return oneOf(['tepid', 50], ['cold', 38], ['hot', 12]);
      return oneOf(['cold', 80], ['tepid', now.fires ? 18 : 8], ['hot', 2]);
    case 'cylinder-return-pipe':
      return now.flows
        ? oneOf(['tepid', 52], ['hot', 38], ['cold', 10])
        : oneOf(['cold', 90], ['tepid', 10]);
    case 'use-look':
      return either(is('demand'), 'outsized', 'usual', [0.88, 0.08]);
    default:
      throw new RangeError(`nobody looks at "${check}"`);
  }
}

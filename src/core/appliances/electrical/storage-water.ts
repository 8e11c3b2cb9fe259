import type { StorageWater } from '../appliance-family';
import type { LoggedEvent } from '../../job-file/logs';
import type { JobState } from '../../job-file/state';
import { explainLog } from '../../thermal/log';
import { heatAhead } from '../kit/heat-ahead';
import { logObservable, watchedLog } from '../kit/logged-water';
import type { UnitState } from '../kit/unit-state';
import type { ElectricalDeclaration } from './declaration';
import type { ElectricalObservable } from './observable';
import type { UnitView } from './observation';
import type { Plate } from './plate';
import { readDialOf, readingState } from './state';
import type { UnitHypothesis } from './unit-hypothesis';

/** An electric heater's tank as the rest of the house sees it. */
export function storageWater(
  declaration: ElectricalDeclaration,
  viewOf: (plate: Plate) => UnitView,
): StorageWater {
  const { thermostats, elements, tank, dialCelsius } = declaration;

  /** As it stood before the log, with the power on: what was switched meanwhile is in the log. */
  const stateBefore = (before: JobState): UnitState => {
    const state = readingState(thermostats, before);
    const known = Object.fromEntries(
      thermostats.flatMap(({ id, setting }) => {
        const found = before.settings.get(setting);
        const value = found?.left ?? found?.found;
        const celsius = typeof value === 'object' ? value.celsius : undefined;
        return celsius === undefined ? [] : [[readDialOf(id), celsius]];
      }),
    );
    return { ...state, controls: { ...state.controls, power: 'on' }, apart: [], known };
  };

  const dialAt = ({ second, dial, to }: Extract<LoggedEvent, { kind: 'dial' }>) => {
    const thermostat = thermostats.findIndex(({ id }) => id === dial);
    if (thermostat < 0 || (to !== 'high' && to !== 'low')) return undefined;
    return { atSecond: second, thermostat, cutOutCelsius: dialCelsius[to] };
  };

  const logOf = (observable: ElectricalObservable) => {
    if (observable.kind !== 'log') throw new TypeError('this is no log');
    return observable;
  };

  return {
    litre: (plate) => (plate as Plate).volumeLitre,
    heaters: (plate) =>
      elements.map(({ id, label }, k) => ({
        label,
        watt:
          (plate as Plate).elementWatt[id]! *
          ((plate as Plate).nominalVolt / (plate as Plate).ratedVolt) ** 2,
        height: tank.heaters[k]!,
      })),
    observableOfLog: (course, before, { fromSecond, untilSecond } = {}) => {
      const log = watchedLog(course, dialAt, fromSecond, untilSecond);
      // With the power off from the start, its first switch is before its first reading.
      const switches =
        before.power === 'off' ? [{ atSecond: 0, isOn: false }, ...log.switches] : log.switches;
      return logObservable({ ...log, switches }, stateBefore(before));
    },
    explain(plate, hypothesis, observable) {
      const { log, state } = logOf(observable as ElectricalObservable);
      const { tank: logged } = viewOf(plate as Plate).water.logTank(
        hypothesis as UnitHypothesis,
        state,
      );
      return { ...explainLog(log, logged), fromSecond: log.fromSecond };
    },
    ahead: (plate, water) => {
      const { design, power } = viewOf(plate as Plate).water.good();
      return heatAhead(design, power, water, declaration.coldCelsius);
    },
    shower: (plate, hypothesis, wish) =>
      viewOf(plate as Plate).water.showerRun(hypothesis as UnitHypothesis, wish),
  };
}

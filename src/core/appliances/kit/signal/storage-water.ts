import { explainLog } from '../../../thermal/log';
import type { FamilyPlate, StorageWater } from '../../appliance-family';
import { logObservable, watchedLog } from '../logged-water';
import type { SignalWater, Standing } from './declaration';
import { readingState } from './entry-state';
import type { SignalHypothesis } from './hypothesis';
import type { SignalObservable } from './observable';

/** The tank of a family of signals as the rest of the house sees it. */
export function signalStorage<Plate extends FamilyPlate, S extends Standing>(
  water: SignalWater<Plate, S>,
): StorageWater {
  return {
    litre: (plate) => water.litre(plate as Plate),
    heaters: water.heaters,
    observableOfLog: (course, before, { fromSecond, untilSecond } = {}) =>
      logObservable(
        watchedLog(course, (event) => water.dialAt(event), fromSecond, untilSecond),
        readingState(before),
      ),
    explain(plate, hypothesis, observable) {
      const seen = observable as SignalObservable;
      if (seen.kind !== 'log') throw new TypeError('this is no log');
      const { elements, standing } = hypothesis as SignalHypothesis<S>;
      const { tank } = water.logTank({
        plate: plate as Plate,
        elements,
        standing,
        state: seen.state,
      });
      return { ...explainLog(seen.log, tank), fromSecond: seen.log.fromSecond };
    },
    ahead: water.ahead,
    shower(plate, hypothesis, wish) {
      const { elements, standing, faults } = hypothesis as SignalHypothesis<S>;
      const state = { controls: {}, apart: [], done: [], known: {} };
      return water.shower({ plate: plate as Plate, elements, standing, state }, faults, wish);
    },
  };
}

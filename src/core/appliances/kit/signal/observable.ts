import type { Observable } from '../../../diagnosis/model';
import type { ProbePoint } from '../../../job-file/generated/job-types';
import type { Quantity } from '../../../quantities';
import type { Target } from '../../appliance-family';
import type { LogObservable } from '../logged-water';
import type { TapLogObservable } from './tap-log';
import { isOneOff, stateKey, type UnitState } from '../unit-state';

export type SignalObservable = Observable &
  (
    | {
        readonly kind: 'check';
        readonly check: string;
        readonly state: UnitState;
        readonly standing?: object;
      }
    | {
        readonly kind: 'target';
        readonly target: Target;
        readonly quantity: Quantity;
        readonly state: UnitState;
        readonly standing?: object;
      }
    | { readonly kind: 'question'; readonly question: string }
    | Pick<LogObservable, 'kind' | 'log' | 'state'>
    | Pick<TapLogObservable, 'kind' | 'log' | 'state'>
  );

export const observableOfQuestion = (question: string): SignalObservable => ({
  kind: 'question',
  key: `question ${question}`,
  question,
});

export const observableOfCheck = (
  check: string,
  state: UnitState,
  key = stateKey(state),
): SignalObservable => ({
  kind: 'check',
  key: `${check} ${key}`,
  check,
  state,
  isOneOff: isOneOff(state),
});

export const observableOfTarget = (
  target: Target,
  quantity: Quantity,
  state: UnitState,
): SignalObservable => ({
  kind: 'target',
  key: `${quantity} ${textOf(target)} ${stateKey(state)}`,
  target,
  quantity,
  state,
  isOneOff: true,
});

const nameOf = (point: ProbePoint): string =>
  typeof point === 'string' ? point : `${point.wire}@${point.end}`;

const textOf = (target: Target): string =>
  'between' in target
    ? target.between.map(nameOf).join(' ')
    : 'around' in target
      ? target.around
      : target.point;

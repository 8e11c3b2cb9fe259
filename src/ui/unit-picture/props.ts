import type { PictureState } from '../../core/job-diagnosis';
import type { LiftedEnd } from '../../core/job-file';
import type { Plan } from './plan';
import type { View } from './view';

export interface UnitPictureProps {
  readonly plan: Plan;
  readonly picture: PictureState;
  readonly lifted: readonly LiftedEnd[];
  /** Terminals to touch, A and B, or the conductor to clamp. */
  readonly probes: readonly string[];
  readonly clampOn?: string;
  /** Watts of each element, from the plate. */
  readonly watts: Readonly<Record<string, number>>;
  /** Part marked as bad: the leading suspect's in pencil, or the failed one's in ink. */
  readonly suspectedPart?: string;
  readonly isFailed?: boolean;
  /** Colours of conductors, as somebody wrote them down. */
  readonly colours?: Readonly<Record<string, string>>;
  /** Undefined where the water is not to be shown. */
  readonly temperature?: (celsius: number) => string;
  /** What was last read at named points, in °C: the others show what the model has. */
  readonly known?: Readonly<Record<string, number>>;
  /** The whole drawing, or a crop round the probes for a small screen. */
  readonly crop?: boolean;
  /** The part of it that is seen, where somebody came closer. */
  readonly view?: View;
  readonly label: string;
  /** Makes terminals and named points touchable. */
  readonly onTerminal?: (terminal: string) => void;
  /** Makes what a finger turns touchable: valves, knobs, flames. */
  readonly onControl?: (control: string, position: string | undefined) => void;
  /** Touchable, but no stop for the keyboard: there is another way in beside it. */
  readonly isGlance?: boolean;
}

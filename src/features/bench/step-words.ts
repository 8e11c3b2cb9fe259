import type { AccessStep } from '@/core/appliances';
import type { LiftedEnd } from '@/core/job-file';
import type { FamilyWords } from '@/features/record/family-words';
import { terminalName } from '@/features/record/words';

export const minutesText = (minutes: number): string => {
  const halves = Math.round(minutes * 2) / 2;
  const whole = Math.floor(halves);
  const half = halves > whole ? '½' : '';
  return halves < 1 ? '½ min' : `${whole}${half} min`;
};

/** A step of access as an order. */
export function stepWords(words: FamilyWords, step: AccessStep): string {
  switch (step.kind) {
    case 'power-off-and-prove':
      return 'Power off and prove dead';
    case 'power-on':
      return 'Power on, tank full, hands clear';
    case 'open-cover':
      return step.cover === 'junction-box'
        ? 'Open the junction box'
        : `Take the ${words.cover(step.cover)} off`;
    case 'lift-wire':
      return `Lift the ${wireAt(words, step.lifted, 'off')}`;
    case 'refit-wire':
      return `Refit the ${wireAt(words, step.lifted, 'on')}`;
    case 'make-so':
    case 'end-so':
      return step.order;
    case 'take-check':
      return `First: ${words.check(step.check)}`;
  }
}

/** The wire and its screw; the screw once, where the wire is named after it. */
function wireAt(words: FamilyWords, { wire, end }: LiftedEnd, at: 'off' | 'on'): string {
  const [name, screw] = [words.wire(wire), terminalName(end)];
  return name.endsWith(screw) ? name : `${name} ${at} ${screw}`;
}

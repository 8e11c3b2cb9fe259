import type { Random } from '../random';
import { zonedNumbers as numbers } from './numbers';
import type { ZonedUnit } from './unit';

/** A contact as it is at each reading: one that burnt may come and go by itself, and closes for a while where it is knocked. */
export function burntContact(unit: ZonedUnit): {
  /** The unit as the next reading finds it. */
  asRead(random: Random): ZonedUnit;
  /** It was knocked, and clicked. */
  knock(random: Random): void;
} {
  const burnt = unit.burntContact;
  if (!burnt) return { asRead: () => unit, knock: () => undefined };
  const made: ZonedUnit =
    burnt.of === 'joint'
      ? { ...unit, jointOhm: unit.contactOhm }
      : { ...unit, hasPumpContact: true };
  let isMade = burnt.isMade;
  let changes = burnt.changes;
  return {
    asRead(random) {
      if (random.chance(changes)) isMade = !isMade;
      return isMade ? made : unit;
    },
    knock(random) {
      if (!random.chance(numbers.knockedShut)) return;
      isMade = true;
      // What was knocked shut falls open again.
      changes = Math.max(changes, numbers.contactChanges.least);
    },
  };
}

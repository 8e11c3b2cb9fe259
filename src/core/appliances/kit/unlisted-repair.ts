import type { Caution, Repair } from '../family';
import type { FamilyNames } from './names';

/** The suspect that stands for everything that no family names, and what is done about it. */
export const unlistedRepairId = 'look-further';

const unlistedRepair: Omit<Repair, 'cautions'> = {
  suspect: 'Something not in this list',
  order: 'Look further: nothing in this list explains the readings',
  parts: [],
  steps: [
    'Take the reading that fits nothing again, with another meter.',
    'Look for what is not on the picture: an added switch, a timer, a relay, a joint in a wall, a second supply.',
    'Ask somebody who knows this make, with the readings at hand. Leave it safe meanwhile.',
  ],
  wires: [],
  proof: [],
  minutes: 20,
};

/** Every family has a suspect for what it does not name. Whatever it was, what proves a good unit proves it. */
export function withUnlisted<
  Declaration extends {
    readonly names: FamilyNames;
    readonly repairs: Readonly<Record<string, Repair>>;
  },
>(declared: Declaration, cautions: readonly Caution[]): Declaration {
  return {
    ...declared,
    names: { ...declared.names, repairs: [...declared.names.repairs, unlistedRepairId] },
    repairs: {
      ...declared.repairs,
      [unlistedRepairId]: {
        ...unlistedRepair,
        cautions,
        proof: declared.repairs['none-in-unit']!.proof,
      },
    },
  };
}

import type { PartRequirement } from '../../parts';

/** Parts that any tank has. */
export function tankParts(kind: string): readonly PartRequirement[] {
  switch (kind) {
    case 'anode':
      return [
        same('thread', 'Same thread', 'Another thread never seals.'),
        same(
          'length',
          'No longer than the old one',
          'Too long touches the bottom or cannot be got in.',
        ),
      ];
    case 'dip-tube':
      return [
        same(
          'length',
          'As long as the old one',
          'Too short mixes cold water in at the top; too long blocks.',
        ),
      ];
    default:
      return [];
  }
}

/** Only the old part tells. */
export const same = (says: string, label: string, why: string): PartRequirement => ({
  kind: 'same',
  says,
  label,
  why,
});

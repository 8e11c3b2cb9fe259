import { openOhm } from '../../circuit';
import { unlistedRepairId } from '../kit/unlisted-repair';
import type { Branch } from './circuit-of';
import type { ElectricalDeclaration } from './declaration';
import { fault, resistiveJoint, type FaultMode } from './faults';
import type { FamilyParameters } from '../kit/parameters';
import type { Plate } from './plate';

/** One unit in thirty has something that nobody foresaw: half of it on the circuit, half anywhere. Common practice. */
export const unlistedShare = 0.035;

const prefix = 'unlisted.';

/** The repair that ends a fault. */
export const repairOfFault = (
  { names }: Pick<ElectricalDeclaration, 'names'>,
  id: string,
): string => (id.startsWith(prefix) ? unlistedRepairId : names.faults[id]!);

/** Where an unlisted fault sits, as a branch of the circuit; undefined for a fault that has a name. */
export const placeOfUnlisted = (id: string): string | undefined =>
  id.startsWith(prefix) ? id.slice(prefix.length).replace(/ (open|resistive|low)$/, '') : undefined;

/** Every name that such a fault may have on any plate: a verdict may carry it, and the record has to know it. */
export const unlistedNames = ({ branches }: Pick<ElectricalDeclaration, 'branches'>): string[] => [
  ...branches.flatMap(({ id }) => [`${prefix}${id} resistive`, `${prefix}${id} open`]),
  ...[...elementParts(branches)].map((part) => `${prefix}${part} low`),
];

const elementParts = (branches: readonly Branch[]): ReadonlySet<string> =>
  new Set(branches.flatMap(({ id, element }) => (element ? [id.replace(/\.[ab]-half$/, '')] : [])));

/**
 * What the circuit may have without any list naming it: a resistance or a break in every branch that no listed fault gives
 * one, and an element that reads too low. That is how a reading that fits no name still says where to look (de Kleer and
 * Williams, 1987: the unknown mode of a component).
 */
export function unlistedModes(
  { branches }: Pick<ElectricalDeclaration, 'branches'>,
  plate: Plate,
  listed: readonly FaultMode[],
): FaultMode[] {
  const changed = (branch: string, how: 'open' | 'ohm') =>
    listed.some(({ variants }) =>
      variants.some(({ changes }) => {
        const change = changes[branch];
        return how === 'open'
          ? change === 'open'
          : typeof change === 'object' && 'ohm' in change && change.ohm > 1;
      }),
    );
  const inTheWay = branches.filter(
    (each) => each.element === undefined && each.id !== 'bond' && isThere(each, plate),
  );
  return [
    ...inTheWay
      .filter(({ id }) => !changed(id, 'ohm'))
      .map(({ id }) => resistiveJoint(`${prefix}${id} resistive`, id)),
    ...inTheWay
      .filter(({ id }) => !changed(id, 'open'))
      .map(({ id }) => fault(`${prefix}${id} open`, { [id]: 'open' })),
    ...[...elementParts(branches)].map((part) => ({
      id: `${prefix}${part} low`,
      variants: [0.5, 0.75].map((factor) => ({
        share: 0.5,
        changes: { [`${part}.a-half`]: { factor }, [`${part}.b-half`]: { factor } },
        spread: { [`${part}.a-half`]: 0.12, [`${part}.b-half`]: 0.12 },
      })),
    })),
  ];
}

/** Not a path that only a fault closes. */
const isThere = ({ ohm }: Branch, plate: Plate) => ohm(plate) < openOhm;

/** Weight of each of them, so that all together have half of the share of what is in no list. */
export function unlistedWeight(
  { unlistedShare: share = unlistedShare }: FamilyParameters,
  totalListed: number,
  count: number,
): number {
  return count === 0 ? 0 : ((share / 2) * totalListed) / count;
}

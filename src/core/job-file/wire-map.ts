import type { WireEntry } from './generated/job-types';

/** One end of a conductor, as it was noted before it was lifted, and where it sits again. */
export interface WireRecord {
  readonly wire: string;
  /** The terminal that it came from. */
  readonly end: string;
  readonly colour?: string;
  readonly number?: string;
  readonly label?: string;
  /** Where it goes on a part with other terminals. */
  readonly mappedTo?: string;
  /** Where it sits again; undefined while nobody has confirmed it. */
  readonly backOn?: string;
}

/** The map with one entry more. Entries of the first versions note a wire without saying how it stands. */
export function withWire(
  wires: Readonly<Record<string, WireRecord>>,
  { wire, from, to, colour, number, label, stands }: WireEntry,
): Readonly<Record<string, WireRecord>> {
  if (from === undefined || stands === undefined) return wires;
  const key = `${wire} ${from}`;
  const known = Object.hasOwn(wires, key) ? wires[key] : undefined;
  const noted = {
    wire,
    end: from,
    ...(known ?? {}),
    ...(colour === undefined ? {} : { colour }),
    ...(number === undefined ? {} : { number }),
    ...(label === undefined ? {} : { label }),
  };
  const { backOn: _sat, ...lifted } = noted as WireRecord;
  const next: WireRecord =
    stands === 'back'
      ? { ...noted, backOn: to ?? from }
      : stands === 'mapped'
        ? { ...lifted, mappedTo: to ?? from }
        : lifted;
  return { ...wires, [key]: next };
}

type Wires = { readonly wires: Readonly<Record<string, WireRecord>> };

/** Wire ends that were noted and that nobody has confirmed back. */
export const unconfirmedWires = ({ wires }: Wires): WireRecord[] =>
  Object.values(wires).filter(({ backOn }) => backOn === undefined);

/** Where a wire belongs: on its old terminal, or on the one that stands for it on the new part. */
export const belongsOn = ({ end, mappedTo }: WireRecord): string => mappedTo ?? end;

/** Wire ends that sit on another terminal than they belong on. */
export const misplacedWires = ({ wires }: Wires): WireRecord[] =>
  Object.values(wires).filter(
    (each) => each.backOn !== undefined && each.backOn !== belongsOn(each),
  );

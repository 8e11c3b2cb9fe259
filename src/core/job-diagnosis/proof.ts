import { weightsForHeld } from '../diagnosis';
import { quantityOf, type Entry, type JobFile, type WalkedEntry } from '../job-file';
import { judgeEntry } from './judged';
import type { OpenDiagnosis } from './open-diagnosis';

/** A check that proves the repair, and what it gave since. */
export interface ProofItem {
  readonly check: string;
  readonly entry?: Entry;
  readonly good?: boolean;
  /** Whether it is good and would not be so if the repair had not held. */
  readonly proves?: boolean;
}

/** Whether the last repair is proved: by what was read since. */
export interface RepairProof {
  /** The proving checks of the last repair, with the last result of each. */
  readonly items: readonly ProofItem[];
  /** Readings since the repair that no good unit shows, the last of each kind. */
  readonly bad: readonly Entry[];
  readonly verdict: 'proved' | 'unproved' | 'contradicted';
}

const noProof: RepairProof = { items: [], bad: [], verdict: 'unproved' };

/** A reading proves a repair that is at least this many decibans likelier where it held: three times. */
const leastProofDecibans = 5;

/**
 * A good reading proves it that a unit with the old fault would not show: no amps in a circuit whose turn has not come are
 * good and prove nothing. A bad one bars that, however many good ones stand beside it.
 */
export function proofOf(open: OpenDiagnosis, job: JobFile): RepairProof {
  const { family, state, walked } = open;
  const repair = state.repairsDone.at(-1);
  if (repair === undefined) return noProof;
  const since = walked.filter(
    ({ before }) => before.repairsDone.length === state.repairsDone.length,
  );
  const judged = (each: WalkedEntry) => judgeEntry(open, job, each)?.isGood;
  const tells = tellsOf(open);
  const items = family.proofChecksFor(repair).map((check): ProofItem => {
    const taken = since.findLast(
      ({ entry }) => 'check' in entry && isResult(entry) && entry.check === check,
    );
    if (!taken) return { check };
    const good = judged(taken);
    return { check, entry: taken.entry, good, proves: good === true && tells(taken.entry.id) };
  });
  const named = new Set(items.map((each) => each.check));
  const bad = lastOfEach(since)
    .filter((each) => countsAgainst(open, each.entry, named) && judged(each) === false)
    .map(({ entry }) => entry);
  return {
    items,
    bad,
    verdict:
      bad.length > 0 ? 'contradicted' : items.some((each) => each.proves) ? 'proved' : 'unproved',
  };
}

/** Whether an entry tells that the last repair held from that it did not; all do where nothing can be told. */
function tellsOf({ tables, courses, belief, state }: OpenDiagnosis): (entry: string) => boolean {
  const place = state.repairsDone.length - 1;
  const weights = weightsForHeld(tables, courses, { id: state.repairsDone[place]!, place });
  if (!weights) return () => true;
  return (entry) => {
    const index = belief.contributions.findIndex((each) => each.entryIds.includes(entry));
    return index < 0 || weights[index]! >= leastProofDecibans;
  };
}

const isResult = (entry: Entry) => entry.kind === 'reading' || entry.kind === 'observation';

/** A proving check, or any reading of a meter: water that is still cold after a repair speaks against nothing. */
function countsAgainst(
  { family }: OpenDiagnosis,
  entry: Entry,
  named: ReadonlySet<string>,
): boolean {
  if (!isResult(entry)) return false;
  if ('check' in entry && entry.check !== undefined && named.has(entry.check)) return true;
  return entry.kind === 'reading' && quantityOf(entry, family.catalogue) !== 'temperature';
}

/** The last result of each check, and of each pair of points. */
function lastOfEach(walked: readonly WalkedEntry[]): WalkedEntry[] {
  const last = new Map<string, WalkedEntry>();
  for (const each of walked) {
    const { entry } = each;
    if (entry.kind !== 'reading' && entry.kind !== 'observation') continue;
    const place =
      entry.kind === 'reading' && entry.check === undefined
        ? JSON.stringify([entry.between, entry.around, entry.quantity])
        : entry.check!;
    last.set(place, each);
  }
  return [...last.values()];
}

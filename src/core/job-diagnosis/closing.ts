import type { Stop } from '../appliances';
import { testLeftWords } from '../settings';
import { misplacedWires, unconfirmedWires, type JobState, type StatusEntry } from '../job-file';
import type { RepairProof } from './proof';

/**
 * Why a job may not be closed so, in words; undefined where it may. The same on the screen and on the server.
 * @param given the state before it is closed, what has been proved since the last repair, and what has stopped the diagnosis.
 */
export function closingProblem(
  given: {
    readonly state: JobState;
    /** Looked at only where it matters: it may have to be worked out. */
    readonly proof: RepairProof;
    readonly stop: Stop | undefined;
  },
  { status, reason = '' }: Pick<StatusEntry, 'status' | 'reason'>,
): string | undefined {
  const { state, stop } = given;
  const hasReason = reason.trim() !== '';
  const { lifted, repairsDone } = state;
  const unconfirmed = unconfirmedWires(state).length;
  const misplaced = misplacedWires(state).length;
  const one = lifted.length === 1;
  const turned = testLeftWords(state);
  const stillLifted = `${lifted.length} ${one ? 'wire is' : 'wires are'} still lifted.`;
  switch (status) {
    case 'closed-repaired':
      // No reason makes smelled gas a repair that held.
      if (stop) {
        return `${stop.title}. It is not repaired until the check that showed it shows that it is over.`;
      }
      if (lifted.length > 0) return `${stillLifted} Put ${one ? 'it' : 'them'} back first.`;
      if (misplaced > 0) {
        return 'A wire sits on another terminal than it belongs on. Put it right first.';
      }
      if (hasReason) return undefined;
      if (turned.length > 0) {
        return `Still as a test left it: ${turned.join(', ')}. Set it back and write it down as left, or say here why not.`;
      }
      if (unconfirmed > 0) {
        return `${unconfirmed} ${unconfirmed === 1 ? 'wire is' : 'wires are'} not confirmed on ${unconfirmed === 1 ? 'its terminal' : 'their terminals'}. Look, and confirm, or say here why not.`;
      }
      if (repairsDone.length === 0) {
        return 'No repair is done on this job. Say here why it is closed as repaired.';
      }
      return unprovedWords[given.proof.verdict];
    case 'closed-not-repaired':
      if (hasReason) return undefined;
      return lifted.length > 0
        ? `${stillLifted} Put ${one ? 'it' : 'them'} back, or say here why not.`
        : sayWhy;
    case 'waiting-for-part':
      return hasReason ? undefined : sayWhy;
    default:
      return undefined;
  }
}

const sayWhy = 'Say why, in a few words: the next one to come reads it.';

const unprovedWords: Readonly<Record<RepairProof['verdict'], string | undefined>> = {
  proved: undefined,
  unproved:
    'No proving reading is right yet. Take one, or say here why the job is closed without it.',
  contradicted:
    'A reading since the repair is not what a good unit shows. Put it right and take it again, or say here why the job is closed with it.',
};

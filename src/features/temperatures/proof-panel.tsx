import { Link } from '@/ui/link';
import type { JobFile, LoggedCourse } from '@/core/job-file';
import { clockWords } from '@/core/procedures';
import type { ProofLevel, ProofRun } from '@/core/temperatures';
import { Tick } from '@/ui/marks';

const words: Readonly<Record<ProofLevel['id'], { readonly title: string; readonly how: string }>> =
  {
    readings: { title: 'Readings are right', how: 'on the part and on its circuit, at once' },
    changeover: {
      title: 'It heats, and hands over',
      how: 'with two elements, when about the top third is hot the lower one begins; with one heater, when it warms',
    },
    'shut-off': {
      title: 'It shuts off at its setting',
      how: 'hot throughout, and no rise for a quarter of an hour after',
    },
    'slow-climb': {
      title: 'Its flow climbs slowly',
      how: 'a tap open for two minutes from cold: the flow temperature rises as on a good boiler, and does not race to its limit',
    },
    holds: {
      title: 'The tap holds',
      how: 'warm, and within 4 K once it has settled',
    },
  };

const wrongWords = {
  'too-hot': 'hotter than any setting: shut it off, and look again',
  'no-heat': 'nothing warms: it has not held',
  races: 'it races again: the heat is still not taken away',
  swings: 'hot, cold, hot: it has not held',
} as const;

/** What must be seen after the repair, ticked off from the log as it happens. */
export function ProofPanel({
  proof,
  job,
  course,
}: {
  proof: ProofRun;
  job: JobFile;
  course: LoggedCourse | undefined;
}) {
  const open = proof.levels.filter(({ isSeen }) => !isSeen);
  const { ahead } = proof;
  const isTap = proof.levels.some(({ id }) => id === 'holds');
  const followed = isTap
    ? 'the flow pipe and the outlet with a tap open for two minutes'
    : 'the top and the bottom of the tank';
  return (
    <section aria-labelledby="proof">
      <h3 id="proof" className="text-title font-semibold">
        Proof of the repair
      </h3>
      <ol className="mt-1">
        {proof.levels.map((level) => (
          <li key={level.id} className="flex items-start gap-3 border-b border-hair py-2">
            <span
              className={`mt-0.5 flex size-7 shrink-0 items-center justify-center border-2 ${level.isSeen ? 'border-act bg-act text-on-act' : 'border-edge'}`}
              aria-hidden="true"
            >
              {level.isSeen && <Tick />}
            </span>
            <span>
              <span className="font-semibold">
                {words[level.id].title}
                <span className="sr-only">{level.isSeen ? ': seen' : ': not seen yet'}</span>
              </span>
              <span className="block text-small text-ink-2">
                {level.wrong ? '' : words[level.id].how}
              </span>
              {level.wrong && (
                <span className="block font-medium text-heat">{wrongWords[level.wrong]}</span>
              )}
              {level.seenAtSecond !== undefined && (
                <span className="block text-small">
                  seen {clockWords(level.seenAtSecond)} into the log
                </span>
              )}
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-2" role="status">
        {open.length === 0
          ? 'All of it has been seen.'
          : ahead
            ? [
                ahead.changeoverMinutes !== undefined && open.some(({ id }) => id === 'changeover')
                  ? `It should hand over in about ${round(ahead.changeoverMinutes)} min`
                  : undefined,
                `${ahead.changeoverMinutes !== undefined ? 'and shut' : 'It should shut'} off in about ${round(ahead.shutOffMinutes)} min, if nobody draws.`,
              ]
                .filter(Boolean)
                .join(' ')
            : course === undefined || proof.log === undefined
              ? `Follow ${followed}: the rest is ticked off from the log.`
              : `Read ${followed}: the rest is ticked off from the log.`}
      </p>
      {proof.levels[0]!.isSeen && open.length > 0 && (
        <p className="mt-1 text-small">
          The job may be closed on the first level: leave a logger, or call back, for the rest.{' '}
          <Link href={`/jobs/${job.job.id}/repair`} className="link">
            To the repair
          </Link>
        </p>
      )}
    </section>
  );
}

const round = (minutes: number): number =>
  minutes < 20 ? Math.max(1, Math.round(minutes)) : Math.round(minutes / 5) * 5;

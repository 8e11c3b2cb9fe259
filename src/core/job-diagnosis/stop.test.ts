import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../tests/sample-unit';
import { emptyJob, stamp } from '../../../tests/plates';
import { gasStoragePilot as family } from '../appliances/gas-storage-pilot';
import { systemBoiler } from '../appliances/system-boiler';
import { readJobFile, type Entry, type JobFile } from '../job-file';
import { catalogueOf, closingProblem, diagnoseJob, openDiagnosis, proofOf, stopNow } from '.';

type Answers = NonNullable<JobFile['complaint']>['answers'];

const jobOf = (entries: readonly Entry[], answers: Answers = {}): JobFile =>
  emptyJob({
    ...sampleUnit(family, { input: '11700', volume: '151' }),
    complaint: { kind: 'no-hot-water', answers },
    entries: [...entries],
  });
const answerOf = (entries: readonly Entry[], answers?: Answers) =>
  diagnoseJob(jobOf(entries, answers), { brief: true, depth: 'one-step' }).answer;
const stopOf = (...given: Parameters<typeof answerOf>) => answerOf(...given).stop?.kind;

const seen = (check: string, value: string): Entry => ({
  ...stamp(),
  kind: 'observation',
  check,
  value,
});
const monoxide = (value?: { ppm: number }): Entry => ({
  ...stamp(),
  kind: 'reading',
  check: 'flue-co-air-free',
  ...(value ? { value } : {}),
});

/** Common practice: make it safe, and nothing else until it has been. */
describe('what ends a diagnosis', () => {
  it('is smelled gas, until the same sniff finds none', () => {
    const smelled = [seen('gas-smell-sniff', 'smell')];
    expect(answerOf(smelled)).toMatchObject({ stop: { kind: 'gas-smell' }, next: null });
    expect(answerOf(smelled).decided).toBe(false);
    expect(stopOf([...smelled, seen('pilot-look', 'out')])).toBe('gas-smell');
    expect(stopOf([...smelled, seen('gas-smell-sniff', 'none')])).toBeUndefined();
  });

  it('goes with a correction, and comes with one', () => {
    const [smelled, none] = [seen('gas-smell-sniff', 'smell'), seen('gas-smell-sniff', 'none')];
    const corrected = (replaces: string, entry: Entry | null): Entry => ({
      ...stamp(),
      kind: 'correction',
      reason: 'mistyped',
      replaces,
      entry,
    });
    expect(stopOf([smelled, corrected(smelled.id, null)])).toBeUndefined();
    expect(stopOf([none, corrected(none.id, { ...smelled, ...stamp() })])).toBe('gas-smell');
  });

  it('is not put before a sniff that found none by a clock that is slow', () => {
    const none = seen('gas-smell-sniff', 'none');
    const late: Entry = {
      ...seen('gas-smell-sniff', 'smell'),
      at: new Date(Date.parse(none.at) - 3_600_000).toISOString(),
    };
    expect(stopOf([none, late])).toBe('gas-smell');
    expect(stopOf([late, none])).toBeUndefined();
  });

  it('is carbon monoxide above 400 ppm or over range, and a blank reading ends nothing', () => {
    expect(stopOf([monoxide({ ppm: 400 })])).toBeUndefined();
    expect(stopOf([monoxide({ ppm: 401 })])).toBe('carbon-monoxide');
    expect(stopOf([monoxide({ ppm: 900 }), monoxide()])).toBe('carbon-monoxide');
  });

  it('is an analysis past its limits, judged by the fuel on the plate', () => {
    const on = (
      fuel: string,
      values: Readonly<Record<string, { percent: number } | { ppm: number }>>,
    ) => {
      const job = emptyJob({
        ...sampleUnit(systemBoiler, { input: '24000', fuel }),
        entries: [{ ...stamp(), kind: 'reading', check: 'combustion-analysis', values }],
      });
      return diagnoseJob(job, { brief: true, depth: 'one-step' }).answer.stop?.kind;
    };
    const rich = { carbonDioxide: { percent: 11.2 }, carbonMonoxide: { ppm: 370 } };
    expect(on('lpg', rich)).toBe('carbon-monoxide');
    expect(on('lpg', { ...rich, carbonMonoxide: { ppm: 40 } })).toBeUndefined();
    expect(on('natural-gas', { ...rich, carbonMonoxide: { ppm: 40 } })).toBe('carbon-monoxide');
    expect(on('lpg', { carbonMonoxide: { ppm: 401 } })).toBe('carbon-monoxide');
  });

  it('is an alarm that the call told of, until spillage and carbon monoxide are both proved good', () => {
    const alarm = { coAlarm: 'yes' };
    const noSpill = seen('spillage-check', 'draws');
    expect(stopOf([], alarm)).toBe('carbon-monoxide');
    expect(stopOf([noSpill], alarm)).toBe('carbon-monoxide');
    expect(stopOf([noSpill, monoxide()], alarm)).toBe('carbon-monoxide');
    expect(stopOf([noSpill, monoxide({ ppm: 20 })], alarm)).toBeUndefined();
  });
});

describe('a job that was stopped', () => {
  it('is not closed as repaired, whatever the reason; it may be closed as not repaired', () => {
    const entries = [seen('leak-firing', 'bubbles')];
    const open = openDiagnosis(jobOf(entries));
    const stop = stopNow(family, jobOf(entries), open.walked);
    const given = { state: open.state, proof: proofOf(open, jobOf(entries)), stop };
    const reason = 'the customer asked';
    expect(closingProblem(given, { status: 'closed-repaired', reason })).toMatch(/make it safe/i);
    expect(closingProblem(given, { status: 'closed-not-repaired', reason })).toBeUndefined();
  });
});

describe('the way that a check has to open', () => {
  it('is not claimed without the check', () => {
    const claim: Entry = { ...stamp(), kind: 'action', action: 'make-so', fact: 'no-gas-smell' };
    const read = readJobFile(JSON.stringify(jobOf([claim])), catalogueOf);
    expect(read).toMatchObject({
      problems: [
        {
          pointer: '/entries/0/fact',
          message: expect.stringContaining('gas-smell-sniff') as string,
        },
      ],
    });
  });

  it('stays closed where the sniff was refused: neither it nor what needs it is asked for again', () => {
    const refused: Entry = { ...stamp(), kind: 'skip', check: 'gas-smell-sniff', reason: 'cannot' };
    const { next, alternatives } = answerOf([refused]);
    for (const check of [next, ...alternatives].flatMap((each) => (each ? [each.check] : []))) {
      expect(check).not.toBe('gas-smell-sniff');
      expect(family.catalogue.check(check)?.isGasWork).toBe(false);
    }
    expect(answerOf([]).next?.check).toBe('gas-smell-sniff');
  });
});

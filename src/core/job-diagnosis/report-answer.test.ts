import { describe, expect, it } from 'vitest';
import { job, reading } from '../../../tests/electric-job';
import { emptyJob, stamp } from '../../../tests/plates';
import { sampleUnit } from '../../../tests/sample-unit';
import { gasStoragePilot } from '../appliances/gas-storage-pilot';
import { carryingResults, diagnoseJob, judgeLogbook, proofOf, reportAnswer } from '.';
import type { Entry } from '../job-file';

const open = reading('lower-element-ohms', { overRange: true, above: { ohm: 2e6 } });
const cold = reading('outlet-first', { celsius: 16 });

const verdict = (repair: string, probability: number): Entry => ({
  ...stamp(),
  kind: 'verdict',
  engine: 'test',
  parameters: 'test',
  repair,
  suspects: [
    { repair: 'replace-lower-element', repairs: [], probability: 0.2, faults: [], why: [] },
    { repair, repairs: [], probability, faults: [], why: [] },
  ],
});

describe('what a report says', () => {
  it('is what the engine says, in plain data that a thread can hand on', () => {
    const asked = job([cold, open]);
    const report = reportAnswer(asked);
    expect(structuredClone(report)).toEqual(report);
    const diagnosis = diagnoseJob(asked);
    expect(report.suspects).toEqual(diagnosis.answer.suspects);
    expect(report.chosen).toEqual(diagnosis.answer.suspects[0]);
    expect(report.telling).toEqual(carryingResults(diagnosis, diagnosis.answer.suspects[0]!));
    expect(report.telling).toContain(open.id);
    expect(report.judged).toEqual(judgeLogbook(diagnosis, asked));
    expect(report.judged[open.id]!.isGood).toBe(false);
    expect(report.proof).toEqual(proofOf(diagnosis, asked));
    expect(report.isTakenUnread).toBe(false);
    expect(report.picture.suspected).toEqual([]);
  });

  it('keeps to the verdict that was acted on, as it was then', () => {
    const { suspects, chosen } = reportAnswer(job([open, verdict('replace-upper-element', 0.7)]));
    expect(chosen).toMatchObject({ repair: 'replace-upper-element', probability: 0.7 });
    expect(suspects.map((each) => each.probability)).toEqual([0.2, 0.7]);
  });

  it('says above everything what ended the diagnosis', () => {
    const gas = sampleUnit(gasStoragePilot, { input: '11700', volume: '151' });
    const smelled: Entry = {
      ...stamp(),
      kind: 'observation',
      check: 'gas-smell-sniff',
      value: 'smell',
    };
    const report = reportAnswer(emptyJob({ ...gas, entries: [smelled] }), { depth: 'one-step' });
    expect(report.stop?.kind).toBe('gas-smell');
    expect(report.decided).toBe(false);
    expect(reportAnswer(job([open])).stop).toBeUndefined();
  });
});

import { describe, expect, it } from 'vitest';
import { sampleUnit } from '../../../../tests/sample-unit';
import { diagnoseJob } from '../../job-diagnosis';
import type { Entry, JobFile } from '../../job-file/generated/job-types';
import { burntContact } from '../../simulation/zoned-boiler/burnt-contact';
import { drawZoned, type ZonedFacts } from '../../simulation/zoned-boiler/unit';
import { seededRandom } from '../../simulation';
import { systemBoiler as family } from '.';

const at = (minute: number) => `2026-03-02T08:${String(minute).padStart(2, '0')}:00Z`;
const looked = (minute: number, check: string, value: string): Entry =>
  ({ id: `e-${minute}`, at: at(minute), by: 't', kind: 'observation', check, value }) as Entry;
const read = (minute: number, check: string, volt: number): Entry =>
  ({
    id: `e-${minute}`,
    at: at(minute),
    by: 't',
    kind: 'reading',
    check,
    value: { volt },
  }) as Entry;

const jobOf = (entries: readonly Entry[]) =>
  ({
    ...sampleUnit(family, { input: '24000' }),
    complaint: {
      kind: 'no-hot-water',
      answers: { heating: 'none', hotWater: 'none', display: 'dark' },
    },
    entries,
  }) as unknown as JobFile;

const chanceOf = (repair: string, entries: readonly Entry[]): number =>
  diagnoseJob(jobOf([looked(1, 'gas-smell-sniff', 'none'), ...entries]), {
    depth: 'one-step',
  }).answer.suspects.find((each) => each.repair === repair)?.probability ?? 0;

/** Common practice: a joint that chars makes and breaks by itself, and makes for a while where it is knocked. */
describe('a burnt joint on the panel', () => {
  const dead = read(3, 'panel-out-volts', 0);
  const alive = read(4, 'panel-out-volts', 25.2);

  it('is what two readings that disagree speak for, over a winding that is open for good', () => {
    const odds = (entries: readonly Entry[]) =>
      chanceOf('replace-zone-panel', entries) / chanceOf('replace-transformer', entries);
    expect(odds([dead, alive])).toBeGreaterThan(3 * odds([dead]));
  });

  it('stays suspected where everything lives once it was knocked, and would be cleared had it not been', () => {
    const knocked = chanceOf('replace-zone-panel', [
      dead,
      looked(5, 'relay-tap', 'clicks'),
      read(6, 'boiler-24v-volts', 25),
    ]);
    const left = chanceOf('replace-zone-panel', [
      dead,
      looked(5, 'relay-tap', 'nothing'),
      read(6, 'boiler-24v-volts', 25),
    ]);
    expect(knocked).toBeGreaterThan(0.85);
    expect(knocked).toBeGreaterThan(left);
  });

  it('is no other joint for a tap that changed nothing', () => {
    const before = family.observableNow('boiler-24v-volts', emptyAfter([]));
    const after = family.observableNow(
      'boiler-24v-volts',
      emptyAfter([looked(5, 'relay-tap', 'nothing')]),
    );
    const clicked = family.observableNow(
      'boiler-24v-volts',
      emptyAfter([looked(5, 'relay-tap', 'clicks')]),
    );
    expect(after.key).toBe(before.key);
    expect(clicked.key).not.toBe(before.key);
  });
});

const emptyAfter = (entries: readonly Entry[]) => diagnoseJob(jobOf(entries)).state;

describe('a simulated burnt contact', () => {
  const facts: ZonedFacts = {
    fuel: 'natural-gas',
    inputWatt: 24_000,
    lineVolt: 230,
    cylinderLitre: 150,
    cylinderControl: 'aquastat',
    mixingValve: 'true',
    ignition: 'spark',
    sensorCurve: 'ntc-10k-3977',
  };
  const unitOf = (seed: number, fault: string) => drawZoned([fault], facts, seededRandom(seed));

  it('comes and goes in some units, and stays as it is in the others until it is knocked', () => {
    let goes = 0;
    for (let seed = 0; seed < 200; seed++) {
      const unit = unitOf(seed, 'zone-panel.supply-burnt');
      const random = seededRandom(seed + 1000);
      const contact = burntContact(unit);
      const ohms = Array.from({ length: 40 }, () => contact.asRead(random).jointOhm);
      if (new Set(ohms).size > 1) goes += 1;
      else expect(ohms[0]).toBe(unit.jointOhm);
      for (let knock = 0; knock < 20; knock++) contact.knock(random);
    }
    expect(goes).toBeGreaterThan(15);
    expect(goes).toBeLessThan(60);
  });

  it('leaves every other fault alone', () => {
    const unit = unitOf(1, 'panel-fuse.blown');
    const contact = burntContact(unit);
    contact.knock(seededRandom(2));
    expect(contact.asRead(seededRandom(3))).toBe(unit);
  });
});

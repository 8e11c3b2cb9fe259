import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import { familyOf } from '../appliances/all';
import { serviceIds, services } from '../service';
import { familyList } from '../appliances';
import { holds, provedDeadNeed, readProcedure, type Procedure } from '.';
import { emptyState } from '../job-file/state';
import { validateProcedure } from './generated/validators';

const families = familyList.map(({ id }) => familyOf(id)!);

it('files of procedures are what their schema says, whichever units they are for', () => {
  const core = path.resolve(import.meta.dirname, '..');
  const files = readdirSync(core, { recursive: true, encoding: 'utf8' }).filter(
    (file) => file.endsWith('.json') && file.includes('procedures'),
  );
  expect(files.length).toBeGreaterThan(30);
  for (const file of files) {
    const value: unknown = JSON.parse(readFileSync(path.join(core, file), 'utf8'));
    expect(validateProcedure(value), `${file} ${JSON.stringify(validateProcedure.errors)}`).toBe(
      true,
    );
  }
});

describe.each(families.map((each) => [each.id, each] as const))('procedures of %s', (_, family) => {
  const { catalogue, procedures } = family;
  const step = (each: (step: Procedure['steps'][number], of: Procedure) => void) =>
    procedures.forEach((of) => of.steps.forEach((one) => each(one, of)));

  it('are what their schema says, and lead to steps that they have', () => {
    for (const each of procedures) {
      // What does not fit the unit has fallen away already.
      const unit = { isMains: true, burnsGas: true };
      const plain: unknown = JSON.parse(JSON.stringify(each));
      expect(readProcedure(plain, unit)).toEqual(plain);
    }
  });

  it('are each there once, with a storage tank served by the shared ones', () => {
    const ids = procedures.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    if (family.storage) {
      expect(ids).toEqual(expect.arrayContaining(['flush', 'check-anode', 'locate-noise']));
    }
  });

  it('name only checks, settings, controls, facts and services that are there', () => {
    step(({ id, checks, setting, records = [], needs, kind }, of) => {
      const at = `${of.id}/${id}`;
      for (const check of checks ?? []) expect(catalogue.check(check), at).toBeDefined();
      for (const each of setting?.settings ?? [])
        expect(catalogue.settings.has(each), at).toBe(true);
      if (needs !== undefined && needs !== provedDeadNeed) {
        expect(catalogue.facts.has(needs), at).toBe(true);
      }
      for (const each of records) {
        if (each.entry === 'service') expect(serviceIds.has(each.service), at).toBe(true);
        if (each.entry !== 'action') continue;
        if (each.fact !== undefined) {
          expect(catalogue.facts.has(each.fact), at).toBe(true);
          // Nobody just says what only a check shows.
          if (each.action === 'make-so') {
            expect(catalogue.facts.get(each.fact)!.shownBy, at).toBeUndefined();
          }
        }
        if (each.control !== undefined) {
          expect(catalogue.controls.get(each.control), at).toContain(each.position);
        }
      }
      if (kind === 'look') expect((checks ?? []).length, at).toBeGreaterThan(0);
    });
  });

  it('branch on results that their checks can have, to procedures that are there', () => {
    step(({ id, checks = [], results = [], branch = [] }, of) => {
      const values = [
        ...checks.flatMap((each) => catalogue.check(each)!.values ?? []),
        ...results.map((each) => each.is),
      ];
      for (const each of branch) {
        const at = `${of.id}/${id} to ${each.goto}`;
        // A value that one family's look has not leads nowhere there.
        const alike = branch.filter(({ goto }) => goto === each.goto).map(({ is }) => is);
        if (each.is !== undefined)
          expect(
            alike.some((is) => values.includes(is!)),
            at,
          ).toBe(true);
        const [other, to] = each.goto.split('/');
        if (to === undefined) continue;
        const procedure = procedures.find((one) => one.id === other);
        expect(
          procedure?.steps.map((one) => one.id),
          at,
        ).toContain(to);
      }
    });
  });

  it('are run inside others only where they are there, and prove dead what is on the mains', () => {
    step(({ runs, needs }, of) => {
      if (runs !== undefined)
        expect(
          procedures.map((each) => each.id),
          of.id,
        ).toContain(runs);
      if (needs === provedDeadNeed) expect(family.deadPoints.length, of.id).toBeGreaterThan(0);
    });
    for (const { id, repairs = [] } of procedures) {
      for (const each of repairs) expect(family.names.repairs, id).toContain(each);
    }
  });

  it('have a caution wherever water, gas or volts may hurt', () => {
    step(({ id, text, caution = [] }, of) => {
      const at = `${of.id}/${id}`;
      if (/drain valve open|Drain by gravity|hose on/i.test(text))
        expect(caution, at).toContain('hot-water');
      if (/^Power on/.test(text)) expect(caution, at).toContain('live');
      if (/Smell at floor/.test(text)) expect(caution, at).toContain('gas');
      if (/Igniter cable/.test(text)) expect(caution, at).toContain('licensed');
    });
  });

  it('serve what comes due, where a service has a procedure', () => {
    for (const { procedure, only } of services) {
      const isTank = family.storage !== undefined;
      const isOther =
        (only === 'storage' && !isTank) ||
        (only === 'storage-gas' && !(isTank && family.burnsGas)) ||
        (only === 'tap-direct' && family.tap?.hasFlow !== false) ||
        (only === 'system' && family.system === undefined) ||
        (only === 'tap-loop' && family.tap?.hasFlow !== true);
      if (procedure === undefined || isOther) continue;
      expect(procedures.map(({ id }) => id)).toContain(procedure);
    }
  });
});

describe('a procedure', () => {
  const flush = {
    format: 'ohmmeter-procedure',
    version: 1,
    id: 'sample',
    title: 'Sample',
    steps: [
      { id: 'one', kind: 'do', text: 'One.' },
      { id: 'two', kind: 'wait', text: 'Two.', seconds: { least: 3, most: 9 } },
    ],
  };
  const unit = { isMains: true, burnsGas: false };

  it.each([
    ['a step twice', { steps: [...flush.steps, flush.steps[0]] }, 'Two steps are named "one"'],
    [
      'least over most',
      { steps: [{ ...flush.steps[1], seconds: { least: 9, most: 3 } }] },
      'least is more',
    ],
    [
      'a way to nowhere',
      { steps: [{ ...flush.steps[0], branch: [{ goto: 'three' }] }] },
      'No step is named "three"',
    ],
    [
      'a timer without seconds',
      { steps: [{ ...flush.steps[0], timer: { start: 'enter' } }] },
      'A timer needs',
    ],
    ['an unknown kind', { steps: [{ ...flush.steps[0], kind: 'dance' }] }, '/steps/0/kind'],
    ['a key step that is not there', { keyStep: 'three' }, '/keyStep'],
  ])('is refused with %s', (_, change, words) => {
    expect(() => readProcedure({ ...flush, ...change }, unit)).toThrow(words);
  });

  it('leaves out steps for other units, so that the same name may stand for each', () => {
    const both = [
      { ...flush.steps[0], only: 'mains' },
      { ...flush.steps[0], only: 'gas', text: 'Gas.' },
    ];
    expect(readProcedure({ ...flush, steps: both }, unit).steps.map(({ text }) => text)).toEqual([
      'One.',
    ]);
  });

  it('does not take a name of every object for a fact', () => {
    expect(holds('toString', emptyState)).toBe(false);
  });
});

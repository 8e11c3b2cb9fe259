import { describe, expect, it } from 'vitest';
import { familyOf } from '../appliances/all';
import { foldEntries, type Entry, type JobState, type ProcedureRun } from '../job-file';
import { emptyState } from '../job-file/state';
import {
  clockWords,
  doneEntry,
  dueTimes,
  elapsedSeconds,
  missingFor,
  positionOf,
  recordsOf,
  repeatsLeft,
  skippedEntry,
  startedEntry,
  stoppedEntry,
  tapped,
  timerOf,
  timerPhase,
  wayOn,
  type Procedure,
  type StepOutcome,
  type UnstampedEntry,
} from '.';

/** Runs as entries make them: nothing is kept in memory between two steps. */

const gas = familyOf('gas-storage-pilot')!;
const electric = familyOf('electric-storage-two-element')!;
const procedureOf = (family: typeof gas, id: string) =>
  family.procedures.find((each) => each.id === id)!;

const nothing = { readingOf: () => undefined, plateValue: () => undefined };
const runId = '018f0000-0000-7000-8000-00000000000a';

class Work {
  readonly entries: Entry[] = [];
  private second = 0;

  constructor(
    readonly family: typeof gas,
    readonly procedure: Procedure,
    private by = 'one',
  ) {
    this.add(startedEntry(this.fresh, procedure.steps[0]!.id));
  }

  private get fresh(): ProcedureRun {
    return { run: runId, procedure: this.procedure.id, startedAt: '', marks: [] };
  }

  get state(): JobState {
    return foldEntries(this.entries, this.family.catalogue);
  }

  get run(): ProcedureRun {
    return this.state.runs[runId]!;
  }

  get position() {
    return positionOf(this.procedure, this.run);
  }

  get at(): string | undefined {
    return this.position?.step.id;
  }

  get now(): number {
    return Date.parse(this.time());
  }

  timer() {
    return timerOf(this.procedure, this.run, this.position!);
  }

  wait(seconds: number): this {
    this.second += seconds;
    return this;
  }

  as(by: string): this {
    this.by = by;
    return this;
  }

  private time = () => new Date(Date.UTC(2026, 0, 5, 8) + this.second * 1000).toISOString();

  add(entry: UnstampedEntry | Omit<Entry, 'id' | 'at'>): this {
    this.second += 1;
    const id = `018f0000-0000-7000-8000-${String(this.entries.length).padStart(12, '0')}`;
    this.entries.push({ ...entry, id, at: this.time(), by: this.by } as Entry);
    return this;
  }

  done(outcome: StepOutcome = {}, facts = nothing) {
    const { step } = this.position!;
    const way = wayOn(this.procedure, this.run, step, outcome, facts);
    for (const each of recordsOf(
      this.procedure,
      this.run,
      step,
      this.state,
      this.family.catalogue.covers,
    ))
      this.add(each);
    this.add(doneEntry(this.run, step, outcome, way));
    return way;
  }

  to(id: string): this {
    for (let k = 0; this.at !== id && k < 40; k++) this.done();
    expect(this.at).toBe(id);
    return this;
  }
}

describe('a run', () => {
  it('stands where its last step led, whoever folds it', () => {
    const work = new Work(gas, procedureOf(gas, 'flush'));
    expect(work.at).toBe('heat-off');
    work.done();
    expect(work.at).toBe('hose');
    work.add(skippedEntry(work.procedure, work.run, work.procedure.steps[1]!, 'cannot'));
    expect(work.at).toBe('burst');
    work.add(startedEntry(work.run, 'heat-off'));
    expect(work.at).toBe('heat-off');
  });

  it('ends with its last step, and where it is stopped', () => {
    const work = new Work(electric, procedureOf(electric, 'locate-noise'));
    for (let k = 0; k < 6; k++) work.done();
    expect(work.run.ends).toBe('done');
    expect(work.position).toBeUndefined();
    const other = new Work(gas, procedureOf(gas, 'flush'));
    other.add(stoppedEntry(other.run, other.at!, 'hose burst'));
    expect(other.run.ends).toBe('stopped');
  });

  it('is not moved by a step that another device ends late', () => {
    const work = new Work(gas, procedureOf(gas, 'flush')).to('vent');
    const late = work.procedure.steps.find(({ id }) => id === 'burst')!;
    work.add(doneEntry(work.run, late, {}, { kind: 'step', step: 'cold-off', isBelow: true }));
    expect(work.at).toBe('vent');
  });

  it('goes back by a branch, so many times and no more', () => {
    const work = new Work(gas, procedureOf(gas, 'flush')).to('look-out');
    for (let k = 0; k < 3; k++) {
      expect(work.done({ result: 'chokes' })).toEqual({
        kind: 'step',
        step: 'burst',
        isBelow: false,
      });
      work.to('look-out');
    }
    expect(work.done({ result: 'chokes' })).toMatchObject({ step: 'rinse-on', isBelow: true });
  });

  it.each([
    ['done', 1],
    ['left out', 0],
  ])('counts as a service %s only with its key step', (how, services) => {
    const work = new Work(gas, procedureOf(gas, 'flush')).to('drain');
    if (how === 'left out') {
      work.add(skippedEntry(work.procedure, work.run, work.position!.step, 'cannot'));
    }
    for (let k = 0; work.at !== undefined && k < 40; k++) work.done();
    expect(work.run.ends).toBe('done');
    expect(work.entries.filter(({ kind }) => kind === 'service')).toHaveLength(services);
  });

  it('rinses twice at least, and three times at most', () => {
    const work = new Work(gas, procedureOf(gas, 'flush')).to('rinse-off');
    expect(repeatsLeft(work.run, work.position!.step)).toEqual({ done: 1, must: true, may: true });
    work.done();
    work.to('rinse-off');
    expect(repeatsLeft(work.run, work.position!.step)).toEqual({ done: 2, must: false, may: true });
    work.done({ isAgain: true });
    work.to('rinse-off');
    expect(repeatsLeft(work.run, work.position!.step)).toEqual({
      done: 3,
      must: false,
      may: false,
    });
    work.done({ isAgain: true });
    expect(work.at).toBe('close');
  });

  it('leads to another procedure, and says so at its end', () => {
    const work = new Work(gas, procedureOf(gas, 'light-pilot'));
    expect(work.done({ result: 'smell' })).toEqual({
      kind: 'procedure',
      procedure: 'make-gas-safe',
      step: 'stop-here',
    });
    expect(work.run.ends).toBe('make-gas-safe');
  });

  it.each([
    ['thermocouple', 0.025, 'end'],
    ['thermocouple', 0.012, 'step'],
    ['thermopile', 0.45, 'end'],
    ['thermopile', 0.2, 'step'],
  ] as const)('on a %s of %d V open circuit leads to its %s', (valve, volt, kind) => {
    const work = new Work(gas, procedureOf(gas, 'change-thermocouple'));
    const facts = {
      readingOf: (check: string) => (check === 'open-circuit-millivolts' ? volt : undefined),
      plateValue: () => valve,
    };
    expect(wayOn(work.procedure, work.run, work.position!.step, {}, facts).kind).toBe(kind);
  });
});

describe('a clock', () => {
  it('runs from when its step was reached, between its least and its most', () => {
    const work = new Work(gas, procedureOf(gas, 'light-pilot')).to('vent');
    const timer = work.timer()!;
    const start = Date.parse(timer.startedAt!);
    const phases = [0, 299, 300, 600, 601].map((each) => timerPhase(timer, start + each * 1000));
    expect(phases).toEqual(['running', 'running', 'ready', 'ready', 'overdue']);
    expect(dueTimes(timer)!.due.getTime()).toBe(start + 300_000);
    // A clock that went back shows nothing passed, not less than nothing.
    expect(elapsedSeconds(timer, start - 3_600_000)).toBe(0);
  });

  it('waits for a tap where it begins with a valve', () => {
    const work = new Work(gas, procedureOf(gas, 'flush')).to('burst');
    expect(timerPhase(work.timer()!, work.now)).toBe('waits');
    work.add(startedEntry(work.run, 'burst', tapped)).wait(4);
    expect(timerPhase(work.timer()!, work.now)).toBe('ready');
    expect(timerPhase(work.timer()!, work.now + 3000)).toBe('overdue');
  });

  it('is that of the step that pressed the knob, three steps before', () => {
    const work = new Work(gas, procedureOf(gas, 'light-pilot')).to('spark');
    const pressed = work.run.marks.find((each) => each.step === 'pilot-press')!.at;
    work.wait(10).done({ result: 'lights' });
    work.wait(5).done({ result: 'wraps-upper-third' });
    expect(work.at).toBe('hold');
    expect(work.timer()!.startedAt).toBe(pressed);
  });

  it('is told in minutes, and in hours where there are any', () => {
    expect([9, 65, 3723].map(clockWords)).toEqual(['0:09', '1:05', '1:02:03']);
  });
});

describe('what has to hold', () => {
  const proveDead = (work: Work) =>
    work.add({
      kind: 'action',
      action: 'proved-dead',
      proverTried: 'before-and-after',
      points: electric.deadPoints.map(({ between }) => ({
        between: [...between],
        value: { volt: 0 },
      })),
    } as UnstampedEntry);

  it('is asked for before the step, and is what the bench knows', () => {
    const work = new Work(electric, procedureOf(electric, 'change-element'));
    const needs = () => missingFor(work.procedure, work.run, work.position!.step, work.state);
    expect(needs()).toEqual([{ need: 'proved-dead', hasLapsed: false }]);
    work.add({ kind: 'action', action: 'power-off' } as UnstampedEntry);
    proveDead(work);
    expect(needs()).toEqual([]);
  });

  it('lapses with another person, also for a step that does not need it itself', () => {
    const work = new Work(electric, procedureOf(electric, 'change-element'));
    work.add({ kind: 'action', action: 'power-off' } as UnstampedEntry);
    proveDead(work);
    work.to('water').as('two').done();
    expect(work.at).toBe('drain');
    expect(missingFor(work.procedure, work.run, work.position!.step, work.state)).toEqual([
      { need: 'proved-dead', hasLapsed: true },
    ]);
  });

  it('does not lapse where the procedure itself ended it', () => {
    const work = new Work(electric, procedureOf(electric, 'change-element'));
    work.add({ kind: 'action', action: 'power-off' } as UnstampedEntry);
    proveDead(work);
    work.to('heard');
    expect(work.state.power).toBe('on');
    expect(missingFor(work.procedure, work.run, work.position!.step, work.state)).toEqual([]);
  });

  it('lapses overnight: gas that was off and cooled is made so again', () => {
    const work = new Work(gas, procedureOf(gas, 'make-gas-safe'));
    work.done({ result: 'none' });
    work.to('tag');
    expect(Object.keys(work.state.facts)).toContain('gas-off-and-cooled');
    const position = work.position!;
    work.wait(12 * 3600).add({ kind: 'note' } as never);
    const tomorrow = foldEntries(
      work.entries.slice(0, -1),
      gas.catalogue,
      new Date(work.now).toISOString(),
    );
    expect(missingFor(work.procedure, tomorrow.runs[runId]!, position.step, tomorrow)).toEqual([
      { need: 'gas-off-and-cooled', hasLapsed: true },
    ]);
  });

  it('leaves facts that the bench knows', () => {
    const work = new Work(gas, procedureOf(gas, 'spillage-check')).to('fire');
    expect(work.state.controls).toMatchObject({ doorsAndWindows: 'all-shut', fans: 'all-on' });
    expect(emptyState.controls).toEqual({});
  });
});

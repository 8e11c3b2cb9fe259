import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { emptyJob, provedDead, stamp } from '../../../tests/plates';
import { families } from '@/core/appliances/all';
import { electricStorageTwoElement } from '@/core/appliances/electric-storage-two-element';
import type { Entry } from '@/core/job-file';
import { wordsOf } from './family-words';
import { percent, plateWords, terminalName } from './words';

const words = wordsOf(electricStorageTwoElement);

const entry = (rest: object) => ({ ...stamp(), ...rest }) as Entry;

/** Every action that the format has. */
const actions = (): string[] => {
  const schema = readFileSync('schemas/job.schema.json', 'utf8');
  return JSON.parse(/\[[^[\]]*"set-control"[^[\]]*\]/.exec(schema)![0]) as string[];
};

describe('words of the trade', () => {
  it.each(actions())('of the action %s are no id of the file', (action) => {
    expect(words.title(entry({ kind: 'action', action }))).not.toMatch(/^[a-z]|-/);
  });

  it('say how a control was set as the picture has it', () => {
    const set = (control: string, position: string) =>
      words.title({ ...stamp(), kind: 'action', action: 'set-control', control, position });
    expect(set('gasCock', 'closed')).toBe('Gas cock: closed');
    expect(set('knob', 'off')).toBe('Knob: off');
  });

  it('tell of a reading the values that are judged, whatever single one stands beside them', () => {
    const pair = { nearer: { celsius: 50 }, farther: { celsius: 20 } };
    const reading = { kind: 'reading', check: 'pair-outlet-temperatures', values: pair };
    const own = wordsOf(families.find(({ id }) => id === 'gas-storage-pilot')!);
    for (const beside of [{}, { value: { celsius: 60 } }]) {
      expect(own.result(entry({ ...reading, ...beside }), 'metric')).toBe('50 °C and 20 °C');
    }
  });

  it.each(families)('of $id never show an id', (family) => {
    const own = wordsOf(family);
    for (const { id } of Object.keys(family.names.faults).map((each) => ({ id: each }))) {
      expect(own.fault(id)).not.toMatch(/[a-z]-[a-z]+\.|\.[a-z]|-[a-z]+-/);
    }
    for (const wire of Object.keys(family.names.conductors)) {
      expect(family.words.conductors[wire], wire).toBeDefined();
    }
    for (const terminal of Object.keys(family.drawing.terminals)) {
      expect(terminalName(terminal)).not.toMatch(/[.-]/);
    }
    for (const check of family.checkIds) expect(own.check(check)).not.toBe(check);
    for (const { order, suspect } of Object.values(family.repairs)) {
      expect(order).not.toBe(suspect);
    }
  });

  it('name a wire fault by its wire', () => {
    expect(words.fault('w-lower-a.open')).toBe('wire to lower element a, open');
    expect(words.fault('splice-1.resistive')).toBe('splice 1, burnt or loose, a few ohms');
  });

  it.each([
    [
      entry({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 12.83 } }),
      'Upper element, screw to screw',
      '12.8 Ω',
    ],
    [
      entry({ kind: 'reading', check: 'outlet-first', value: { celsius: 50 } }),
      'Hot tap, first draw',
      '122 °F',
    ],
    [
      entry({ kind: 'reading', check: 'upper-element-ohms', value: { overRange: true } }),
      'Upper element, screw to screw',
      'OL',
    ],
    [
      entry({ kind: 'observation', check: 'limit-reset-press', value: 'clicked' }),
      'Limit reset button',
      'it clicked',
    ],
    [
      entry({ kind: 'skip', check: 'supply-volts', reason: 'cannot' }),
      'Supply, limit 1 to 3',
      'cannot reach',
    ],
    [
      entry({ kind: 'action', action: 'lift-wire', wire: 'w-upper-a', end: 'upper-element.a' }),
      'Lifted: wire to upper element a',
      '',
    ],
    [
      entry({
        kind: 'action',
        action: 'proved-dead',
        points: [{ between: ['limit.1', 'tank'], value: { volt: 118 } }],
      }),
      'Tried dead: not proved',
      '118 V',
    ],
    [entry(provedDead(electricStorageTwoElement)), 'Proved dead', '0 V × 3'],
    [entry({ kind: 'action', action: 'restored' }), 'Backup put back: gaps possible', ''],
    [entry({ kind: 'action', action: 'brought-in' }), 'Came as a file: gaps possible', ''],
    [entry({ kind: 'action', action: 'replace', repair: 'flush' }), 'Done: Flush the tank', ''],
    [
      entry({ kind: 'setting', setting: 'upper-dial', as: 'left', value: { celsius: 50 } }),
      'Upper dial as left',
      '122 °F',
    ],
    [entry({ kind: 'status', status: 'closed-repaired' }), 'Closed, repaired', ''],
  ])('say what an entry is and says (%#)', (each, title, result) => {
    expect(words.title(each)).toBe(title);
    expect(words.result(each, 'us')).toBe(result);
  });

  it('follow a correction to what now counts', () => {
    const wrong = entry({
      kind: 'reading',
      check: 'upper-element-ohms',
      value: { overRange: true },
    });
    const right = entry({ kind: 'reading', check: 'upper-element-ohms', value: { ohm: 12.9 } });
    const job = emptyJob({
      entries: [
        wrong,
        entry({ kind: 'correction', replaces: wrong.id, entry: right, reason: 'slip' }),
      ],
    });
    expect(words.evidence(job, wrong.id, 'us')).toBe('Upper element, screw to screw 12.9 Ω');
    expect(words.evidence(job, 'call:complaint', 'us')).toBe('no hot water');
  });

  it('never say 100 % or 0 % of what is not certain', () => {
    expect(percent(0.9999)).toBe('>99');
    expect(percent(0.001)).toBe('<1');
    expect(percent(0.635)).toBe('64');
  });

  it('give a plate in one line', () => {
    expect(plateWords(emptyJob())).toBe('2 × 4500 W at 240 V');
  });
});

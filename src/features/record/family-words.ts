import { isWorkedDead, workLooks, type ApplianceFamily } from '@/core/appliances';
import { callEntryId } from '@/core/job-diagnosis';
import { balancingResult, balancingTitle } from './balancing-words';
import { mixingResult, mixingTitles } from './mixing-words';
import { logWords } from './log-words';
import {
  entryFinder,
  judgeDeadProof,
  quantityOf,
  type Entry,
  type JobFile,
  type Measured,
  type ReadingEntry,
} from '@/core/job-file';
import { tapped } from '@/core/procedures';
import { valueText, type UnitSystem } from '@/core/quantities';
import {
  directParameters,
  loopParameters,
  storageParameters,
  systemParameters,
} from '@/core/settings';
import { services } from '@/core/service';
import {
  capital,
  complaintWords,
  measuredOf,
  statusWords,
  terminalName,
  valueWords,
} from './words';

/** Words of the trade for what the record holds in ids of one family. */
export class FamilyWords {
  constructor(private readonly family: ApplianceFamily) {}

  get pictureTitle() {
    return this.family.drawing.title;
  }

  pointName(id: string) {
    const { drawing, words } = this.family;
    return drawing.points?.[id]?.name ?? words.points?.[id] ?? id.replaceAll('-', ' ');
  }

  /** What the picture says in words where nothing in it is live. */
  get nothingLive(): string {
    return isWorkedDead(this.family) ? 'Nothing live beyond the breaker.' : '';
  }

  suspect(repair: string): string {
    return this.family.repairs[repair]?.suspect ?? repair;
  }

  order(repair: string): string {
    return this.family.repairs[repair]?.order ?? repair;
  }

  fault(fault: string): string {
    const { faults: faultWords, conductors: conductorWords } = this.family.words;
    const place = this.family.placeOfUnlisted(fault);
    if (place !== undefined) {
      return `a fault without a name at ${conductorWords[place] ?? place.replaceAll('-', ' ')}`;
    }
    const [part, mode = fault] = fault.split('.') as [string, string?];
    const words = faultWords[fault] ?? faultWords[mode] ?? mode;
    const wire = conductorWords[part];
    return wire && !faultWords[fault] ? `${wire}, ${words}` : words;
  }

  wire(wire: string): string {
    return this.family.words.conductors[wire] ?? wire;
  }

  cover(cover: string): string {
    return this.family.words.covers[cover] ?? cover;
  }

  check(check: string | undefined): string {
    if (this.family.isCheckId(check)) return this.family.checks[check]!.label;
    return this.workLook(check)?.label ?? check ?? 'Reading';
  }

  outcome(check: string, value: string): string {
    return (this.family.checks[check] ?? this.workLook(check))?.answers?.[value] ?? value;
  }

  private workLook(check: string | undefined) {
    return check !== undefined && Object.hasOwn(workLooks, check)
      ? workLooks[check]!.words
      : undefined;
  }

  procedure(id: string): string {
    return this.family.procedures.find((each) => each.id === id)?.title ?? id;
  }

  /** What a step asks for, as it stands in its procedure. */
  step(procedure: string, id: string): string {
    const steps = this.family.procedures.find((each) => each.id === procedure)?.steps ?? [];
    return steps.find((each) => each.id === id)?.text ?? id;
  }

  answer(question: string, value: string): string {
    if (question === 'complaint') return complaintWords[value] ?? value;
    return this.family.questions[question]?.words?.[value] ?? value;
  }

  /** An entry that a weight of evidence names: an answer of the call, or a line of the logbook. */
  evidence(job: JobFile, entryId: string, system: UnitSystem): string {
    for (const question of this.family.questionIds) {
      if (callEntryId(question) !== entryId) continue;
      const answer =
        question === 'complaint' ? job.complaint?.kind : job.complaint?.answers?.[question];
      const words = this.answer(question, String(answer));
      return question === 'complaint' ? words : `${this.family.questions[question]!.ask} ${words}`;
    }
    const found = entryFinder(job.entries)(entryId);
    const entry = found && (found.now ?? found.written);
    return entry ? `${this.title(entry)} ${this.result(entry, system)}`.trimEnd() : entryId;
  }

  title(entry: Entry): string {
    switch (entry.kind) {
      case 'reading':
        if (entry.check === undefined && entry.point !== undefined) {
          return capital(this.pointName(entry.point));
        }
        return entry.check
          ? this.check(entry.check)
          : (entry.between
              ?.map((each) => terminalName(typeof each === 'string' ? each : each.end))
              .join(' to ') ?? `Clamp on ${this.wire(entry.around ?? '')}`);
      case 'observation':
      case 'series':
        return this.check(entry.check);
      case 'skip':
        return this.check(entry.check);
      case 'action':
        return this.actionTitle(entry);
      case 'setting':
        return `${this.setting(entry.setting)} as ${entry.as}`;
      case 'verdict':
        return 'Verdict';
      case 'status':
        return statusWords[entry.status] ?? entry.status;
      case 'part':
        return `Part ${entry.action}`;
      case 'wire':
        return wireTitles[entry.stands ?? 'noted'];
      case 'step':
        return `${this.procedure(entry.procedure)}: ${stepPhases[entry.phase]}`;
      case 'service':
        return 'Service done';
      case 'correction':
        return 'Correction';
      case 'code':
        return this.family.codes ? this.check(this.family.codes.check) : 'Code';
      case 'photo':
        return 'Photograph';
      case 'countersign':
        return 'Countersigned';
      case 'log':
        return logTitles[entry.phase];
      case 'balancing':
        return balancingTitle(entry);
      case 'mixing':
        return mixingTitles[entry.phase];
    }
  }

  private actionTitle(entry: Extract<Entry, { kind: 'action' }>): string {
    switch (entry.action) {
      case 'lift-wire':
        return `Lifted: ${this.wire(entry.wire ?? '')}`;
      case 'refit-wire':
        return `Back on: ${this.wire(entry.wire ?? '')}`;
      case 'open':
        return `${capital(this.cover(entry.target ?? ''))} off`;
      case 'close':
        return `${capital(this.cover(entry.target ?? ''))} on`;
      case 'make-so':
        return capital(this.cover(entry.fact ?? ''));
      case 'end-so':
        return `No more: ${this.cover(entry.fact ?? '')}`;
      case 'replace':
        return entry.repair ? `Done: ${this.order(entry.repair)}` : `Replaced ${entry.part ?? ''}`;
      case 'set-control':
        return `${capital(spaced(entry.control ?? 'control'))}: ${(entry.position ?? '').replaceAll('-', ' ')}`;
      case 'set-dial':
        return `${capital(entry.dial ?? '')} dial ${entry.to ?? ''}`;
      default:
        return entry.action === 'proved-dead' && !this.isProof(entry)
          ? 'Tried dead: not proved'
          : (actionWords[entry.action] ?? entry.action);
    }
  }

  /** By the family's own dials and the sheet's parameters; one that neither has, by its name in the file. */
  private setting(id: string): string {
    const dial = this.family.settings.find((each) => each.id === id);
    const beside = [
      ...(this.family.sheet?.parameters ?? []),
      ...storageParameters,
      ...directParameters,
      ...loopParameters,
      ...systemParameters,
    ];
    return dial?.label ?? beside.find((each) => each.id === id)?.words ?? id.replaceAll('-', ' ');
  }

  private isProof(entry: Extract<Entry, { kind: 'action' }>): boolean {
    return judgeDeadProof(entry, this.family.catalogue).kind === 'proved';
  }

  /** Two values in full; of more, which nobody reads in one line, the two that a check asks first, by their names. */
  private several(entry: ReadingEntry, system: UnitSystem): string {
    const { catalogue } = this.family;
    const values = entry.values ?? {};
    const text = (key: string) =>
      valueWords(
        values[key]!,
        system,
        catalogue.check(entry.check ?? '')?.valueQuantities?.[key] ?? quantityOf(entry, catalogue),
      );
    if (Object.keys(values).length <= 2) return Object.keys(values).map(text).join(' and ');
    const named = this.family.isCheckId(entry.check) ? this.family.check(entry.check) : undefined;
    return Object.keys(named?.valuesAt ?? values)
      .filter((key) => values[key] !== undefined)
      .slice(0, named?.valueWords ? 2 : undefined)
      .map((key) => [named?.valueWords?.[key]?.split(',')[0], text(key)].filter(Boolean).join(' '))
      .join(', ');
  }

  /** What an entry says, as one short text. */
  result(entry: Entry, system: UnitSystem): string {
    switch (entry.kind) {
      case 'reading':
        // Of what says both it is the several that are judged.
        return entry.value && entry.values === undefined
          ? valueWords(entry.value, system, quantityOf(entry, this.family.catalogue))
          : this.several(entry, system);
      case 'observation':
        return this.outcome(entry.check, entry.value);
      case 'skip':
        return skipWords[entry.reason];
      case 'setting':
        return settingWords(entry.value, system);
      case 'part':
        return entry.part;
      case 'verdict':
        return entry.repair ? this.order(entry.repair) : '';
      case 'status':
        return entry.reason ?? '';
      case 'wire':
        return [
          this.wire(entry.wire),
          entry.colour,
          entry.number,
          entry.label,
          entry.stands === undefined || entry.to === undefined
            ? undefined
            : `on ${terminalName(entry.to)}`,
        ]
          .filter(Boolean)
          .join(', ');
      case 'step':
        return [
          entry.phase === 'started' && entry.result === tapped
            ? 'clock started'
            : this.step(entry.procedure, entry.step),
          entry.reason,
        ]
          .filter(Boolean)
          .join(' ');
      case 'service':
        return services.find(({ id }) => id === entry.service)?.title ?? entry.service;
      case 'action':
        return entry.action === 'proved-dead' ? provedWords(entry) : '';
      case 'log':
        return logWords(entry, system);
      case 'balancing':
        return balancingResult(entry, system);
      case 'mixing':
        return mixingResult(entry, system);
      case 'code':
        return entry.display ?? entry.code;
      default:
        return '';
    }
  }
}

const made = new WeakMap<ApplianceFamily, FamilyWords>();

export function wordsOf(family: ApplianceFamily): FamilyWords {
  let words = made.get(family);
  if (!words) {
    words = new FamilyWords(family);
    made.set(family, words);
  }
  return words;
}

/** A name of the file, such as gasCock, in the words that the picture has for it. */
const spaced = (name: string) => name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`);

const actionWords: Readonly<Record<string, string>> = {
  'power-off': 'Power off',
  'proved-dead': 'Proved dead',
  'power-on': 'Power on',
  'press-reset': 'Reset pressed',
  'cycle-breaker': 'Breaker off and on',
  wait: 'Waited',
  drain: 'Drained',
  fill: 'Filled',
  leave: 'Left the unit',
  restored: 'Backup put back: gaps possible',
  'brought-in': 'Came as a file: gaps possible',
};

const wireTitles = {
  noted: 'Wire noted',
  mapped: 'Wire on the new part',
  back: 'Wire confirmed',
} as const;

const logTitles = {
  started: 'Temperatures followed',
  samples: 'Temperature',
  'tap-opened': 'Hot tap opened',
  'tap-closed': 'Hot tap shut',
  'look-again': 'Look again',
  looked: 'Looked again',
  stopped: 'Temperatures no longer followed',
} as const;

const stepPhases = {
  started: 'begun',
  done: 'done',
  skipped: 'left out',
  lapsed: 'lapsed',
  stopped: 'stopped',
} as const;

const skipWords = { cannot: 'cannot reach', skipped: 'skipped', 'not-sure': 'not sure' } as const;

function provedWords({ points }: Extract<Entry, { kind: 'action' }>): string {
  if (!points || points.length === 0) return '';
  const read = points.map(({ value }) =>
    value.volt === undefined ? 'no volts' : valueText(value.volt, 'voltage-ac', 'metric'),
  );
  return read.every((each) => each === '0 V') ? `0 V × ${read.length}` : read.join(', ');
}

function settingWords(value: Measured | string | boolean, system: UnitSystem): string {
  if (typeof value !== 'object') return String(value);
  const measured = measuredOf(value);
  return measured ? valueText(measured.kept, measured.quantity, system) : '';
}

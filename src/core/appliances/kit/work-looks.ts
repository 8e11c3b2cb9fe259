import type { CatalogueCheck, FamilyCatalogue } from '../../job-file/catalogue';
import type { CheckWords } from '../family';
import { fitProcedure, type Procedure, type WorkedUnit } from '../../procedures';
import { serviceIds } from '../../service/intervals';

/** Something looked at or measured during work that is no evidence for a family's faults where the family does not name it. */
export interface WorkLook extends Pick<CatalogueCheck, 'kind' | 'quantity'> {
  readonly words: CheckWords;
}

const look = (
  label: string,
  doThis: string,
  answers: Readonly<Record<string, string>>,
  caution?: CheckWords['caution'],
): WorkLook => ({
  kind: 'observation',
  words: { label, doThis, covers: [], answers, ...(caution ? { caution } : {}) },
});

/** Looks of work on any storage heater, by the names that procedures call them. Common practice. */
export const workLooks: Readonly<Record<string, WorkLook>> = {
  'floor-look': look('Damp', 'Look at floor, seats, covers and top fittings.', {
    dry: 'dry',
    'damp-below': 'damp below',
    'damp-at-top-or-fitting': 'damp at top or fitting',
  }),
  'drain-look': look(
    'Drain',
    'Look at what comes out of the drain.',
    { clear: 'clear', grit: 'grit', chokes: 'chokes' },
    'hot-water',
  ),
  'relief-look': look('Relief pipe', 'Look at the end of the relief pipe.', {
    dry: 'dry',
    drips: 'drips',
    runs: 'runs',
  }),
  'anode-look': look('Anode', 'Draw the anode and look at it.', {
    sound: 'sound',
    worn: 'worn',
    spent: 'spent',
  }),
  'dip-tube-look': look('Dip tube', 'Look into the cold nipple.', {
    whole: 'whole',
    'short-or-gone': 'short or gone',
  }),
  'wiring-look': look('Wiring', 'Every screw and wire, tugged.', {
    sound: 'sound',
    'fault-seen': 'fault seen',
  }),
  'element-seat-look': look('Element seat', 'Dry tissue round the seat, power off.', {
    dry: 'dry',
    damp: 'damp',
  }),
  'element-heard': look('Element heard', 'Listen at the cover with the shield on.', {
    heard: 'heard',
    silent: 'silent',
  }),
  'water-meter-creep': look(
    'Water meter, every tap shut',
    'Every tap shut and nothing filling: watch the water meter.',
    { still: 'stands still', moves: 'moves' },
  ),
  'cold-pressure': {
    kind: 'reading',
    quantity: 'pressure',
    words: {
      label: 'Cold pressure',
      doThis: 'Gauge on a hose tap, as found.',
      covers: [],
      instrument: 'manometer',
    },
  },
  'vessel-charge': {
    kind: 'reading',
    quantity: 'pressure',
    words: {
      label: 'Charge of the expansion vessel',
      doThis: 'Water side empty of pressure: gauge on its air valve.',
      covers: [],
      instrument: 'manometer',
    },
  },
  ...noiseLooks(),
};

/** Where a noise is, when, and what kind: the observations that its causes are told by. */
function noiseLooks(): Record<string, WorkLook> {
  return {
    'noise-sound': look('Sound', "In the customer's words, then your own.", {
      'rumble-boil-pop': 'rumbles, boils, pops',
      'hiss-sizzle': 'hisses, sizzles',
      'tick-crack': 'ticks, cracks',
      'whistle-scream': 'whistles, screams',
      'thump-at-start': 'thump at start',
      bang: 'bang',
      drip: 'drips',
      'hum-buzz': 'hums, buzzes',
      rattle: 'rattles',
      'roar-howl': 'roars, howls',
    }),
    'noise-where': look('Where it is loudest', 'Listening rod or stethoscope, place by place.', {
      'tank-bottom': 'tank bottom',
      'element-cover': 'element cover',
      'burner-door': 'burner door',
      flue: 'flue',
      'tank-top': 'tank top',
      'relief-pipe': 'relief pipe',
      'pipes-or-wall': 'pipes or wall',
      'valve-or-regulator': 'valve or regulator',
    }),
    'noise-when': look('When it is heard', 'Ask, then make it happen.', {
      'while-heating': 'while heating',
      'at-start-or-stop': 'at start or stop',
      'while-drawing': 'while drawing',
      'after-a-draw': 'after a draw',
      'tap-shuts': 'when a tap shuts',
      'rain-or-frost': 'in rain or frost',
      'nobody-draws': 'when nobody draws',
      always: 'always',
    }),
    'noise-confirm': look('Confirming look', 'The look that the leading cause names.', {
      seen: 'seen',
      'not-seen': 'not seen',
    }),
  };
}

/** A family's procedures, each fitted to its units and held against its names. */
export function proceduresOf(
  values: readonly unknown[],
  unit: WorkedUnit,
  catalogue: FamilyCatalogue,
): readonly Procedure[] {
  // Files of the program's own, each of which a test has read through its schema.
  return values.map((each) => fitted(fitProcedure(each as Procedure, unit), catalogue));
}

/** Of several checks or settings that a step names, those that this family has; and only repairs that it has. */
function fitted(procedure: Procedure, catalogue: FamilyCatalogue): Procedure {
  return {
    ...procedure,
    repairs: procedure.repairs?.filter((each) => catalogue.repairs.has(each)),
    checks: procedure.checks?.filter((each) => catalogue.check(each) !== undefined),
    steps: procedure.steps.map((step) => ({
      ...step,
      checks: step.checks?.filter((each) => catalogue.check(each) !== undefined),
      setting: step.setting && {
        ...step.setting,
        settings: step.setting.settings.filter((each) => catalogue.settings.has(each)),
      },
    })),
  };
}

/** The catalogue with what work on such a unit adds to it: looks, procedures, services. */
export function withWork(
  catalogue: Omit<FamilyCatalogue, 'procedures' | 'services'>,
  values: readonly unknown[],
  unit: WorkedUnit,
): { readonly catalogue: FamilyCatalogue; readonly procedures: readonly Procedure[] } {
  const looking: FamilyCatalogue = {
    ...catalogue,
    procedures: new Map(),
    services: serviceIds,
    check: (id) => catalogue.check(id) ?? checkOfWork(id),
  };
  const procedures = proceduresOf(values, unit, looking);
  return {
    procedures,
    catalogue: {
      ...looking,
      procedures: new Map(
        procedures.map(({ id, steps, work }) => [
          id,
          { steps: new Set(steps.map((each) => each.id)), work },
        ]),
      ),
    },
  };
}

function checkOfWork(id: string): CatalogueCheck | undefined {
  const found = Object.hasOwn(workLooks, id) ? workLooks[id] : undefined;
  return (
    found && {
      kind: found.kind,
      quantity: found.quantity,
      values: found.words.answers && Object.keys(found.words.answers),
      isLive: false,
    }
  );
}

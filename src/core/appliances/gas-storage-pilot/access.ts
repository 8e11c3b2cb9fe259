import type { Effect } from '../../job-file/catalogue';
import type { CheckEffects } from '../kit/effects';
import { deniedFact } from '../kit/signal/access';
import type {
  AccessDeclaration,
  AccessFactDeclaration,
  StopDeclaration,
} from '../kit/signal/declaration';

const atValve = [
  { wire: 'joint-plus', end: 'valve.plus' },
  { wire: 'joint-minus', end: 'valve.minus' },
];

/** What has to be so for a check, in the order in which it is made so. */
const facts: readonly AccessFactDeclaration[] = [
  {
    id: 'no-gas-smell',
    order: 'Smell for gas at floor level and along the joints',
    shownBy: 'gas-smell-sniff',
    isFirst: true,
    lapses: true,
  },
  { id: 'outer-panel-off', order: 'Take the outer panel off', with: ['no-gas-smell'] },
  {
    id: 'gas-off-and-cooled',
    order: 'Knob off, gas cock shut, wait until the metal is cool',
    undo: 'Open the gas cock',
    isolates: true,
    ends: ['pilot-lit', 'pilot-lit-held', 'pilot-holds'],
    lapses: true,
  },
  {
    id: 'burner-out',
    order: 'Take the burner assembly out: igniter cable, leads, pilot tube, main tube, door screws',
    opensGas: true,
    undo: 'Put the burner assembly back with a new gasket, and leak-check both tubes',
    with: ['no-gas-smell', 'gas-off-and-cooled'],
  },
  {
    id: 'pilot-seen',
    order: 'See whether the pilot is lit',
    shownBy: 'pilot-look',
    with: ['outer-panel-off'],
  },
  {
    id: 'pilot-lit',
    order: 'Light the pilot by the book',
    opensGas: true,
    shownBy: 'pilot-light-try',
    with: ['no-gas-smell', 'outer-panel-off', 'pilot-seen'],
    lapses: true,
  },
  {
    id: 'pilot-lit-held',
    order: 'Hold the knob pressed for 60 s',
    with: ['pilot-lit'],
    lapses: true,
  },
  {
    id: 'pilot-holds',
    order: 'Let the knob go',
    shownBy: 'pilot-hold-try',
    with: ['pilot-lit', 'pilot-lit-held'],
    lapses: true,
  },
  { id: 'leads-lifted', order: 'Lift the leads off the valve', lifts: atValve },
  {
    id: 'tip-lead-off',
    order: 'Lift the lead off the cutout',
    lifts: [{ wire: 'w-tip', end: 'cutout.1' }],
  },
  {
    id: 'cutout-plug-off',
    order: 'Lift the other plug off the cutout',
    lifts: [{ wire: 'w-cutout', end: 'cutout.2' }],
  },
  {
    id: 'test-adapter-in',
    order: 'Screw the test adapter between lead and valve',
    undo: 'Take the test adapter out',
  },
  {
    id: 'manometer-on',
    order: 'Gas off, port screw out, manometer on',
    opensGas: true,
    undo: 'Manometer off, port screw back and leak-checked',
    with: ['no-gas-smell'],
  },
  { id: 'tank-drawn-cold', order: 'Draw the tank cold' },
  {
    id: 'cold-nipple-off',
    order: 'Cold off, a little drained, nipple off',
    undo: 'Nipple on, cold open, vented',
  },
];

const ofFlame = ['no-gas-smell', 'outer-panel-off', 'pilot-seen', 'pilot-lit', 'pilot-lit-held'];
const ofBurner = [...ofFlame, 'pilot-holds'];
/** What must not be so while something burns. */
const nothingOpen = ['gas-off-and-cooled', 'burner-out', 'cold-nipple-off'];
const allOn = ['leads-lifted', 'tip-lead-off', 'cutout-plug-off'];

const flame = (more: readonly string[] = [], off: readonly string[] = []) => ({
  sets: [...ofFlame, ...more, ...off],
  clears: [...nothingOpen, ...allOn.filter((each) => !off.includes(each))],
});
const burner = (...more: string[]) => ({
  sets: [...ofBurner, ...more],
  clears: [...nothingOpen, ...allOn],
});
const only = (...sets: string[]) => ({ sets, clears: [] });
const out = only('no-gas-smell', 'gas-off-and-cooled', 'burner-out');
const leadsOff = { sets: ['leads-lifted'], clears: ['tip-lead-off', 'cutout-plug-off'] };

export const access: AccessDeclaration = {
  facts,
  needs: {
    'pilot-look': only('outer-panel-off'),
    'arrestor-look': only('outer-panel-off'),
    'soot-look': only('outer-panel-off'),
    'spark-look': only('outer-panel-off'),
    'tip-look': only('outer-panel-off'),
    'cutout-reset-press': only('outer-panel-off'),
    'pilot-light-try': {
      sets: ['no-gas-smell', 'outer-panel-off', 'pilot-seen'],
      clears: [...nothingOpen, ...allOn],
    },
    'pilot-flame-look': flame(),
    'pilot-hold-try': flame(),
    'open-circuit-millivolts': flame([], ['leads-lifted']),
    'before-cutout-millivolts': flame([], ['tip-lead-off']),
    'loaded-millivolts': flame(['test-adapter-in']),
    'drop-out-seconds': burner(),
    'drop-out-millivolts': burner('test-adapter-in'),
    'cutout-ohms': only('outer-panel-off', 'tip-lead-off', 'cutout-plug-off'),
    'generator-ohms': leadsOff,
    'lead-to-sheath-ohms': leadsOff,
    'magnet-ohms': leadsOff,
    'known-good-thermocouple': only('no-gas-smell', 'leads-lifted'),
    'burner-start': burner(),
    'burner-flame-look': burner(),
    'dial-through-water': burner(),
    'pilot-with-doors-shut-fans-on': flame(),
    'spillage-check': burner(),
    'gas-inlet-static-pressure': only('no-gas-smell', 'manometer-on'),
    'gas-inlet-working-pressure': burner('manometer-on'),
    'gas-manifold-pressure': burner('manometer-on'),
    'gas-rate': burner(),
    'flue-co-air-free': burner(),
    'leak-firing': burner(),
    'orifice-marking-look': out,
    'assembly-out-look': out,
    'recovery-after-30-min': burner('tank-drawn-cold'),
    'dry-wipe-when-hot': burner(),
    'dip-tube-look': only('cold-nipple-off'),
    'pilot-after-a-day': burner(),
  },
};

const so = (...ids: string[]): Effect[] => ids.map((fact) => ({ fact, so: true }));
const not = (...ids: string[]): Effect[] => ids.map((fact) => ({ fact, so: false }));
/** The pilot is out again: it is lit by the book, with its wait. */
const wentOut = not('pilot-lit', 'pilot-lit-held', 'pilot-holds');

/** What a result changes of what is so. */
export const effects: Readonly<Record<string, CheckEffects>> = {
  'gas-smell-sniff': {
    none: [...so('no-gas-smell'), ...not(deniedFact('no-gas-smell'))],
    smell: [...not('no-gas-smell'), ...so(deniedFact('no-gas-smell'))],
  },
  'pilot-look': {
    lit: so('pilot-seen', 'pilot-lit', 'pilot-holds'),
    out: [...so('pilot-seen'), ...wentOut],
  },
  'pilot-light-try': {
    lights: [{ control: 'pilot', to: 'lit' }, ...so('pilot-lit'), ...not(deniedFact('pilot-lit'))],
    'lights-after-long': [
      { control: 'pilot', to: 'lit' },
      ...so('pilot-lit'),
      ...not(deniedFact('pilot-lit')),
    ],
    'no-flame': [...wentOut, ...so(deniedFact('pilot-lit'))],
  },
  'pilot-hold-try': {
    holds: [...so('pilot-holds'), ...not(deniedFact('pilot-holds'))],
    drops: [...not('pilot-lit-held', 'pilot-holds'), ...so(deniedFact('pilot-holds'))],
  },
  'cutout-reset-press': [{ done: 'cutout-reset' }, ...not(deniedFact('pilot-holds'))],
  'burner-start': { 'pilot-goes-out': wentOut },
  'drop-out-seconds': wentOut,
  'drop-out-millivolts': wentOut,
  'known-good-thermocouple': wentOut,
};

const off = 'Knob off, gas cock shut.';

/** What ends the diagnosis, with what to do first. Local codes and the gas supplier's rules come before these words. */
export const stops: StopDeclaration = {
  kinds: {
    'gas-smell': {
      title: 'Gas: make it safe, nothing else',
      steps: [
        'No switch, no flame, no telephone in here. Everybody out.',
        'Shut the gas cock or the meter on the way out, if it can be reached without a switch. Open doors.',
        'Call the gas supplier from outside. Nobody lights anything until it is found and made tight.',
      ],
    },
    'carbon-monoxide': {
      title: 'Carbon monoxide: off, air, out',
      steps: [
        off,
        'Open doors and windows, everybody out; who has a headache sees a doctor.',
        'The heater stays off until flue, air and burner are found and put right, and spillage and carbon monoxide are proved good.',
      ],
    },
    'unsafe-burner': {
      title: 'Unsafe burner: shut it down',
      steps: [
        off,
        'Say so in writing, and label the heater.',
        'Found and put right by whoever is licensed for it, before it is lit again.',
      ],
    },
  },
  checks: {
    'gas-smell-sniff': { kind: 'gas-smell', values: ['smell'] },
    'gas-creep': { kind: 'gas-smell', values: ['moves'] },
    'leak-static': { kind: 'gas-smell', values: ['bubbles'] },
    'leak-firing': { kind: 'gas-smell', values: ['bubbles'] },
    'spillage-check': { kind: 'carbon-monoxide', values: ['spills'] },
    'flue-co-air-free': { kind: 'carbon-monoxide', above: 400 },
    'burner-start': { kind: 'unsafe-burner', values: ['late-with-thump'] },
    'burner-flame-look': { kind: 'unsafe-burner', values: ['rolls-out'] },
  },
  answers: {
    gasSmell: { kind: 'gas-smell', value: 'yes', clearedBy: ['gas-smell-sniff'] },
    coAlarm: {
      kind: 'carbon-monoxide',
      value: 'yes',
      clearedBy: ['spillage-check', 'flue-co-air-free'],
    },
  },
};

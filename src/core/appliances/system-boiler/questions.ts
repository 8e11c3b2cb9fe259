import type { Question } from '../family';
import { blurred, mixed, rowOf } from '../kit/signal/outcome-tables';
import { safetyAnswers, safetyQuestions } from '../gas-fired/questions';
import type { Shares } from '../kit/signal/declaration';
import {
  called,
  cylinderCall,
  endsOf,
  heatCall,
  looks,
  oncePerUnit,
  share,
  tables,
  type SystemSeen,
} from './looks';
import namesFile from './names.json' with { type: 'json' };
import type { SequenceEnd } from './sequence';

const heatingValues = ['works', 'none', 'one-zone', 'weak', 'too-warm'];
const hotWaterValues = ['works', 'none', 'lukewarm', 'too-hot'];
const displayValues = ['lit', 'dark', 'code', 'not-looked'];

export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: namesFile.complaints },
  ...safetyQuestions,
  heating: {
    ask: 'How is the heating?',
    values: heatingValues,
    words: {
      works: 'works',
      none: 'none',
      'one-zone': 'one zone cold',
      weak: 'weak',
      'too-warm': 'too warm',
    },
  },
  hotWater: {
    ask: 'How is the hot water?',
    values: hotWaterValues,
    words: { works: 'works', none: 'none', lukewarm: 'lukewarm', 'too-hot': 'too hot' },
  },
  display: {
    ask: 'What does the display show?',
    values: displayValues,
    words: { lit: 'lit', dark: 'dark', code: 'a code', 'not-looked': 'not looked' },
  },
  afterWork: {
    ask: 'Right after other work?',
    values: tables.afterWork!.values,
    words: {
      none: 'no',
      electrical: 'electrical',
      settings: 'settings',
      burner: 'burner',
      plumbing: 'plumbing',
    },
  },
  sisterBurner: {
    ask: 'A burner of the same age found cracked here?',
    values: tables.sisterBurner!.values,
    words: { no: 'no', yes: 'yes', 'not-known': 'not known' },
  },
  outlets: {
    ask: 'One tap or all?',
    values: tables.outlets!.values,
    words: { all: 'all', one: 'one' },
  },
};

export const askedComplaints = [
  'no-hot-water',
  'hot-water-only',
  'heating-only',
  'lukewarm',
  'runs-out',
  'slow',
  'too-hot',
  'code',
  'dead-display',
  'noise',
  'other',
] as const;

/** Ends with heat; with some. */
const warm: readonly SequenceEnd[] = ['runs', 'thump-or-late'];
const little: readonly SequenceEnd[] = ['starves', 'races-and-stops', 'runs-short'];

const noCall = { ...heatCall, thermostat1: 'down', thermostat2: 'down' };

/** How the heating is, by what a call comes to and what its zone does. */
const heating = oncePerUnit((seen): Record<string, number> => {
  const at = called(seen, heatCall);
  const ends = endsOf(at);
  const e = (id: string) => seen.elements[id]!;
  const [zone1, zone2] = [at.signals['pump.zone-1']! > 0.5, at.signals['relay.zone-2']! > 0.5];
  const isStuck = e('zone-1-pump.turns') < 0.5;
  const heatsForEver =
    e('thermostat-1.open-ohm') < 1 ||
    e('zone-1-pair.ohm') < 1 ||
    e('pump-contact-1.open-ohm') < 1 ||
    (e('end-heat.open-ohm') < 1 && called(seen, noCall).signals['called']! > 0.5);
  const fires = share(ends, warm);
  const some = share(ends, little);
  const runs: Record<string, number> = heatsForEver
    ? { 'too-warm': 0.75, works: 0.25 }
    : (!zone1 || isStuck) && zone2
      ? { 'one-zone': 0.9, works: 0.05, weak: 0.05 }
      : e('curve.kelvin') < -5 || e('outdoor-sensor.kelvin') > 5
        ? { weak: 0.85, works: 0.1, none: 0.05 }
        : e('curve.kelvin') > 5
          ? { 'too-warm': 0.6, works: 0.4 }
          : e('priority.closed-ohm') > 10 || (!zone1 && !zone2)
            ? { none: 0.95 }
            : e('flow-check.holds') < 0.5
              ? { 'too-warm': 0.5, works: 0.5 }
              : { works: 0.95, weak: 0.05 };
  return mixed(
    fires,
    runs,
    mixed(
      fires < 1 ? some / (1 - fires) : 0,
      { weak: 0.6, none: 0.25, works: 0.15 },
      { none: 0.95, weak: 0.05 },
    ),
  );
});

/** How the hot water is, by what is stored and what comes out. */
const hotWater = (seen: SystemSeen): Record<string, number> =>
  seen.has('demand') ? { lukewarm: 0.6, none: 0.15, works: 0.25 } : hotWaterStored(seen);

const hotWaterStored = oncePerUnit((seen): Record<string, number> => {
  const at = called(seen, cylinderCall);
  const outlet = at.signals['outlet.celsius']!;
  const stored = at.signals['cylinder.celsius']!;
  const isTooHot = stored > 68 && seen.plate.mixingValve === 'false';
  if (isTooHot) return { 'too-hot': 0.85, works: 0.15 };
  if (stored > 68) return { works: 0.7, 'too-hot': 0.3 };
  if (outlet < 32) return { none: 0.9, lukewarm: 0.1 };
  if (outlet < 42) return { lukewarm: 0.85, works: 0.1, none: 0.05 };
  if (stored < 52) return { lukewarm: 0.5, works: 0.5 };
  return { works: 0.95, lukewarm: 0.05 };
});

/** What is called about, by what works and what is shown. Common practice. */
function complaint(seen: SystemSeen): Shares {
  const { values } = questions.complaint!;
  const heat = heating(seen);
  const water = hotWater(seen);
  const shown = looks['display-look']!.predict(seen);
  const code = shown.code ?? 0;
  const dark = shown.dark ?? 0;
  const isCold = heat.none ?? 0;
  const isDry = water.none ?? 0;
  const sound = (heat.works ?? 0) * (water.works ?? 0);
  const both = isCold * isDry;
  const noisy = seen.has('air-in-loop', 'intake.off', 'burner.cracked', 'burner.dirty')
    ? 0.3
    : 0.02;
  const row: Record<string, number> = {
    'no-hot-water': 0.7 * isDry * (1 - isCold) * 0.6 + 0.5 * both * (1 - code) * (1 - dark),
    'heating-only': 0.4 * isDry * (1 - isCold),
    'hot-water-only': isCold * (1 - isDry) + 0.4 * (heat['one-zone'] ?? 0) + 0.3 * (heat.weak ?? 0),
    lukewarm: 0.6 * (water.lukewarm ?? 0),
    'runs-out': seen.has('demand') ? 0.6 : 0.12 * (water.lukewarm ?? 0),
    slow: seen.has('cylinder-coil.scaled', 'cylinder-pump.stuck') ? 0.25 : 0.04,
    'too-hot': 0.8 * (water['too-hot'] ?? 0) + 0.35 * (heat['too-warm'] ?? 0),
    'dead-display': 0.55 * dark,
    code: 0.55 * code,
    noise: noisy,
    other: 0.25 * sound + 0.3 * (heat['one-zone'] ?? 0) + 0.3 * (heat['too-warm'] ?? 0) + 0.03,
  };
  const sum = Object.values(row).reduce((total, each) => total + each, 0);
  return blurred(
    Object.fromEntries(Object.entries(row).map(([kind, each]) => [kind, each / sum])),
    values,
    'said',
  );
}

function displaySaid(seen: SystemSeen): Shares {
  const { lit = 0, dark = 0, code = 0 } = looks['display-look']!.predict(seen);
  return blurred(mixed(0.3, { 'not-looked': 1 }, { lit, dark, code }), displayValues, 'said');
}

/** What the user of the unit would say. Common practice. */
export const answers: Readonly<Record<string, (seen: SystemSeen) => Shares>> = {
  ...safetyAnswers,
  complaint,
  heating: (seen) => blurred(heating(seen), heatingValues, 'said'),
  hotWater: (seen) => blurred(hotWater(seen), hotWaterValues, 'said'),
  display: displaySaid,
  afterWork: (seen) => rowOf(tables.afterWork!, seen, 'said'),
  sisterBurner: (seen) => rowOf(tables.sisterBurner!, seen, 'said'),
  outlets: (seen) => rowOf(tables.outlets!, seen, 'said'),
};

import type { Question } from '../family';
import { blurred } from '../kit/signal/outcome-tables';
import type { Shares } from '../kit/signal/declaration';
import type { Elements } from './elements';
import type { WirelessSeen } from './looks';
import { isLit } from './model';
import namesFile from './names.json' with { type: 'json' };

export const questions: Readonly<Record<string, Question>> = {
  complaint: { ask: 'What is wrong?', values: namesFile.complaints },
  'after-work': {
    ask: 'After other work?',
    values: ['no', 'new-system', 'batteries-changed', 'receiver-replaced', 'moved-or-refitted'],
    words: {
      no: 'no',
      'new-system': 'newly fitted',
      'batteries-changed': 'batteries changed',
      'receiver-replaced': 'receiver replaced',
      'moved-or-refitted': 'something moved',
    },
  },
  'heating-works': {
    ask: 'Does the heating work?',
    values: ['yes', 'no', 'always-on'],
    words: { yes: 'yes', no: 'no', 'always-on': 'always on' },
  },
  onset: {
    ask: 'Sudden, gradual, or does it come and go?',
    values: ['sudden', 'gradual', 'comes-and-goes'],
    words: { sudden: 'sudden', gradual: 'gradual', 'comes-and-goes': 'comes and goes' },
  },
};

export const askedComplaints = [
  'no-hot-water',
  'lukewarm',
  'runs-out',
  'too-hot',
  'heating-only',
  'hot-water-only',
  'code',
  'dead-display',
  'other',
] as const;

const said = (question: string, row: Shares) => blurred(row, questions[question]!.values, 'said');

/** By how the water stands, and what the display shows. */
function complaint(seen: WirelessSeen): Shares {
  const { storedCelsius } = seen.standing;
  const isDark = !isLit(seen.elements as Elements);
  if (isDark) return said('complaint', { 'dead-display': 0.55, 'no-hot-water': 0.4 });
  if (seen.has('boiler.no-fire')) return said('complaint', { 'no-hot-water': 0.8, other: 0.1 });
  if (seen.has('demand')) return said('complaint', { 'runs-out': 0.75, lukewarm: 0.2 });
  if (storedCelsius > 66) return said('complaint', { 'too-hot': 0.75, other: 0.15 });
  if (storedCelsius < 40) {
    return said('complaint', {
      'no-hot-water': 0.5,
      'heating-only': 0.3,
      code: 0.12,
      lukewarm: 0.06,
    });
  }
  if (storedCelsius < 49) return said('complaint', { lukewarm: 0.6, 'runs-out': 0.3, other: 0.06 });
  return said('complaint', { 'no-hot-water': 0.4, other: 0.35, lukewarm: 0.12, code: 0.08 });
}

function heating(seen: WirelessSeen): Shares {
  if (seen.has('valve.end-switch-welded'))
    return said('heating-works', { 'always-on': 0.85, yes: 0.15 });
  if (seen.has('receiver.swapped'))
    return said('heating-works', { 'always-on': 0.45, yes: 0.4, no: 0.15 });
  if (seen.has('boiler.no-fire', 'controller.no-power', 'controller.dead')) {
    return said('heating-works', { no: 0.88, yes: 0.12 });
  }
  if (seen.has('pump.dead')) return said('heating-works', { no: 0.6, yes: 0.4 });
  return said('heating-works', { yes: 0.96, no: 0.03 });
}

function afterWork(seen: WirelessSeen): Shares {
  const row: Shares = seen.has('sensor.hung', 'sensor.unbound')
    ? { no: 0.42, 'batteries-changed': 0.28, 'new-system': 0.18, 'moved-or-refitted': 0.12 }
    : seen.has('receiver.swapped', 'receiver.unbound')
      ? { no: 0.35, 'receiver-replaced': 0.38, 'new-system': 0.25 }
      : seen.has('system-type.wrong', 'setpoint.low', 'differential.wide')
        ? { no: 0.55, 'new-system': 0.38 }
        : seen.has('radio.sensor-at-metal', 'radio.receivers-too-close', 'sensor.off-cylinder')
          ? { no: 0.45, 'new-system': 0.25, 'moved-or-refitted': 0.28 }
          : { no: 0.88, 'new-system': 0.04, 'batteries-changed': 0.03, 'moved-or-refitted': 0.03 };
  return said('after-work', row);
}

function onset(seen: WirelessSeen): Shares {
  if (
    seen.has(
      'radio.sensor-at-metal',
      'radio.receivers-too-close',
      'radio.path-weak',
      'receiver.hung',
    )
  ) {
    return said('onset', { 'comes-and-goes': 0.6, sudden: 0.3, gradual: 0.1 });
  }
  return said('onset', { sudden: 0.75, gradual: 0.17, 'comes-and-goes': 0.08 });
}

/** What the household would say. Common practice. */
export const answers: Readonly<Record<string, (seen: WirelessSeen) => Shares>> = {
  complaint,
  'after-work': afterWork,
  'heating-works': heating,
  onset,
};

import type { BalancedHouse } from './balancing-study';
import type { Circumstances } from './report';
import { meanOf, quantileOf, shareOf } from './statistics';
import { table } from './strategy-table';

/** Figures of the study that the balancing has to reach. */
const floor = { within5: 0.74, within6: 0.88, minutes: 62, visits: 12 };

/** Balancing on simulated houses, as a page. */
export function balancingReportOf(
  {
    model,
    byFeel,
  }: { readonly model: readonly BalancedHouse[]; readonly byFeel: readonly BalancedHouse[] },
  at: Circumstances,
): string {
  const met = (is: boolean) => (is ? 'met' : '**not met**');
  const row = (name: string, of: (list: readonly BalancedHouse[]) => string) => [
    name,
    of(model),
    of(byFeel),
  ];
  const within = (kelvin: number) => (list: readonly BalancedHouse[]) => shareWithin(list, kelvin);
  const minutes = mean(model.map((each) => each.minutes));
  const visits = mean(model.map((each) => each.visits));
  return [
    '# Benchmark: radiators balanced by their surfaces',
    '',
    `Made by \`${at.command}\` on ${at.date}, commit ${at.commit}, ${at.machine}. Do not edit: run the command again.`,
    '',
    `${model.length} simulated houses (src/core/simulation/house) of 6 to 14 radiators, drawn on seeds ${at.seeds.join(', ')}: trunks that radiators share, lockshields, outputs, rooms, paint and thermometers with numbers and laws of their own, radiators that cool slice by slice. Nothing was set on these seeds. At the start their means lie ${quantileOf(
      model.map((each) => each.startKelvin),
      0.5,
    ).toFixed(1)} K apart in the middle house, ${quantileOf(
      model.map((each) => each.startKelvin),
      0.1,
    ).toFixed(1)} to ${quantileOf(
      model.map((each) => each.startKelvin),
      0.9,
    ).toFixed(1)} for eight in ten.`,
    '',
    '## Floors',
    '',
    table(
      ['figure', 'floor', 'reached', ''],
      [
        [
          'truly within 5 K',
          String(floor.within5),
          shareWithin(model, 5),
          met(insideOf(model, 5).share >= floor.within5),
        ],
        [
          'truly within 6 K',
          String(floor.within6),
          shareWithin(model, 6),
          met(insideOf(model, 6).share >= floor.within6),
        ],
        [
          'minutes, mean',
          `at most ${floor.minutes}`,
          minutes.toFixed(0),
          met(minutes <= floor.minutes),
        ],
        [
          'visits to valves, mean',
          `at most ${floor.visits}`,
          visits.toFixed(1),
          met(visits <= floor.visits),
        ],
      ],
    ),
    '',
    'The houses of the study lay 10.4 K apart in the middle and 5.9 to 19.7 for eight in ten, and followed the same laws of heat, lockshield and paint as the fit; these follow others, and reach further.',
    '',
    '## Beside working by feel',
    '',
    'By feel: the hottest as read, a quarter turn (half where it is far out), everything read again; to 1½ turns at once, since the first turns do nothing; it stops at 5 K as read, or after 240 minutes.',
    '',
    table(
      ['', 'model', 'by feel'],
      [
        row('visits to valves', (list) => mean(list.map((each) => each.visits)).toFixed(1)),
        row('rounds of reading', (list) => mean(list.map((each) => each.rounds)).toFixed(1)),
        row('minutes, mean (nine in ten within)', (list) => {
          const all = list.map((each) => each.minutes);
          return `${mean(all).toFixed(0)} (${quantileOf(all, 0.9).toFixed(0)})`;
        }),
        row('apart at the end, median (nine in ten within)', (list) => {
          const all = list.map((each) => each.endKelvin);
          return `${quantileOf(all, 0.5).toFixed(1)} K (${quantileOf(all, 0.9).toFixed(1)})`;
        }),
        row('truly within 5 K', within(5)),
        row('truly within 6 K', within(6)),
        row('truly within 8 K', within(8)),
        row('not done at 240 minutes', (list) =>
          (list.filter((each) => !each.isDone).length / list.length).toFixed(2),
        ),
      ],
    ),
    '',
    '## What was predicted of each radiator, and what came',
    '',
    table(
      [
        'round',
        'radiators',
        'change, K rms',
        'error, K rms',
        'error over the spread that was told',
      ],
      [1, 2, 3].flatMap((round) =>
        [true, false].flatMap((isTouched) => predictionRow(model, round, isTouched)),
      ),
    ),
    '',
    'The last column is one where the spread that is told is right; above one it is told too small.',
    '',
  ].join('\n');
}

const insideOf = (list: readonly BalancedHouse[], kelvin: number) =>
  shareOf(list.filter((each) => each.endKelvin <= kelvin).length, list.length);

function shareWithin(list: readonly BalancedHouse[], kelvin: number): string {
  const { share, from, to } = insideOf(list, kelvin);
  return `${share.toFixed(2)} (${from.toFixed(2)} to ${to.toFixed(2)})`;
}

function predictionRow(
  list: readonly BalancedHouse[],
  round: number,
  isTouched: boolean,
): readonly (readonly string[])[] {
  const own = list
    .flatMap(({ predictions }) => predictions)
    .filter((each) => each.round === round && each.isTouched === isTouched);
  if (own.length === 0) return [];
  const rms = (of: (each: (typeof own)[number]) => number) =>
    Math.sqrt(mean(own.map((each) => of(each) ** 2)));
  return [
    [
      String(round),
      isTouched ? 'set' : 'left alone',
      rms(({ came }) => came).toFixed(1),
      rms(({ came, predicted }) => came - predicted).toFixed(1),
      rms(({ came, predicted, spread }) => (came - predicted) / spread).toFixed(1),
    ],
  ];
}

const mean = (values: readonly number[]) => meanOf(values).mean;

import fc from 'fast-check';
import type { ApplianceFamily } from '../../src/core/appliances/all';
import type { Entry, JobFile } from '../../src/core/job-file';
import { emptyState } from '../../src/core/job-file/state';
import { emptyJob, provedDead } from '../plates';
import { sampleUnit } from '../sample-unit';

/** Any logbook that hands could write on a unit of a family, sensible or not; and some that no hands could. */

const idAt = (index: number) => ({
  id: `018f0000-0000-7000-8000-${String(index).padStart(12, '0')}`,
  at: new Date(Date.UTC(2026, 2, 2, 8, index)).toISOString(),
});

type Made = Record<string, unknown> & { kind: string };

/** Numbers as a display shows them: near zero, near the plate's values, far off. */
const shown = (most: number) =>
  fc.oneof(
    fc.constantFrom(0, 0.2, 12.8, 13, 120, 240),
    fc.double({ min: 0, max: most, noNaN: true, noDefaultInfinity: true }),
  );

const valueOf = (quantity: string | undefined): fc.Arbitrary<object> => {
  switch (quantity) {
    case 'resistance':
      return fc.oneof(
        shown(2e7).map((ohm) => ({ ohm })),
        fc.constant({ overRange: true }),
        fc.constant({ overRange: true, above: { ohm: 2000 } }),
      );
    case 'voltage-ac':
      return shown(480).map((volt) => ({ volt }));
    case 'current-ac':
      return shown(60).map((ampere) => ({ ampere }));
    default:
      return fc.double({ min: -5, max: 99, noNaN: true }).map((celsius) => ({ celsius }));
  }
};

/** Any result: of a named check, between any two points, round any wire; as planned, or in a state of its own. */
function result(family: ApplianceFamily): fc.Arbitrary<Made> {
  const { names, pictureControls, pictureSliders } = family;
  const wires = Object.keys(names.conductors);
  const lifted = fc
    .subarray(wires, { maxLength: 3 })
    .map((chosen) => chosen.map((wire) => ({ wire, end: names.conductors[wire]![1] })));
  const setting = fc.record({
    controls: fc
      .tuple(
        ...pictureControls
          .filter(({ key }) => key !== 'power')
          .map(({ key, positions }) =>
            fc.option(
              fc.constantFrom(...positions).map(({ id }) => [[key, id] as const]),
              { nil: [], freq: 2 },
            ),
          ),
      )
      .map((all) => Object.fromEntries(all.flat())),
    known: fc
      .tuple(
        ...pictureSliders.map(({ key, range: [least, most] }) =>
          fc.option(
            fc
              .double({ min: least, max: most, noNaN: true })
              .map((value) => [[key, value] as const]),
            { nil: [], freq: 2 },
          ),
        ),
      )
      .map((all) => Object.fromEntries(all.flat())),
  });
  const stated = setting.map((each) => {
    const {
      power: _,
      lifted: __,
      ...said
    } = family.statedOf(each, family.stateWith(emptyState, each));
    return said;
  });
  const state = fc.option(
    fc
      .tuple(
        stated,
        fc.record(
          { lifted, load: fc.constantFrom('loaded', 'open-circuit') },
          { requiredKeys: [] },
        ),
      )
      .map(([said, own]) => ({ ...said, ...own })),
    { nil: undefined, freq: 2 },
  );
  const named = fc.constantFrom(...family.checkIds).chain((check): fc.Arbitrary<Made> => {
    const { kind, quantity, values } = names.checks[check]!;
    return kind === 'observation'
      ? fc.record({
          kind: fc.constant('observation'),
          check: fc.constant(check),
          value: fc.constantFrom(...values!),
          threshold: fc.constantFrom(undefined, { ohm: 20 }, { ohm: 400 }),
        })
      : fc.record({
          kind: fc.constant('reading'),
          check: fc.constant(check),
          value: valueOf(quantity),
          leads: fc.constantFrom(undefined, { ohm: 0 }, { ohm: 1.5 }),
        });
  });
  const terminal = fc.constantFrom(...names.terminals);
  const freeEnd = fc
    .constantFrom(...wires)
    .chain((wire) => fc.constantFrom(...names.conductors[wire]!).map((end) => ({ wire, end })));
  const point = fc.oneof({ weight: 3, arbitrary: terminal }, { weight: 1, arbitrary: freeEnd });
  const probed = fc.constantFrom('resistance', 'voltage-ac').chain((quantity) =>
    fc.record({
      kind: fc.constant('reading'),
      quantity: fc.constant(quantity),
      between: fc.tuple(point, point),
      value: valueOf(quantity),
      state: fc.constant(quantity === 'resistance' ? {} : { power: 'on' }),
    }),
  );
  const clamped = fc.record({
    kind: fc.constant('reading'),
    quantity: fc.constant('current-ac'),
    around: fc.constantFrom(...wires),
    value: valueOf('current-ac'),
  });
  return fc
    .tuple(
      fc.oneof(
        { weight: 4, arbitrary: named },
        { weight: 1, arbitrary: probed },
        { weight: 1, arbitrary: clamped },
      ),
      state,
    )
    .map(([made, own]) => ({
      ...made,
      state: { ...('state' in made ? (made.state as object) : {}), ...own },
    }));
}

function action(family: ApplianceFamily): fc.Arbitrary<Made> {
  const { names } = family;
  const plain = fc.constantFrom(
    'power-off',
    'power-on',
    'proved-dead',
    'press-reset',
    'cycle-breaker',
    'wait',
  );
  const wire = fc.constantFrom(...Object.keys(names.conductors));
  return fc.oneof(
    plain.map((each) => ({ kind: 'action', action: each })),
    fc.constant({ ...provedDead(family) }),
    fc
      .tuple(fc.constantFrom('lift-wire', 'refit-wire'), wire, fc.constantFrom(0, 1))
      .map(([each, lifted, end]) => ({
        kind: 'action',
        action: each,
        wire: lifted,
        end: names.conductors[lifted]![end],
      })),
    ...(family.catalogue.dials.size > 0
      ? [
          fc
            .tuple(
              fc.constantFrom(...family.catalogue.dials.keys()),
              fc.constantFrom('high', 'low'),
            )
            .map(([dial, to]) => ({ kind: 'action', action: 'set-dial', dial, to })),
        ]
      : []),
    fc
      .constantFrom(...new Set(Object.values(names.faults)))
      .map((repair) => ({ kind: 'action', action: 'replace', repair })),
  );
}

const skip = (family: ApplianceFamily): fc.Arbitrary<Made> =>
  fc
    .tuple(fc.constantFrom(...family.checkIds), fc.constantFrom('cannot', 'skipped', 'not-sure'))
    .map(([check, reason]) => ({ kind: 'skip', check, reason }));

const numbered = (made: readonly Made[]): Entry[] =>
  made.map((each, index) => ({ ...idAt(index), ...each }) as unknown as Entry);

/** Results that leave the unit as it is, as many as given at most. */
export const results = (family: ApplianceFamily, most: number): fc.Arbitrary<Entry[]> =>
  fc
    .array(
      result(family).filter(
        (each) =>
          (typeof each.check !== 'string' || family.check(each.check).changes === undefined) &&
          // A strainer that was rinsed, a plug that was pushed home: what comes after reads otherwise.
          family.catalogue
            .effectsOf({ id: '', at: '', ...each } as Entry)
            .every((effect) => !('done' in effect)),
      ),
      { maxLength: most },
    )
    .map(numbered);

/** Results, actions and skips in any order. */
export const logbook = (family: ApplianceFamily, most: number): fc.Arbitrary<Entry[]> =>
  fc
    .array(
      fc.oneof(
        { weight: 5, arbitrary: result(family) },
        { weight: 3, arbitrary: action(family) },
        { weight: 1, arbitrary: skip(family) },
      ),
      { maxLength: most },
    )
    .map(numbered);

const anyValue = (): fc.Arbitrary<object> =>
  fc.oneof(
    ...['resistance', 'voltage-ac', 'current-ac', 'temperature'].map(valueOf),
    fc.constantFrom({ ohm: 12.8, volt: 240 }, { celsius: 50, fahrenheit: 122 }, {}),
  );

/** A reading with any of its keys, in any combination: what fits together and what does not. */
const anyReading = (family: ApplianceFamily): fc.Arbitrary<Made> =>
  fc.record(
    {
      kind: fc.constantFrom('reading', 'observation'),
      check: fc.constantFrom(...family.checkIds, 'toString'),
      quantity: fc.constantFrom('resistance', 'voltage-ac', 'current-ac', 'temperature'),
      between: fc.tuple(
        fc.constantFrom(...family.names.terminals),
        fc.constantFrom(...family.names.terminals),
      ),
      around: fc.constantFrom(...Object.keys(family.names.conductors)),
      value: anyValue(),
      leads: fc.constantFrom({ ohm: 0.4 }, { volt: 1 }),
    },
    { requiredKeys: ['kind', 'value'] },
  );

/** A try to prove dead: some points or all, harmless or not, with or without a prover, by one person or another. */
const anyProof = ({ deadPoints }: ApplianceFamily): fc.Arbitrary<Made> =>
  fc
    .record(
      {
        points: fc.array(
          fc.record(
            {
              between: fc.constantFrom(
                ...(deadPoints.length === 0
                  ? [['nowhere', 'earth']]
                  : deadPoints.map((each) => [...each.between])),
              ),
              value: fc.constantFrom({ volt: 0 }, { volt: 3 }, { volt: 118 }, { ohm: 0 }),
            },
            { requiredKeys: ['between', 'value'] },
          ),
          { maxLength: deadPoints.length + 1 },
        ),
        proverTried: fc.constantFrom('before-and-after', 'before', 'not-tried'),
        by: fc.constantFrom('one', 'other'),
        visit: fc.constantFrom('1', '2'),
      },
      { requiredKeys: [] },
    )
    .map((made) => ({ kind: 'action', action: 'proved-dead', ...made }));

const anyStep = (family: ApplianceFamily): fc.Arbitrary<Made> =>
  fc.oneof(
    fc.record({
      kind: fc.constant('setting'),
      setting: fc.constantFrom('upper-dial', 'lower-dial', 'dial', 'mood'),
      as: fc.constantFrom('found', 'left'),
      value: anyValue(),
    }),
    fc.record({
      kind: fc.constant('verdict'),
      repair: fc.constantFrom(...family.names.repairs, 'toString'),
      probability: fc.constantFrom(0, 0.5, 1, 2),
    }),
    fc.record(
      {
        kind: fc.constant('status'),
        status: fc.constantFrom('waiting-part', 'closed-repaired', 'closed-unrepaired', 'closed'),
        reason: fc.constant('told so'),
        recheckBy: fc.constantFrom('2026-12-01', 'soon'),
      },
      { requiredKeys: ['kind', 'status'] },
    ),
    fc.constantFrom('leave', 'power-on', 'power-off', 'restored').map((each) => ({
      kind: 'action',
      action: each,
    })),
  );

/** Entries of every kind, some of them corrections of any other: of a correction, of themselves, of nothing. */
export const anyEntries = (family: ApplianceFamily, most: number): fc.Arbitrary<Entry[]> =>
  fc
    .array(
      fc.tuple(
        fc.oneof(
          { weight: 3, arbitrary: result(family) },
          { weight: 2, arbitrary: anyReading(family) },
          { weight: 3, arbitrary: anyProof(family) },
          { weight: 3, arbitrary: fc.constant(provedDead(family) as unknown as Made) },
          { weight: 2, arbitrary: anyStep(family) },
        ),
        fc.option(fc.nat({ max: most }), { nil: undefined, freq: 3 }),
      ),
      { maxLength: most },
    )
    .map((made) =>
      numbered(
        made.map(([each, corrected]) =>
          corrected === undefined
            ? each
            : { kind: 'correction', replaces: idAt(corrected).id, reason: 'misread', entry: each },
        ),
      ),
    );

export function jobOf(
  family: ApplianceFamily,
  entries: Entry[],
  rest: Partial<JobFile> = {},
): JobFile {
  return emptyJob({ ...sampleUnit(family), entries, ...rest });
}

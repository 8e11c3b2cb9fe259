import type { ApplianceFamily } from '../appliances';
import { compileFamily, type CompiledFamily } from '../diagnosis';
import { fromScale, type OutcomeClass } from '../diagnosis/meter';
import type { Random, SimulatedAnswer, SimulatedFamily, SimulationOptions } from '../simulation';

/** Questions of the call that are answered. */
const answered = 0.75;

/**
 * Units drawn from the engine's own belief: hypothesis, shared unknowns and every answer out of its tables. They prove
 * nothing of real units. They tell what the planner reaches where the world is as it believes, which is how the studies of
 * the contracts measured their floors: what is missing on other units is then the model's share, and not the planner's.
 */
export function believedUnits(
  family: ApplianceFamily,
  simulated: SimulatedFamily,
): SimulatedFamily {
  const tablesFor = new Map<string, CompiledFamily>();
  const compiled = (plate: Parameters<SimulatedFamily['simulate']>[0]): CompiledFamily => {
    const key = JSON.stringify(plate);
    const found = tablesFor.get(key) ?? compileFamily(family.model(plate, family.parameters));
    tablesFor.set(key, found);
    return found;
  };
  return {
    ...simulated,
    simulate(plate, random, { twoFaults = 0, wrongReadings = 0 }: SimulationOptions) {
      const tables = compiled(plate);
      const { hypotheses } = tables.model;
      const count = random.chance(twoFaults) ? 2 : 1;
      const drawn = random.pick(
        hypotheses
          .map((each, h) => [h, each] as const)
          .filter(([, { faults }]) => (count === 2 ? faults.length === 2 : faults.length < 2))
          .map(([h, { weight }]) => [h, weight] as const),
      );
      const row = drawRow(tables, drawn, random);
      const answer = (observable: Parameters<CompiledFamily['table']>[0]) => {
        const table = tables.table(observable);
        table.ensure(drawn);
        return random.chance(wrongReadings)
          ? slipIn(table, random)
          : answerOf(table.classes[table.classOfRow[row]!]!, random);
      };
      const said = (question: string) => {
        const found = answer(family.observableOfQuestion(question));
        return found.kind === 'outcome' ? found.outcome : '';
      };
      const { faults, repairs } = hypotheses[drawn]!;
      return {
        faults: faults.map((id) => ({ id, repair: simulated.names.faults[id]! })),
        repairs: [...repairs].sort(),
        complaint: {
          kind: said('complaint'),
          answers: Object.fromEntries(
            family.questionIds.flatMap((question) =>
              question !== 'complaint' && random.chance(answered)
                ? [[question, said(question)]]
                : [],
            ),
          ),
        },
        answer: (check, state) => answer(family.observableOfCheck(check, state)),
        volts: () => 230,
        settings: () => ({}),
        repair: () => undefined,
      };
    },
  };
}

function drawRow(tables: CompiledFamily, hypothesis: number, random: Random): number {
  let left = random.next();
  const [from, to] = [tables.rowStart[hypothesis]!, tables.rowStart[hypothesis + 1]!];
  for (let row = from; row < to; row++) {
    left -= tables.priorShare[row]!;
    if (left < 0) return row;
  }
  return to - 1;
}

function answerOf(from: OutcomeClass, random: Random): SimulatedAnswer {
  if (from.kind === 'outcomes') {
    return { kind: 'outcome', outcome: random.pick(Object.entries(from.probabilities)) };
  }
  if (random.chance(from.overRange)) return { kind: 'over-range' };
  return {
    kind: 'number',
    value: fromScale(from.centre + from.spread * random.normal(), from.meter),
  };
}

/** A slip shows what some other unit would. */
const slipIn = (
  { classes }: ReturnType<CompiledFamily['table']>,
  random: Random,
): SimulatedAnswer => answerOf(random.pick(classes.map((each) => [each, 1] as const)), random);

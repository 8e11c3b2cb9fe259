import {
  openTurns,
  runFitted,
  type BalancingAdvice,
  type BalancedRadiator,
} from '@/core/balancing';
import { valueText, type UnitSystem } from '@/core/quantities';
import { turnsWords } from '@/features/record/balancing-words';
import { kelvinWords } from '@/features/record/kelvin-words';
import { UnitPicture } from '@/ui/unit-picture';
import { circuitDrawn } from './circuit-drawing';

const width = 520;
const rowHeight = 40;
const head = 34;
const flowX = 16;
const returnX = 34;
const valveX = 62;
const nameX = 84;
const axis = { from: 226, to: 506 };

/**
 * The circuit: radiators between flow and return, each with its lockshield as far as it is open, and where its water is warm, from
 * the way in to the way out. The hollow mark is where its mean goes by the list; the shaded stretch is the band.
 */
export function CircuitPicture({
  radiators,
  advice,
  bandKelvin,
  system,
}: {
  radiators: readonly BalancedRadiator[];
  advice: BalancingAdvice;
  bandKelvin: number;
  system: UnitSystem;
}) {
  const { house, round, members, predicted } = advice;
  const setting = { ...round, turns: radiators.map(({ turns }) => turns) };
  const running = runFitted(house, setting);
  const means = running.map(({ meanCelsius }) => meanCelsius);
  const hottest = Math.max(round.flowCelsius, ...running.map((each) => each.inCelsius));
  const coldest = Math.min(...running.map((each) => each.outCelsius));
  const x = (celsius: number) =>
    axis.from + ((celsius - coldest + 2) / (hottest - coldest + 4)) * (axis.to - axis.from);
  const y = (row: number) => head + row * rowHeight + rowHeight / 2;
  const sorted = members.map((k) => means[k]!).sort((one, other) => one - other);
  const middle = sorted[Math.floor(sorted.length / 2)] ?? (hottest + coldest) / 2;
  const height = head + radiators.length * rowHeight + 6;
  const text = (celsius: number) => valueText(celsius, 'temperature', system);
  const drawn = circuitDrawn(radiators, advice);
  return (
    <figure className="mt-4">
      <div
        className="max-w-3xl"
        style={{ aspectRatio: `${drawn.plan.drawing.width} / ${drawn.plan.drawing.height}` }}
      >
        <UnitPicture
          plan={drawn.plan}
          picture={drawn.picture}
          lifted={[]}
          probes={[]}
          watts={{}}
          known={drawn.known}
          temperature={text}
          label="The circuit: flow and return, each radiator with its lockshield, as it was read"
        />
      </div>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className="w-full max-w-3xl"
        role="img"
        aria-label={radiators
          .map(({ room, turns }, k) => `${room}: ${turnsWords(turns)}, about ${text(means[k]!)}`)
          .join('; ')}
      >
        <rect
          x={x(middle - bandKelvin / 2)}
          y={head}
          width={x(middle + bandKelvin / 2) - x(middle - bandKelvin / 2)}
          height={height - head - 6}
          fill="var(--act-wash)"
        />
        <g fontSize="12" fill="var(--ink)">
          <text x={4} y={14} fontWeight="600">
            flow {text(round.flowCelsius)}
          </text>
          <text x={4} y={28}>
            return dashed
          </text>
          <text x={axis.from} y={14}>
            {text(coldest)}
          </text>
          <text x={axis.to} y={14} textAnchor="end">
            {text(hottest)}
          </text>
          <text x={(axis.from + axis.to) / 2} y={28} textAnchor="middle">
            water, out to in
          </text>
        </g>
        <path
          d={`M${flowX} ${head}V${y(radiators.length - 1) - 8}`}
          stroke="var(--heat)"
          strokeWidth="4"
        />
        <path
          d={`M${returnX} ${head}V${y(radiators.length - 1) + 8}`}
          stroke="var(--ink)"
          strokeWidth="3"
          strokeDasharray="7 4"
        />
        {radiators.map(({ id, room, turns, aside }, k) => {
          const { inCelsius, outCelsius } = running[k]!;
          const isIn = members.includes(k);
          const goes = predicted[k]!.toCelsius;
          return (
            <g key={id} opacity={aside ? 0.5 : 1}>
              <path d={`M${flowX} ${y(k) - 8}H${valveX}`} stroke="var(--heat)" strokeWidth="2" />
              <path
                d={`M${returnX} ${y(k) + 8}H${valveX}`}
                stroke="var(--ink)"
                strokeWidth="2"
                strokeDasharray="5 3"
              />
              <Lockshield at={[valveX, y(k)]} turns={turns} />
              <text x={nameX} y={y(k) - 2} fontSize="14" fontWeight="600" fill="var(--ink)">
                {shortened(room)}
              </text>
              <text x={nameX} y={y(k) + 13} fontSize="12" fill="var(--ink-2)">
                {aside ? 'left out' : turnsWords(turns)}
              </text>
              {isIn && (
                <>
                  <path
                    d={`M${x(outCelsius)} ${y(k)}H${x(inCelsius)}`}
                    stroke="var(--heat)"
                    strokeWidth="6"
                    strokeLinecap="round"
                  />
                  <circle cx={x(means[k]!)} cy={y(k)} r="6" fill="var(--ink)" />
                  {Math.abs(goes - means[k]!) > 0.5 && (
                    <g stroke="var(--act)" fill="var(--sheet)" strokeWidth="2">
                      <path d={`M${x(means[k]!)} ${y(k) + 13}H${x(goes)}`} />
                      <circle cx={x(goes)} cy={y(k) + 13} r="4" />
                    </g>
                  )}
                </>
              )}
            </g>
          );
        })}
      </svg>
      <figcaption className="text-small text-ink-2">
        As fitted from all readings: bar from the water out to the water in, dot its mean, ring
        where the list brings it. Shaded: {kelvinWords(bandKelvin, system)} about the middle.
      </figcaption>
    </figure>
  );
}

const longestName = 17;
const shortened = (room: string) =>
  room.length > longestName ? `${room.slice(0, longestName - 1)}…` : room;

/** A valve that is filled from below as far as it is open. */
function Lockshield({ at: [x, y], turns }: { at: readonly [number, number]; turns: number }) {
  const size = 8;
  const open = Math.min(1, turns / openTurns) * 2 * size;
  return (
    <g>
      <rect x={x - size} y={y + size - open} width={2 * size} height={open} fill="var(--act)" />
      <rect
        x={x - size}
        y={y - size}
        width={2 * size}
        height={2 * size}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
    </g>
  );
}

import { belongsOn, type JobState, type WireRecord } from '@/core/job-file';
import { terminalName } from '@/features/record/words';

const rowHeight = 34;
const width = 420;
const [oldEdge, newEdge] = [150, 270];
const head = 26;

/**
 * Old part and new side by side: each noted wire from the terminal it was on to the one it goes to, dashed until it has been
 * put there and confirmed. Nothing where no terminal is another on the new part. What it shows stands in the list below it.
 */
export function PanelMap({ wires }: Pick<JobState, 'wires'>) {
  const noted = Object.values(wires);
  if (!noted.some((each) => each.mappedTo !== undefined)) return null;
  const olds = [...new Set(noted.map(({ end }) => String(end)))];
  const news = placedOpposite(olds, noted);
  const y = (row: number) => head + row * rowHeight + rowHeight / 2;
  const height = head + Math.max(olds.length, news.length) * rowHeight + 4;
  const confirmed = noted.filter(({ backOn }) => backOn !== undefined).length;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="mt-2 w-full max-w-xl"
      role="img"
      aria-label={`Old part and new side by side: ${noted.length} wires, ${confirmed} confirmed; the list below says each`}
    >
      <Part title="old" x={4} edge={oldEdge} terminals={olds} y={y} height={height} isLeft />
      <Part title="new" x={width - 4} edge={newEdge} terminals={news} y={y} height={height} />
      {noted.map((each) => (
        <Wire
          key={`${each.wire} ${each.end}`}
          wire={each}
          from={y(olds.indexOf(String(each.end)))}
          to={y(news.indexOf(belongsOn(each)))}
        />
      ))}
    </svg>
  );
}

/** A terminal that both parts have stands at the same height; one that the new part alone has, opposite the wire that goes there. */
function placedOpposite(olds: readonly string[], wires: readonly WireRecord[]): string[] {
  const names = [...new Set(wires.map((each) => belongsOn(each)))];
  const places: string[] = [];
  for (const name of names.filter((each) => olds.includes(each))) places[olds.indexOf(name)] = name;
  for (const name of names.filter((each) => !olds.includes(each))) {
    const opposite = olds.indexOf(String(wires.find((each) => belongsOn(each) === name)!.end));
    let place = opposite;
    while (places[place] !== undefined) place += 1;
    places[place] = name;
  }
  return places.filter((each) => each !== undefined);
}

function Part({
  title,
  x,
  edge,
  terminals,
  y,
  height,
  isLeft = false,
}: {
  title: string;
  x: number;
  edge: number;
  terminals: readonly string[];
  y(row: number): number;
  height: number;
  isLeft?: boolean;
}) {
  return (
    <g fontSize="13" fill="var(--ink)">
      <rect
        x={Math.min(x, edge)}
        y={head - 4}
        width={Math.abs(edge - x)}
        height={height - head}
        fill="none"
        stroke="var(--edge)"
        strokeWidth="1.5"
      />
      <text x={x} y={16} textAnchor={isLeft ? 'start' : 'end'} fontWeight="600">
        {title}
      </text>
      {terminals.map((terminal, row) => (
        <g key={terminal}>
          <circle cx={edge} cy={y(row)} r="5" fill="var(--sheet)" stroke="var(--ink)" />
          <text
            x={isLeft ? edge - 12 : edge + 12}
            y={y(row) + 4}
            textAnchor={isLeft ? 'end' : 'start'}
          >
            {terminalName(terminal)}
          </text>
        </g>
      ))}
    </g>
  );
}

function Wire({ wire, from, to }: { wire: WireRecord; from: number; to: number }) {
  const isBack = wire.backOn !== undefined;
  const isWrong = isBack && wire.backOn !== belongsOn(wire);
  return (
    <path
      d={`M${oldEdge + 5} ${from}C${oldEdge + 55} ${from} ${newEdge - 55} ${to} ${newEdge - 5} ${to}`}
      fill="none"
      stroke={isWrong ? 'var(--heat)' : 'var(--act)'}
      strokeWidth={isBack ? 3 : 2}
      strokeDasharray={isBack && !isWrong ? undefined : '6 4'}
    />
  );
}

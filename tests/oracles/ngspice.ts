import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { strayOhm, type Netlist } from '../../src/core/circuit';

/** A circuit as ngspice gets it: ours, and perhaps a meter's own source between two nodes. */
export interface JudgedCircuit extends Netlist {
  readonly meter?: { readonly positive: string; readonly negative: string; readonly volt: number };
}

/**
 * Runs ngspice in batch mode on many circuits at once and gives every node voltage, circuit by circuit.
 * @throws Error where ngspice is missing or says that a matrix is singular: a floating node gives wrong numbers silently.
 */
export function solveWithNgspice(
  circuits: readonly JudgedCircuit[],
  wanted: (circuit: number) => readonly string[] = (c) => nodes(circuits[c]!),
): Map<string, number>[] {
  // ngspice looks up each printed vector in a list: small batches keep that from growing with the square.
  const batch = 12;
  return Array.from({ length: Math.ceil(circuits.length / batch) }, (_, k) =>
    solveBatch(circuits.slice(k * batch, (k + 1) * batch), (c) => wanted(k * batch + c)),
  ).flat();
}

function solveBatch(
  circuits: readonly JudgedCircuit[],
  wanted: (circuit: number) => readonly string[],
): Map<string, number>[] {
  const lines = ['* circuits of Ohmmeter'];
  const nodesOf = circuits.map((each) => nodes(each));
  circuits.forEach((each, c) => {
    const name = spiceNames(nodesOf[c]!, each.ground, c);
    each.resistors.forEach(({ from, to, ohm }, k) =>
      lines.push(`R${c}_${k} ${name.get(from)} ${name.get(to)} ${ohm.toExponential(15)}`),
    );
    each.sources.forEach(({ node, volt }, k) =>
      lines.push(`V${c}_${k} ${name.get(node)} 0 DC ${volt}`),
    );
    if (each.meter) {
      const { positive, negative, volt } = each.meter;
      lines.push(`VM${c} ${name.get(positive)} ${name.get(negative)} DC ${volt}`);
    }
    nodesOf[c]!.filter((node) => node !== each.ground).forEach((node, k) =>
      lines.push(`RS${c}_${k} ${name.get(node)} 0 ${strayOhm}`),
    );
  });
  lines.push('.options gmin=1e-15 reltol=1e-9', '.control', 'set numdgt=12', 'op');
  circuits.forEach((each, c) => {
    const name = spiceNames(nodesOf[c]!, each.ground, c);
    const printed = wanted(c).filter((node) => node !== each.ground);
    lines.push(`print ${printed.map((node) => `v(${name.get(node)})`).join(' ')}`);
  });
  lines.push('quit', '.endc', '.end', '');

  const folder = mkdtempSync(path.join(tmpdir(), 'ohmmeter-ngspice-'));
  try {
    const file = path.join(folder, 'circuits.cir');
    writeFileSync(file, lines.join('\n'));
    const output = execFileSync('ngspice', ['-b', file], {
      encoding: 'utf8',
      stdio: ['ignore', 'pipe', 'pipe'],
      maxBuffer: 1 << 28,
    });
    if (/singular matrix|failed/i.test(output)) throw new Error(`ngspice: ${output.slice(0, 500)}`);
    const values = new Map(
      [...output.matchAll(/^v\((\w+)\) = (\S+)/gm)].map((match) => [match[1]!, Number(match[2])]),
    );
    return circuits.map((each, c) => {
      const name = spiceNames(nodesOf[c]!, each.ground, c);
      return new Map(
        nodesOf[c]!.map((node) => [
          node,
          node === each.ground ? 0 : (values.get(name.get(node)!) ?? Number.NaN),
        ]),
      );
    });
  } finally {
    rmSync(folder, { recursive: true });
  }
}

function nodes({ ground, resistors, sources, meter }: JudgedCircuit): string[] {
  return [
    ...new Set([
      ground,
      ...resistors.flatMap((each) => [each.from, each.to]),
      ...sources.map((each) => each.node),
      ...(meter ? [meter.positive, meter.negative] : []),
    ]),
  ];
}

const spiceNames = (all: readonly string[], ground: string, circuit: number) =>
  new Map(all.map((node, k) => [node, node === ground ? '0' : `n${circuit}x${k}`]));

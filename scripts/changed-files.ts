import { seededRandom } from '../src/core/simulation';

/** Job files, each changed in a few places as a slip of the hand, a broken disk or somebody curious would. */

const words = [
  '',
  'toString',
  '__proto__',
  'constructor',
  'nonsense',
  'x'.repeat(5000),
  '\u0000',
  '\ud83d',
  'Ω',
  '-',
  '1e400',
];
const numbers = [0, -1, 1e-300, 1e300, 0.1 + 0.2, 2 ** 53, -0, 1e9, 240, 4500];
const others: readonly unknown[] = [
  ...words,
  ...numbers,
  null,
  true,
  [],
  {},
  [[]],
  { ohm: 1, volt: 2 },
  nestedBy(400),
];

function nestedBy(depth: number): unknown {
  let value: unknown = 'deep';
  for (let k = 0; k < depth; k++) value = [value];
  return value;
}

/** Somewhere in a value: what holds it and under which key. */
export function places(
  value: unknown,
  found: [Record<string, unknown>, string][] = [],
): [Record<string, unknown>, string][] {
  if (value === null || typeof value !== 'object') return found;
  const holder = value as Record<string, unknown>;
  for (const key of Object.keys(holder)) {
    found.push([holder, key]);
    places(holder[key], found);
  }
  return found;
}

/** Puts a key there as a file would have it: `__proto__` too is a key of its own, and changes nothing of what holds it. */
function define(holder: object, key: string, value: unknown): void {
  Object.defineProperty(holder, key, {
    value,
    enumerable: true,
    writable: true,
    configurable: true,
  });
}

/** An object may have got a `toString` of its own by an earlier change, which is no function. */
const asText = (value: unknown) =>
  typeof value === 'object' ? JSON.stringify(value) : String(value);

/** The same changes for the same seed. */
export function fileChanger(seed: number) {
  const source = seededRandom(seed);
  const random = () => source.next();
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  function changed(text: string): string {
    if (random() < 0.15) {
      const at = Math.floor(random() * text.length);
      return pick([
        () => text.slice(0, at),
        () =>
          text.slice(0, at) +
          pick(['"', '{', '}', ',', '\u0000', '9', ' ', '\\']) +
          text.slice(at + 1),
        () => text.slice(0, at) + text.slice(at + 1 + Math.floor(random() * 40)),
        () => text + text,
        () => text.toUpperCase(),
      ])();
    }
    const job = JSON.parse(text) as Record<string, unknown>;
    for (let k = 0; k < 1 + Math.floor(random() * 3); k++) {
      const all = places(job);
      const [holder, key] = pick(all);
      const [other, otherKey] = pick(all);
      pick([
        () => (holder[key] = structuredClone(pick(others))),
        () => Reflect.deleteProperty(holder, key),
        () => (holder[key] = structuredClone(other[otherKey])),
        () =>
          typeof holder[key] === 'number'
            ? (holder[key] *= pick([-1, 0.001, 1000, 1.01]))
            : (holder[key] = pick(numbers)),
        () => define(holder, pick(words), structuredClone(pick(others))),
        () => (Array.isArray(holder) ? holder.reverse() : (holder[key] = asText(holder[key]))),
        () => (Array.isArray(holder) ? holder.push(structuredClone(holder[Number(key)])) : 0),
        () => (typeof holder[key] === 'string' ? (holder[key] = holder[key].toUpperCase()) : 0),
      ])();
    }
    return JSON.stringify(job);
  }

  return { random, pick, changed };
}

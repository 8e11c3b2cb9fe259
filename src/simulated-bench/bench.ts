import type { FamilyPlate } from '../core/appliances';
import {
  places,
  seededRandom,
  simulatedFamilyOf,
  type HandAction,
  type Place,
  type Random,
  type UnitInTime,
} from '../core/simulation';

/** What the bench's four instruments are, by their names on it. */
export const benchInstruments = ['meter', 'clamp', 'thermometer', 'infrared'] as const;
export type BenchInstrument = (typeof benchInstruments)[number];

/** What instruments make of a true value: off by a share and by digits, as a data sheet puts it. Common practice. */
const errors = {
  resistance: { share: 0.006, digit: 0.1 },
  voltage: { share: 0.008, digit: 0.3 },
  current: { share: 0.02, digit: 0.1 },
  temperature: { share: 0, digit: 0.15 },
} as const;

/** Above this a meter shows over range, in ohms. */
const overRangeOhm = 20e6;
/** A dull surface sends heat as the thermometer takes for granted; a bright one mostly mirrors the room. */
const emissivity = { paint: 0.94, chrome: 0.25, glass: 0.85 } as const;
export type Surface = keyof typeof emissivity;

export interface BenchState {
  readonly family: string;
  readonly second: number;
  readonly speed: number;
  readonly isPowered: boolean;
  readonly litrePerMinute: number;
  readonly repairsNeeded: readonly string[];
}

/** A simulated unit with instruments on it, going on in time as fast as it is told to. */
export class Bench {
  private unit: UnitInTime;
  private readonly random: Random;
  private speed = 1;
  private told: number;
  private leads: readonly [string, string] | undefined;
  private around: string | undefined;
  private probes: [Place, Place];
  private aimed: { place: Place; surface: Surface };
  /** What the meter's dial stands at; anything where it is left to the query. */
  private dial: 'resistance' | 'voltage-ac' | undefined;
  readonly unplugged = new Set<BenchInstrument>();
  readonly garbled = new Set<BenchInstrument>();

  constructor(
    private readonly now: () => number,
    unit: { family: string; plate: FamilyPlate; faults: readonly string[]; seed: number },
  ) {
    this.unit = made(unit);
    this.random = seededRandom(unit.seed + 7);
    this.told = now();
    const [first, second, place] = this.unit.usualPlaces;
    this.probes = [first, second];
    this.aimed = { place, surface: 'paint' };
  }

  renew(unit: {
    family: string;
    plate: FamilyPlate;
    faults: readonly string[];
    seed: number;
  }): void {
    this.unit = made(unit);
    this.told = this.now();
    this.leads = this.around = undefined;
    const [first, second, place] = this.unit.usualPlaces;
    this.probes = [first, second];
    this.aimed = { place, surface: 'paint' };
  }

  /** Another unit of a family, with a fault that nobody is told. */
  drawAnew(family: string, plate: FamilyPlate): void {
    const { weights } = simulatedFamilyOf(family);
    const faults = [this.random.pick(weights.filter(([id]) => id !== 'no-fault'))];
    this.renew({ family, plate, faults, seed: Math.floor(this.random.next() * 2 ** 31) });
  }

  /** Lets the unit go on to now. */
  private catchUp(): void {
    const now = this.now();
    const seconds = Math.min(longestStep, ((now - this.told) / 1000) * this.speed);
    this.told = now;
    if (seconds > 0) this.unit.advance(seconds);
  }

  state(): BenchState {
    this.catchUp();
    const { family, second, isPowered, litrePerMinute, repairsNeeded } = this.unit;
    return { family, second, speed: this.speed, isPowered, litrePerMinute, repairsNeeded };
  }

  setSpeed(times: number): void {
    this.catchUp();
    if (!(times >= 0 && times <= 600)) throw new RangeError('a speed is 0 to 600 times');
    this.speed = times;
  }

  act(action: HandAction): string | undefined {
    this.catchUp();
    return this.unit.act(action);
  }

  put(what: {
    leads?: readonly [string, string];
    around?: string;
    channel?: 1 | 2;
    place?: string;
    surface?: Surface;
    dial?: 'resistance' | 'voltage-ac' | null;
  }): void {
    this.catchUp();
    if (what.leads) this.leads = what.leads;
    if (what.around) this.around = what.around;
    if (what.dial !== undefined) this.dial = what.dial ?? undefined;
    if (what.place === undefined) return;
    const place = places.find((each) => each === what.place);
    if (!place) throw new RangeError(`nobody holds a thermometer at "${what.place}"`);
    if (what.channel) this.probes[what.channel - 1] = place;
    else this.aimed = { place, surface: what.surface ?? 'paint' };
  }

  /** The clock on the bench: hours, minutes, seconds since it was made. */
  clock(): string {
    this.catchUp();
    const { second } = this.unit;
    return [second / 3600, (second / 60) % 60, second % 60]
      .map((each, k) => (k < 2 ? Math.floor(each) : Number(each.toFixed(2))))
      .join(',');
  }

  /** A reading in the way of SCPI; undefined where the instrument has nothing of the kind, an error number where it refuses. */
  read(
    instrument: BenchInstrument,
    header: string,
    channel: number,
  ): { readonly value: number } | { readonly error: string } {
    this.catchUp();
    switch (`${instrument} ${header}`) {
      case 'meter MEAS:RES':
        if (this.dial === 'voltage-ac') return { error: '-221,"Settings conflict"' };
        return { value: this.ohms() };
      case 'meter MEAS:VOLT:AC':
        if (this.dial === 'resistance') return { error: '-221,"Settings conflict"' };
        return {
          value: this.erred((this.leads && this.unit.volt(this.leads)) ?? 0, errors.voltage),
        };
      case 'clamp MEAS:CURR:AC':
        return {
          value: this.erred(
            this.around === undefined ? 0 : (this.unit.ampere(this.around) ?? 0),
            errors.current,
          ),
        };
      case 'thermometer MEAS:TEMP': {
        const place = this.probes[channel - 1];
        if (!place) return { error: '-222,"Data out of range"' };
        return { value: this.erred(this.unit.celsius(place), errors.temperature) };
      }
      case 'infrared MEAS:TEMP': {
        const { place, surface } = this.aimed;
        const room = this.unit.celsius('room');
        const seen = room + (emissivity[surface] / 0.95) * (this.unit.celsius(place) - room);
        return { value: this.erred(seen, errors.temperature) };
      }
      default:
        return { error: '-113,"Undefined header"' };
    }
  }

  private ohms(): number {
    if (!this.leads) return Infinity;
    const ohm = this.unit.ohm(this.leads);
    if (ohm === undefined || ohm > overRangeOhm) return Infinity;
    return this.erred(ohm + 0.15, errors.resistance);
  }

  private erred(value: number, { share, digit }: { share: number; digit: number }): number {
    const shown = value + this.random.normal() * Math.hypot(share * value, digit);
    return Math.round(shown * 10) / 10;
  }
}

/** No more than half a day at once, however long nobody looked. */
const longestStep = 12 * 3600;

const made = ({
  family,
  plate,
  faults,
  seed,
}: {
  family: string;
  plate: FamilyPlate;
  faults: readonly string[];
  seed: number;
}): UnitInTime => simulatedFamilyOf(family).inTime(plate, seededRandom(seed), faults);

import type { Plant } from './plant';

/** A litre of water for a kelvin, J; heat that buffer, emitters and pipes hold beside the buffer's own water, J/K. */
const jouleOfLitre = 4150;
const emitterJoule = 0.3e6;
/** Steps of the run, s. */
const step = 10;
/** After it stopped on its limit it waits so long, s. */
const waits = 420;
const limitMargin = 2.5;

/** What hands have done that the machine knows of. */
export interface Handled {
  readonly isBufferHome: boolean;
  readonly isCylinderHome: boolean;
  readonly isRinsed: boolean;
  readonly isReset: boolean;
}

export type Call = 'rooms' | 'hot-water' | 'none';

/** Water and machine as they stand at a moment. */
export interface PlantWater {
  buffer: number;
  cylinder: number;
  flow: number;
  load: number;
  watt: number;
  heat: number;
  waited: number;
  /** Seconds since the machine last stopped by its limit; none where it never did. */
  stops: number;
}

export const newWater = (plant: Plant, cylinder: number): PlantWater => ({
  buffer: plant.room + 6,
  cylinder,
  flow: plant.room + 6,
  load: 0.5,
  watt: 45,
  heat: 0,
  waited: 0,
  stops: 0,
});

export const feelOf = (plant: Plant, sensor: 'buffer' | 'cylinder', handled: Handled): number => {
  const isHome = sensor === 'buffer' ? handled.isBufferHome : handled.isCylinderHome;
  return isHome ? Math.max(0.96, plant[sensor].share) : plant[sensor].share;
};

/** What a readout shows of its water. */
export const readoutOf = (
  plant: Plant,
  sensor: 'buffer' | 'cylinder',
  celsius: number,
  handled: Handled,
): number =>
  plant.room + feelOf(plant, sensor, handled) * (celsius - plant.room) + plant[sensor].offset;

export const flowShareOf = (plant: Plant, { isRinsed }: Handled): number =>
  (isRinsed ? 1 : plant.strainerShare) * plant.restShare;

export const isAble = (plant: Plant, { isReset }: Handled): boolean =>
  !plant.has('compressor.dead') &&
  !plant.has('supply.outdoor-off') &&
  !plant.has('flow-sensor.open-or-short') &&
  (!plant.has('control.locked-out') || isReset);

/** Lets the plant run on for so many seconds: reading against target, heat by the machine, heat to rooms or through the coil. */
export function runOn(
  plant: Plant,
  water: PlantWater,
  call: Call,
  seconds: number,
  handled: Handled,
  drawnWatt = 0,
): void {
  const { facts } = plant;
  const flowShare = flowShareOf(plant, handled);
  const wattPerKelvin = (plant.litrePerMinute * flowShare * jouleOfLitre) / 60;
  const bufferJoule = facts.bufferLitre * jouleOfLitre + emitterJoule;
  const cylinderJoule = facts.cylinderLitre * jouleOfLitre;
  for (let left = seconds; left > 0; left -= step) {
    const time = Math.min(step, left);
    const isHotWater = call === 'hot-water';
    const isCalled = call !== 'none';
    const reading = isHotWater
      ? readoutOf(plant, 'cylinder', water.cylinder, handled)
      : plant.buffer.isWhole
        ? readoutOf(plant, 'buffer', water.buffer, handled)
        : water.flow + plant.flowOffset;
    const target = isHotWater ? 99 : plant.target;
    const isTripping =
      flowShare < 0.42 || water.flow + plant.flowOffset > facts.flowLimitCelsius - limitMargin;
    if (water.waited > 0) water.waited -= time;
    else if (isCalled && isTripping && water.load > 0) {
      water.waited = waits;
      water.stops += 1;
    }
    const runs = isCalled && isAble(plant, handled) && water.waited <= 0 && reading < target + 4;
    if (runs) {
      // It follows its reading slowly, as such machines do.
      const wanted = (target - reading) / 4 + water.load;
      water.load = Math.max(
        plant.leastLoad,
        Math.min(1, water.load + ((wanted - water.load) * time) / 120),
      );
    } else water.load = 0.3;
    const hot = water.flow + 3 + 273;
    const ideal = hot / (hot - (plant.outdoor - 8 + 273));
    const share = runs ? water.load : 0;
    const weather = 1 + 0.012 * (plant.outdoor - 2) - 0.006 * (water.flow - 35);
    water.heat = share * facts.heatWatt * plant.output * weather;
    const full = (share * facts.heatWatt * weather) / (plant.carnotShare * ideal);
    water.watt = runs ? full + 60 : 42;
    const toBuffer = isHotWater ? 1 - plant.toCoil : plant.has('diverter.stuck-cylinder') ? 0 : 1;
    const source = toBuffer > 0.5 ? water.buffer : water.cylinder;
    const through =
      isHotWater || toBuffer === 0
        ? Math.min(
            water.heat * (isHotWater ? plant.toCoil : 1),
            plant.coilWattPerKelvin * Math.max(0, water.flow - water.cylinder),
          )
        : 0;
    const house =
      plant.houseWatt *
      Math.max(0, (water.buffer - plant.room) / (38 - plant.room)) ** plant.emitterExponent;
    const intoBuffer = toBuffer > 0 ? water.heat * toBuffer : 0;
    water.buffer += ((intoBuffer - house) * time) / bufferJoule;
    water.cylinder += ((through - drawnWatt - 55) * time) / cylinderJoule;
    // Where the coil takes less than is made, the flow goes up until it does, or the limit stops it.
    const wantedFlow = runs
      ? isHotWater || toBuffer === 0
        ? water.cylinder + water.heat / Math.max(200, plant.coilWattPerKelvin) + 1
        : source + water.heat / (2 * Math.max(100, wattPerKelvin))
      : source;
    water.flow += ((wantedFlow - water.flow) * time) / 60;
  }
}

/** Return of the primary water. */
export function returnOf(plant: Plant, water: PlantWater, handled: Handled): number {
  const wattPerKelvin = (plant.litrePerMinute * flowShareOf(plant, handled) * jouleOfLitre) / 60;
  // Its pump holds about five kelvin where nothing is in its way.
  const usual = 5.2 * (0.85 + 0.3 * plant.luck);
  const spread =
    water.heat > 0
      ? Math.max(water.heat / wattPerKelvin, usual / flowShareOf(plant, handled))
      : 0.2;
  return water.flow - spread;
}

/** Mixed water and what comes out of the tap, with the valve turned by so many eighths. */
export function mixedOf(plant: Plant, cylinder: number, eighths: number) {
  const hot = cylinder - 0.4 - 0.8 * plant.luck;
  const set = plant.valveSet + plant.eighth * eighths + plant.droop * (hot - 55);
  const most = plant.cold + plant.mostHot * (hot - plant.cold);
  const mixed = plant.has('mixing-valve.passes-hot')
    ? hot - 0.3
    : Math.max(plant.cold, Math.min(set, most, hot));
  const tap = Math.min(mixed - plant.pipeLoss - plant.crossKelvin, plant.outlet);
  return { hot, mixed, tap };
}

/** How the cylinder stands after weeks of it. */
export function storedOf(plant: Plant): number {
  const { has } = plant;
  const handled = { isBufferHome: false, isCylinderHome: false, isRinsed: false, isReset: false };
  if (has('immersion.relay-welded')) return plant.overStored;
  if (has('mode.off') || !plant.cylinder.isWhole || plant.toCoil === 0 || !isAble(plant, handled))
    return plant.coldStored;
  // Every call of the rooms ends in the cylinder.
  if (has('diverter.stuck-cylinder'))
    return plant.facts.flowLimitCelsius - limitMargin - 2 - 3 * plant.luck;
  const asRead =
    plant.room + (plant.setpoint - plant.room - plant.cylinder.offset) / plant.cylinder.share;
  const most =
    plant.facts.flowLimitCelsius - limitMargin - Math.max(0, plant.flowOffset) - 1.5 * plant.luck;
  const full = Math.min(asRead, most);
  const given =
    plant.output *
    flowShareOf(plant, handled) *
    plant.toCoil *
    Math.min(1, plant.coilWattPerKelvin / 900);
  const lag =
    (given < 0.75 ? 11 * (0.75 - given) : 0) +
    (has('restart-differential.wide')
      ? plant.differential * (0.2 + 0.4 * plant.luck)
      : 2 * plant.luck);
  const late = has('schedule.wrong')
    ? 6 + 12 * plant.luck
    : has('demand')
      ? 3 + 11 * plant.luck
      : 0;
  return full - lag - late - (has('circulation.always-on') ? 2 + 2 * plant.luck : 0);
}

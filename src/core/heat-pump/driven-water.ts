/** What a machine drives its water to that holds what a sensor reads, and what that costs. */

/** Where the unit stops short of the limit of its flow, K. Common practice. */
export const limitMarginKelvin = 3;

export interface Driven {
  /** True temperature of the water that the reading asks for, °C; never above where the unit stops. */
  readonly waterCelsius: number;
  /** The reading is never reached: full power to the limit, stop, and again. */
  readonly isAtLimit: boolean;
}

/** Water by the reading that is held: a reading that is too low drives the water up, to the limit if need be. */
export function drivenWater(
  targetCelsius: number,
  roomCelsius: number,
  sensor: { readonly share: number; readonly offsetKelvin: number },
  flowLimitCelsius: number,
): Driven {
  const wanted = roomCelsius + (targetCelsius - roomCelsius - sensor.offsetKelvin) / sensor.share;
  const most = flowLimitCelsius - limitMarginKelvin;
  return wanted > most
    ? { waterCelsius: most, isAtLimit: true }
    : { waterCelsius: wanted, isAtLimit: false };
}

/** A reference that such machines are quoted at: outdoors, flow, and heat for power. Common practice. */
const quoted = { outdoorCelsius: 4, flowCelsius: 38, ratio: 3.5 } as const;
/** How far condensing lies over the flow, and evaporating under the air outdoors, K. Common practice. */
const overFlowKelvin = 3;
const underAirKelvin = 8;
const kelvin = (celsius: number) => celsius + 273.15;

/** Heat for power of a reversed cycle between these (Carnot), before what a machine loses of it. */
function idealRatio(flowCelsius: number, outdoorCelsius: number): number {
  const hot = kelvin(flowCelsius + overFlowKelvin);
  return hot / (hot - kelvin(outdoorCelsius - underAirKelvin));
}

/** Heat for power at a flow temperature and one outdoors: Carnot, times what a machine keeps of it. */
export const performanceRatio = (flowCelsius: number, outdoorCelsius: number): number =>
  (quoted.ratio / idealRatio(quoted.flowCelsius, quoted.outdoorCelsius)) *
  idealRatio(flowCelsius, outdoorCelsius);

/** Heat stored in emitters, and in air and light fabric of rooms, J/K. Common practice. */
const heatOf = { emitters: 0.32e6, rooms: 8e6 } as const;

/** What rooms rise by once a call has ended, K: what is left in the emitters goes on into them. */
export const roomOvershoot = (emitterMeanCelsius: number, roomCelsius: number): number =>
  (heatOf.emitters * (emitterMeanCelsius - roomCelsius)) / (heatOf.emitters + heatOf.rooms);

/** Watt hours that a litre takes for a kelvin. */
const wattHourPerLitreKelvin = 1.163;

/** What stored water rises by in so many minutes, K. */
export const riseIn = (minutes: number, watt: number, litre: number): number =>
  (watt * (minutes / 60)) / (litre * wattHourPerLitreKelvin);

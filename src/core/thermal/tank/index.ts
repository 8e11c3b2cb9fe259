/** A stratified storage tank in time: what a fault of its heat does to the water that somebody draws. */
export { trueOverPlateVolume, usualLossWattPerKelvin } from './design';
export type { Draw, Heater, MixedDraw, Power, TankDesign, TankThermostat } from './design';
export { runTank } from './run-tank';
export type { TankCourse, TankResult, TankSample } from './run-tank';
export { longest, showerOf, usualShower } from './shower';
export type { Shower, ShowerWish } from './shower';

import { combiBoiler } from './combi-boiler';
import { electricStorageOneElement } from './electric-storage-one-element';
import { electricStorageTwoElement } from './electric-storage-two-element';
import { gasStoragePilot } from './gas-storage-pilot';
import { heatPumpCylinder } from './heat-pump-cylinder';
import { registerFamily } from './registry';
import { systemBoiler } from './system-boiler';
import { tanklessGas } from './tankless-gas';
import { wirelessCylinderControl } from './wireless-cylinder-control';

/** Every family at once: for the server, the command line and the tests. A page of the browser loads those that it needs. */

export * from './index';
export { checkedPlateOf } from './checked-plate';

export const families = [
  electricStorageTwoElement,
  electricStorageOneElement,
  gasStoragePilot,
  tanklessGas,
  combiBoiler,
  systemBoiler,
  wirelessCylinderControl,
  heatPumpCylinder,
].map(registerFamily);

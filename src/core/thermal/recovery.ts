/** How a rating plate sums up recovery: weight of a gallon and how it is rounded differ from plate to plate. */
export interface PlateRecovery {
  /** Heat that goes in: of the fuel, gross, or of the element. */
  readonly inputWatt: number;
  /** Share of it that warms the water: 1 for an element in water, 0.76 for a usual burner. */
  readonly efficiency: number;
  readonly riseKelvin: number;
  /** Weight of a gallon that the plate counts with: 8.25 or 8.33 lb. */
  readonly poundPerGallon?: number;
}

const wattPerBtuPerHour = 1055.06 / 3600;
const litrePerGallon = 3.785412;

/**
 * Gallons (US) an hour that are lifted by the rise, as plates say it: BTU/h × efficiency ÷ (lb/gal × °F).
 * 40,000 BTU/h at 76 % and 90 °F with 8.25 lb/gal: 40.94.
 * @throws RangeError for heat, efficiency or a rise that is not above zero.
 */
export function plateRecoveryGallonPerHour({
  inputWatt,
  efficiency,
  riseKelvin,
  poundPerGallon = 8.25,
}: PlateRecovery): number {
  if (!(inputWatt > 0 && efficiency > 0 && efficiency <= 1.2 && riseKelvin > 0)) {
    throw new RangeError('recovery takes heat, an efficiency and a rise above zero');
  }
  return ((inputWatt / wattPerBtuPerHour) * efficiency) / (poundPerGallon * riseKelvin * 1.8);
}

/** The same in litres an hour. */
export const plateRecoveryLitrePerHour = (plate: PlateRecovery): number =>
  plateRecoveryGallonPerHour(plate) * litrePerGallon;

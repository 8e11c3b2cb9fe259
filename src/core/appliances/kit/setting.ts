import type { Quantity } from '../../quantities';

/** A setting that is written down as found and as left. */
export interface SettingField {
  /** Its name in a job file. */
  readonly id: string;
  readonly label: string;
  readonly quantity: Quantity;
  /** In the kept unit. */
  readonly range: readonly [least: number, most: number];
  /** What it is about, where nothing is written yet; and what it is usually left between. */
  readonly usual: number;
  readonly usualBetween?: readonly [from: number, to: number];
  /** Of water that no tap gives: it scalds nobody. */
  readonly isSealed?: boolean;
}

/** A control that may be put to another position on the picture. */
export interface PictureControl {
  readonly key: string;
  readonly label: string;
  readonly positions: readonly { readonly id: string; readonly label: string }[];
}

/** A value that may be supposed on the picture, with a slider. */
export interface PictureSlider {
  readonly key: string;
  readonly label: string;
  /** Said in full. */
  readonly name: string;
  readonly quantity: Quantity;
  readonly range: readonly [least: number, most: number];
}

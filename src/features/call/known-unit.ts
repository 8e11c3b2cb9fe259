export interface KnownUnitChoice {
  readonly id: string;
  readonly label: string;
  readonly family: string;
  readonly volt: number;
  readonly nominalVolt: number;
  readonly watts: Readonly<Record<string, number>>;
}

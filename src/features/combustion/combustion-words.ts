import type { AnalysisOutcome, BurnerKind, BurnerLook, Figure, Grade } from '@/core/combustion';
import { valueText, type Quantity, type UnitSystem } from '@/core/quantities';

/** Figures that are judged, with what they are read in. */
export const figureWords: Readonly<
  Record<Figure, { words: string; quantity: Quantity | 'share' }>
> = {
  oxygen: { words: 'O2', quantity: 'percent' },
  'air-free': { words: 'CO, free of air', quantity: 'ppm' },
  ratio: { words: 'CO by CO2', quantity: 'share' },
  'flue-over-return': { words: 'flue over return', quantity: 'temperature-difference' },
  ambient: { words: 'CO in the room', quantity: 'ppm' },
};

export const gradeWords: Readonly<Record<Grade, string>> = {
  right: 'right',
  look: 'look into it',
  outside: 'out of bounds',
  stop: 'STOP: off',
};

export const outcomeWords: Readonly<Record<AnalysisOutcome, string>> = {
  right: 'Right',
  lean: 'Lean',
  rich: 'Rich',
  'co-high': 'CO high',
  'flue-hot': 'Flue hot',
  'no-flame': 'No flame: the probe breathed air',
};

export const burnerWords: Readonly<Record<BurnerKind, string>> = {
  'premix-condensing': 'premix burner, condensing',
  atmospheric: 'atmospheric burner',
  oil: 'oil burner',
};

export function figureText(figure: Figure, value: number, system: UnitSystem): string {
  if (!Number.isFinite(value)) return 'none';
  const { quantity } = figureWords[figure];
  return quantity === 'share' ? value.toFixed(4) : valueText(value, quantity, system);
}

export const percentText = (percent: number): string => `${percent.toFixed(1)} %`;

/** What a burner that is out looks like, part by part. */
export const burnerPartWords = {
  ports: { open: 'open', 'some-closed': 'some closed', 'grown-together': 'grown together' },
  crack: { none: 'none', hairline: 'hairline', open: 'open' },
  rust: { none: 'none', surface: 'on the surface', through: 'through' },
  gasket: { new: 'new', reused: 'used again' },
} as const;

export const burnerLookWords = ({
  burner,
  ports,
  crack,
  rust,
  gasket,
  isLoose,
  where,
}: BurnerLook): string =>
  [
    `burner ${burner}: ports ${burnerPartWords.ports[ports]}`,
    crack === 'none'
      ? 'no crack'
      : `crack ${burnerPartWords.crack[crack]}${where ? ` (${where})` : ''}`,
    rust === 'none' ? '' : `rust ${burnerPartWords.rust[rust]}`,
    isLoose ? 'loose' : '',
    gasket ? `gasket ${burnerPartWords.gasket[gasket]}` : '',
  ]
    .filter(Boolean)
    .join(', ');

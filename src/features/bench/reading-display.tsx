'use client';

import { resultQuantity } from '@/core/appliances';
import { useEffect, useRef, type ReactNode } from 'react';
import type { ExpectedBand } from '@/core/diagnosis';
import {
  isGoodResult,
  withUsualLeads,
  type Expectation,
  type GoodReading,
} from '@/core/job-diagnosis';
import {
  showValue,
  valueText,
  type ParsedReading,
  type Quantity,
  type UnitSystem,
} from '@/core/quantities';
import { useFamily, useWords } from '@/features/record/family-context';
import type { FamilyWords } from '@/features/record/family-words';
import { TypedEarlier } from '@/features/record/typed-earlier';
import { percent } from '@/features/record/words';
import { patternOf } from '@/ui/patterns';
import { ReadingRuler, type RulerLane, type RulerNeedle } from '@/ui/reading-ruler';
import { rulerScale } from '@/ui/ruler-scale';
import { useIsWide } from '@/ui/screen-width';
import { Tick, Unequal } from '@/ui/marks';

export interface ReadingDisplayProps {
  readonly expectation: Expectation;
  readonly text: string;
  /** When it was typed. */
  readonly typedAt: number | undefined;
  readonly parsed: ParsedReading | undefined;
  /** Repairs in order of their present rank, for patterns. */
  readonly ranking: readonly string[];
  /** What the meter's leads read, on ohms: the ruler and the bands are for usual ones. */
  readonly leadOhm?: number;
  readonly fitsNothing: boolean;
  readonly leadingAfter?: {
    readonly repair: string;
    readonly probability: number;
    readonly fault?: string;
  };
  readonly earlier?: RulerNeedle;
  readonly system: UnitSystem;
  /** What belongs to the reading beside its number. */
  readonly howTaken?: ReactNode;
  onChoose(text: string): void;
}

/** The reading as it is typed, loud, on its ruler, with what it would mean. */
export function ReadingDisplay(props: ReadingDisplayProps) {
  const { expectation, text, parsed, system, earlier, howTaken } = props;
  const section = useRef<HTMLElement>(null);
  const isWide = useIsWide();
  const isTyping = text !== '';
  useEffect(() => {
    // On a phone long steps push it under the keypad.
    if (isTyping) section.current?.scrollIntoView({ block: 'end' });
  }, [isTyping]);
  const family = useFamily();
  const words = useWords();
  const quantity = resultQuantity(family.check(expectation.check)) ?? 'resistance';
  const { good } = expectation;
  const scale = rulerScale(quantity, good.kind === 'range' ? good.nominal : undefined, system);
  const needle = needleOf(asExpected(parsed, props.leadOhm));
  const lanes = lanesOf(props, words);
  const typedNumber = text === 'OL' ? 'OL' : text.replace(/k$/i, '');
  const symbol =
    text === 'OL' ? '' : /k$/i.test(text) ? 'kΩ' : showValue(0, quantity, system).symbol;
  return (
    <section
      ref={section}
      aria-label="Reading"
      className="scroll-mb-[424px] px-4 low:scroll-mb-2 short:scroll-mb-2 lg:scroll-mb-0 lg:px-5"
    >
      <div className="flex items-end justify-between gap-4">
        <output
          className="flex min-h-[76px] items-baseline text-[72px] leading-[76px] font-semibold text-act low:min-h-[52px] low:text-[48px] low:leading-[52px] lg:min-h-[104px] lg:text-[104px] lg:leading-[104px]"
          aria-label="typed reading"
          data-typed-display=""
        >
          {typedNumber}
          <span className="ml-3 text-[0.55em] font-medium">{symbol}</span>
          <span
            className="ml-1 inline-block h-[0.72em] w-1 self-center bg-act caret"
            aria-hidden="true"
          />
        </output>
        <div className="min-w-0 pb-2 text-right lg:pb-3 lg:text-left">
          <p className="text-body lg:text-lead">{goodWords(good, quantity, system)}</p>
          <Meaning {...props} quantity={quantity} />
          {howTaken}
          <TypedEarlier at={props.typedAt} />
        </div>
      </div>
      {/* Its letters grow with it: on a tablet they need not be larger than the reading. */}
      <div className="max-w-[480px] lg:max-w-none">
        <ReadingRuler
          scale={scale}
          good={bandOf(good)}
          lanes={lanes}
          needle={needle}
          earlier={earlier}
          goodLabel={isWide ? 'good' : undefined}
          overRangeLabel={overRangeLabel(lanes)}
          label={rulerWords(props, quantity, words)}
          size={isWide ? 'full' : 'phone'}
        />
      </div>
    </section>
  );
}

function Meaning({
  expectation,
  parsed,
  leadOhm,
  fitsNothing,
  leadingAfter,
  quantity,
  system,
  onChoose,
}: ReadingDisplayProps & { quantity: Quantity }) {
  const words = useWords();
  if (!parsed)
    return <p className="min-h-6 text-small text-ink-2 lg:text-body">Type what the meter shows.</p>;
  if (parsed.kind === 'problem') {
    return (
      <p role="alert" className="max-w-72 text-body font-medium">
        {parsed.message}
      </p>
    );
  }
  if (parsed.kind === 'ask') {
    return (
      <div role="alert" className="max-w-80">
        <p className="font-medium">{parsed.question}</p>
        <div className="mt-1 flex flex-wrap gap-2">
          {parsed.choices.map((each) => (
            <button
              key={each.label}
              type="button"
              className="button"
              onClick={() =>
                onChoose(
                  each.meaning.kind === 'over-range'
                    ? 'OL'
                    : exactText(each.meaning.value, quantity, system),
                )
              }
            >
              {each.label}
            </button>
          ))}
        </div>
      </div>
    );
  }
  if (fitsNothing) {
    return (
      <p className="text-body text-act lg:text-lead">
        <Unequal /> <span className="font-semibold">Fits nothing.</span> Take it again.
      </p>
    );
  }
  if (isInside(expectation.good, asExpected(parsed, leadOhm))) {
    return (
      <p className="text-body text-act lg:text-lead">
        <Tick /> <span className="font-semibold">Inside.</span> As a good one reads.
      </p>
    );
  }
  return (
    <p className="text-body text-act lg:text-lead">
      <span className="font-semibold">Outside.</span>{' '}
      {leadingAfter
        ? `Then ${words.suspect(leadingAfter.repair).toLowerCase()}${leadingAfter.fault ? `, ${words.fault(leadingAfter.fault)}` : ''}: ${percent(leadingAfter.probability)} %`
        : 'Working out what it means.'}
    </p>
  );
}

/** The text that means a value without doubt: a decimal point, so that it is not asked again. */
function exactText(value: number, quantity: Quantity, system: UnitSystem): string {
  if (quantity === 'resistance' && value >= 1000) return `${value / 1000}k`;
  if (quantity === 'resistance') return Number.isInteger(value) ? value.toFixed(1) : String(value);
  return showValue(value, quantity, system).number.replace('−', '-');
}

const isInside = (good: GoodReading, parsed: ParsedReading): boolean =>
  parsed.kind === 'over-range'
    ? isGoodResult(good, { kind: 'over-range' })
    : parsed.kind === 'value' && isGoodResult(good, { kind: 'number', value: parsed.value });

/** The typed reading as a meter with usual leads would have shown it. */
const asExpected = <Parsed extends ParsedReading | undefined>(
  parsed: Parsed,
  leadOhm: number | undefined,
): Parsed =>
  parsed?.kind === 'value' ? { ...parsed, value: withUsualLeads(parsed.value, leadOhm) } : parsed;

export function needleOf(parsed: ParsedReading | undefined): RulerNeedle | undefined {
  if (parsed?.kind === 'over-range') return 'over-range';
  return parsed?.kind === 'value' ? parsed.value : undefined;
}

export function bandOf(good: GoodReading) {
  if (good.kind === 'over-range') return 'over-range' as const;
  return good.kind === 'range' ? { from: good.from, to: good.to } : undefined;
}

export function goodWords(good: GoodReading, quantity: Quantity, system: UnitSystem) {
  if (good.kind === 'over-range') {
    return (
      <>
        expect <strong className="font-semibold">OL</strong>, over range
      </>
    );
  }
  if (good.kind !== 'range') return null;
  return (
    <>
      expect <strong className="font-semibold">{valueText(good.nominal, quantity, system)}</strong>,
      good from {showValue(good.from, quantity, system).number} to{' '}
      {showValue(good.to, quantity, system).number}
    </>
  );
}

/** A lane for each leading suspect that reads elsewhere than a good unit. */
function lanesOf(
  { expectation, ranking }: Pick<ReadingDisplayProps, 'expectation' | 'ranking'>,
  words: FamilyWords,
): RulerLane[] {
  const { good } = expectation;
  return expectation.bands
    .filter((band) => {
      if (band.reads.kind === 'over-range') return good.kind !== 'over-range';
      return (
        band.reads.kind === 'range' &&
        (good.kind !== 'range' || band.reads.centre < good.from || band.reads.centre > good.to)
      );
    })
    .reduce<{ band: ExpectedBand; probability: number; others: number }[]>((lanes, band) => {
      // Suspects that read the same share a lane: the likeliest gives its name and pattern.
      const same = lanes.find((lane) => readTheSame(lane.band, band));
      if (same) {
        same.probability += band.probability;
        same.others += 1;
      } else lanes.push({ band, probability: band.probability, others: 0 });
      return lanes;
    }, [])
    .slice(0, 4)
    .map(({ band, probability, others }): RulerLane => ({
      pattern: patternOf(ranking.indexOf(band.repair)),
      label: `${shortName(words.suspect(band.repair))}${others > 0 ? ' or other' : ''} ${percent(probability)} %`,
      reads:
        band.reads.kind === 'range' ? { from: band.reads.from, to: band.reads.to } : 'over-range',
    }));
}

function readTheSame({ reads: one }: ExpectedBand, { reads: other }: ExpectedBand): boolean {
  if (one.kind !== 'range' || other.kind !== 'range') return one.kind === other.kind;
  return one.centre >= other.from && one.centre <= other.to;
}

const shortName = (suspect: string) =>
  suspect.replace(' and limit', '').replace('Wiring inside the heater', 'wiring').toLowerCase();

function overRangeLabel(lanes: readonly RulerLane[]): string | undefined {
  const readers = lanes.filter((each) => each.reads === 'over-range');
  return readers.length === 0 ? undefined : readers[0]!.label;
}

function rulerWords(
  { expectation, system }: Pick<ReadingDisplayProps, 'expectation' | 'system'>,
  quantity: Quantity,
  words: FamilyWords,
): string {
  const { good, bands } = expectation;
  const goodText =
    good.kind === 'over-range'
      ? 'a good one reads over range'
      : good.kind === 'range'
        ? `a good one reads ${valueText(good.from, quantity, system)} to ${valueText(good.to, quantity, system)}`
        : '';
  const rest = bands
    .slice(0, 3)
    .map((band) =>
      band.reads.kind === 'range'
        ? `${words.suspect(band.repair)} ${percent(band.probability)} percent reads ${valueText(band.reads.from, quantity, system)} to ${valueText(band.reads.to, quantity, system)}`
        : `${words.suspect(band.repair)} ${percent(band.probability)} percent reads over range`,
    );
  return `Ruler: ${[goodText, ...rest].join('; ')}`;
}

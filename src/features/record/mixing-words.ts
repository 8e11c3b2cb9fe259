import type { LimitRule, MixingEnd, MixingFinding, Outlet } from '@/core/mixing-valve';
import type { MixingEntry } from '@/core/job-file';
import { valueText, type UnitSystem } from '@/core/quantities';
import { valueWords } from './words';

export const outletWords: Readonly<Record<Outlet, string>> = {
  bath: 'bath',
  basin: 'basin',
  shower: 'shower',
  kitchen: 'kitchen',
};

export const ruleWords: Readonly<Record<LimitRule, string>> = {
  tmv2: 'TMV2',
  'document-g': 'Approved Document G',
  own: 'the firm’s own',
};

export const mixingEndWords: Readonly<Record<MixingEnd | 'stopped', string>> = {
  wanted: 'at what is wanted',
  'at-limit': 'at the limit of its outlet',
  'no-gain': 'a step gained nothing',
  'stored-limits': 'the stored water is all there is',
  'over-limit': 'over the limit of its outlet',
  'over-at-hottest': 'over the limit once the tank is at its hottest',
  stopped: 'stopped by hand',
};

export const mixingFindingWords: Readonly<Record<MixingFinding, string>> = {
  'hot-side-blocked':
    'A step open moves nothing, and the hot port is well above: its hot strainer or check valve is blocked.',
  'passes-hot':
    'A step shut moves nothing: it passes hot. Harmless until the tank is at its hottest.',
  'cross-flow':
    'Right at the valve and cooler at the tap: cold gets into the hot pipe past a mixer, or the outlet holds it back.',
  'outlet-limits':
    'The valve follows and this outlet does not: its own limit stop or cartridge holds it.',
};

export const mixingTitles: Readonly<Record<MixingEntry['phase'], string>> = {
  begun: 'Mixing valve, begun',
  read: 'Mixing valve, read',
  ended: 'Mixing valve, left',
};

/** Eighths of a turn from as found, as a hand counts them. */
export function eighthsWords(eighths: number): string {
  if (eighths === 0) return 'as found';
  const count = Math.abs(eighths);
  const whole = Math.floor(count / 8);
  const rest = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'][count % 8]!;
  const turns = whole === 0 ? rest : `${whole}${rest}`;
  return `${turns} ${count > 8 ? 'turns' : 'turn'} ${eighths > 0 ? 'open' : 'shut'}`;
}

/** More than this at an outlet is no store of hot water but a tap that draws next to none of it, L. */
const mostLitres = 10_000;

/** What a full tank gives at an outlet: so much, or water with hardly any hot in it. */
export const lastsWords = (litres: number, system: UnitSystem): string =>
  litres < mostLitres ? valueText(litres, 'volume', system) : 'water with hardly any hot in it';

export function mixingResult(entry: MixingEntry, system: UnitSystem): string {
  const celsius = (value: MixingEntry['hot']) =>
    value === undefined ? undefined : valueWords(value, system, 'temperature');
  const said = (...parts: readonly (string | undefined | false)[]) =>
    parts.filter(Boolean).join(', ');
  switch (entry.phase) {
    case 'begun':
      return said(
        entry.outlet && outletWords[entry.outlet],
        entry.rule && ruleWords[entry.rule],
        entry.isFrail && 'somebody frail in the house',
        entry.wanted && `wanted ${celsius(entry.wanted)}`,
      );
    case 'read':
      return said(
        eighthsWords(entry.eighths ?? 0),
        `hot ${celsius(entry.hot)}`,
        `mixed ${celsius(entry.mixed)}`,
        `cold ${celsius(entry.cold)}`,
        `tap ${celsius(entry.tap)}`,
        entry.reason,
      );
    case 'ended':
      return said(
        mixingEndWords[entry.ended ?? 'stopped'],
        entry.isLocked ? 'locked' : 'NOT locked',
        entry.isTold ? 'household told' : 'household NOT told',
        entry.farthest && `farthest tap ${celsius(entry.farthest)}`,
        entry.reason,
      );
  }
}

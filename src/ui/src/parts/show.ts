import { unitOf } from '../api/description';
import type { Measure, Phrase, QuantityKind } from '../api/generated/schema';
import { settings } from './settings';

const thousands = new Set<QuantityKind>(['electricPower', 'apparentPower', 'energy', 'heatEnergy', 'power']);

/** Hours since midnight as a clock shows them. */
export function clock(hours: number): string {
  const minutes = ((Math.round(hours * 60) % 1440) + 1440) % 1440;
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A value in the shown unit, number and symbol apart. */
export function parted(inside: number, kind: QuantityKind): { number: string; symbol: string } {
  if (kind === 'hourOfDay') return { number: clock(inside), symbol: '' };
  const unit = unitOf(kind, settings.units === 'customary');
  let value = (inside - unit.offset) / unit.factor;
  let symbol = unit.symbol;
  let decimals = unit.decimals;
  if (thousands.has(kind) && Math.abs(value) >= 1000 && ['W', 'VA', 'Wh'].includes(symbol)) {
    value /= 1000;
    symbol = 'k' + symbol;
    decimals = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 20 ? 1 : 2;
  } else if (kind === 'number' || kind === 'resistance') {
    decimals = value === 0 ? 0 : Math.max(0, Math.min(6, 3 - Math.floor(Math.log10(Math.abs(value)))));
  }
  return { number: written(kind === 'number' ? 0 : decimals, decimals).format(value), symbol };
}

const formats = new Map<number, Intl.NumberFormat>();

/** A number format, made once: making one takes longer than all else on the screen. */
function written(least: number, most: number): Intl.NumberFormat {
  const key = 32 * least + most;
  let format = formats.get(key);
  if (!format)
    formats.set(
      key,
      // A rounding that leaves less than nothing is nothing.
      (format = new Intl.NumberFormat('en', { minimumFractionDigits: least, maximumFractionDigits: most, signDisplay: 'negative' })),
    );
  return format;
}

/** A value with its unit in one string. */
export function shown(inside: number, kind: QuantityKind): string {
  const { number, symbol } = parted(inside, kind);
  return symbol === '' ? number : symbol === '°' ? number + '°' : `${number}\u00a0${symbol}`;
}

export function shownMeasure(measure: Measure | null | undefined): string {
  if (!measure) return '–';
  return measure.exact ? exactly(measure.value, measure.quantity) : shown(measure.value, measure.quantity);
}

/** A value to six significant digits, so that a bound and what passed it by little are told apart. */
function exactly(inside: number, kind: QuantityKind): string {
  const { symbol } = unitOf(kind, settings.units === 'customary');
  const number = String(Number(toShown(inside, kind).toPrecision(6)));
  return symbol === '' ? number : symbol === '°' ? number + '°' : `${number}\u00a0${symbol}`;
}

/** A sentence with its measures in the shown units. */
export function say(phrase: Phrase | null | undefined): string {
  if (!phrase) return '';
  return phrase.template.replace(/\{(\d+)\}/g, (_, index) => shownMeasure(phrase.measures[Number(index)]));
}

/** As typed into a field: plain number in the shown unit, without grouping. */
export function editable(inside: number, kind: QuantityKind): string {
  if (kind === 'hourOfDay') return clock(inside === 24 ? 0 : inside);
  const unit = unitOf(kind, settings.units === 'customary');
  const value = (inside - unit.offset) / unit.factor;
  return String(Number(value.toFixed(Math.max(unit.decimals, kind === 'number' ? 4 : unit.decimals + 1))));
}

/** The symbol beside a field. */
export function symbolOf(kind: QuantityKind): string {
  return kind === 'hourOfDay' ? '' : unitOf(kind, settings.units === 'customary').symbol;
}

/** A value of a chart in the shown unit. */
export function toShown(inside: number, kind: QuantityKind): number {
  const unit = unitOf(kind, settings.units === 'customary');
  return (inside - unit.offset) / unit.factor;
}

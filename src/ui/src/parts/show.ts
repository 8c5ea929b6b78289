import { gauges, unitOf, type UnitView } from '../api/description';
import type { Measure, Phrase, QuantityKind } from '../api/generated/schema';
import { settings } from './settings';

const thousands = new Set<QuantityKind>(['electricPower', 'apparentPower', 'energy', 'heatEnergy', 'power']);

/** Hours since midnight as a clock shows them. */
export function clock(hours: number): string {
  const minutes = ((Math.round(hours * 60) % 1440) + 1440) % 1440;
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A moment as it is written everywhere: 2027-03-02 14:05. */
export function moment(at: string | Date): string {
  const d = new Date(at);
  const two = (n: number) => String(n).padStart(2, '0');
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())} ${two(d.getHours())}:${two(d.getMinutes())}`;
}

/** A value in the shown unit, number and symbol apart. */
export function parted(inside: number, kind: QuantityKind): { number: string; symbol: string } {
  if (kind === 'hourOfDay') return { number: clock(inside), symbol: '' };
  const customary = settings.units === 'customary';
  if (customary && kind === 'length') return { number: feetAndInches(inside), symbol: '' };
  const unit = unitOf(kind, customary);
  let value = (inside - unit.offset) / unit.factor;
  let symbol = unit.symbol;
  let decimals = worth(value, unit);
  let least = unit.bare ? 0 : unit.decimals;
  if (thousands.has(kind) && Math.abs(value) >= 1000 && ['W', 'VA', 'Wh'].includes(symbol)) {
    value /= 1000;
    symbol = 'k' + symbol;
    decimals = least = Math.abs(value) >= 100 ? 0 : Math.abs(value) >= 10 ? 1 : 2;
  } else if (kind === 'number' || kind === 'resistance') {
    decimals = value === 0 ? 0 : Math.max(0, Math.min(6, 3 - Math.floor(Math.log10(Math.abs(value)))));
    least = kind === 'number' ? 0 : decimals;
  }
  if (decimals < 0) {
    const tens = 10 ** -decimals;
    value = Math.sign(value) * Math.floor(Math.abs(value) / tens + 0.5) * tens;
    decimals = 0;
  }
  const number = written(Math.min(least, decimals), decimals).format(value);
  return { number, symbol: customary && kind === 'conductorArea' ? symbol + gaugeBeside(inside) : symbol };
}

/** Decimals that a figure is worth; below nothing where it is rounded to tens and hundreds. */
function worth(value: number, unit: UnitView): number {
  if (unit.wholeFrom > 0 && Math.abs(value) >= unit.wholeFrom) return 0;
  return unit.digits === 0 || value === 0
    ? unit.decimals
    : Math.min(unit.decimals, unit.digits - 1 - Math.floor(Math.log10(Math.abs(value))));
}

/** A length as people write it: 18 ft 4 in, 6 ft 2½ in, 7 in, 4,921 ft. */
function feetAndInches(metres: number): string {
  const sign = metres < 0 ? '-' : '';
  const inches = Math.abs(metres) / 0.0254;
  if (inches >= 1200) return `${sign}${written(0, 0).format(Math.floor(inches / 12 + 0.5))}\u00a0ft`;
  const halves = inches >= 120 ? 2 * Math.floor(inches + 0.5) : Math.floor(2 * inches + 0.5);
  if (halves === 0) return '0\u00a0ft';
  const feet = Math.floor(halves / 24);
  const rest = halves % 24;
  const whole = Math.floor(rest / 2);
  const parts = [feet ? `${feet}\u00a0ft` : '', rest ? `${whole || ''}${rest % 2 ? '½' : ''}\u00a0in` : ''];
  return sign + parts.filter(Boolean).join('\u00a0');
}

/** The gauge of a conductor under its field, for who reads in gauges; it may break where it is long. */
export const gaugeOf = (areaMm2: number): string =>
  settings.units === 'customary' ? gaugeBeside(areaMm2).slice(2).replaceAll('\u00a0', ' ') : '';

/** The gauge of a conductor, or the two that it lies between. */
function gaugeBeside(areaMm2: number): string {
  const same = gauges.find((g) => Math.abs(areaMm2 / g.areaMm2 - 1) <= 0.05);
  if (same) return `,\u00a0${same.name.replace(' ', '\u00a0')}`;
  const above = gauges.find((g) => g.areaMm2 > areaMm2);
  const below = gauges.findLast((g) => g.areaMm2 < areaMm2);
  return above && below ? `,\u00a0between\u00a0${below.name.replace(' AWG', '')}\u00a0and\u00a0${above.name.replace(' ', '\u00a0')}` : '';
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
  if (settings.units === 'customary' && kind === 'length') return editableFeet(inside);
  const unit = unitOf(kind, settings.units === 'customary');
  const value = (inside - unit.offset) / unit.factor;
  return String(Number(value.toFixed(Math.max(unit.decimals, kind === 'number' ? 4 : unit.decimals + 1))));
}

/** Feet and inches as typed, to a hundredth of an inch; from a hundred feet on in feet. */
function editableFeet(metres: number): string {
  const inches = Number((Math.abs(metres) / 0.0254).toFixed(2));
  const sign = metres < 0 ? '-' : '';
  if (inches >= 1200) return `${sign}${Number((inches / 12).toFixed(2))} ft`;
  const feet = Math.floor(inches / 12);
  const rest = Number((inches - 12 * feet).toFixed(2));
  return sign + ([feet ? `${feet} ft` : '', rest ? `${rest} in` : ''].filter(Boolean).join(' ') || '0 ft');
}

/** The unit to write beside a line that is filled in by hand. */
export const hintOf = (kind: QuantityKind): string =>
  kind === 'hourOfDay'
    ? ''
    : kind === 'length' && settings.units === 'customary'
      ? 'ft in'
      : unitOf(kind, settings.units === 'customary').symbol;

/** The symbol beside a field; none where it stands in the field itself. */
export function symbolOf(kind: QuantityKind): string {
  return kind === 'hourOfDay' || (kind === 'length' && settings.units === 'customary')
    ? ''
    : unitOf(kind, settings.units === 'customary').symbol;
}

/** A value of a chart in the shown unit. */
export function toShown(inside: number, kind: QuantityKind): number {
  const unit = unitOf(kind, settings.units === 'customary');
  return (inside - unit.offset) / unit.factor;
}

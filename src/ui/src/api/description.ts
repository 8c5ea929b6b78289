import raw from './generated/description.json';
import type { FieldInfo, Option, QuantityKind } from './generated/schema';

/** A display unit: inside value = shown value × factor + offset. */
export interface UnitView {
  symbol: string;
  factor: number;
  offset: number;
  decimals: number;
  /** From here on a figure is whole; 0 where its decimals stay. */
  wholeFrom: number;
  /** Significant digits that a figure is worth; 0 where the decimals say all. */
  digits: number;
  /** A zero behind the point says nothing. */
  bare: boolean;
}

/** One question of a station. */
export interface Leaf {
  name: string;
  words: string;
  question: string;
}

interface Description {
  quantities: { kind: QuantityKind; metric: UnitView; customary: UnitView; symbols: string[] }[];
  fields: FieldInfo[];
  recordFields: Record<string, FieldInfo[]>;
  options: Record<string, Option[]>;
  stations: { name: string; phase: string; leaves: Leaf[] }[];
  gauges: { name: string; areaMm2: number }[];
}

const description = raw as unknown as Description;

/** Names of the stations, in the order of the work. */
export const stations = description.stations.map((s) => s.name);

/** The leaves of a station, the one that carries its verdict first. */
export const leavesOf = (station: string): Leaf[] => description.stations.find((s) => s.name === station)?.leaves ?? [];

/** Wire gauges that are sold, the thinnest first. */
export const gauges = description.gauges;

/** The parts of the work with their stations. */
export const phases = [...new Set(description.stations.map((s) => s.phase))].map((name) => ({
  name,
  stations: description.stations.filter((s) => s.phase === name).map((s) => s.name),
}));

/** A name as a title. */
export const titled = (name: string) => name.charAt(0).toUpperCase() + name.slice(1);
/** What can be written in a kind of record. */
export const recordFieldsOf = (kind: string): FieldInfo[] => description.recordFields[kind] ?? [];

const quantities = new Map(description.quantities.map((q) => [q.kind, q]));
const known = new Map(description.fields.map((f) => [f.path, f]));

/** Whether a path of the design is a single field that can be asked. */
export const fields = { has: (path: string): boolean => !['list', undefined].includes(known.get(generic(path))?.input) };

const generic = (path: string) => path.replace(/\/\d+(?=\/|$)/g, '/*');

/** The field at a path of the design. */
export function fieldAt(path: string): FieldInfo {
  const field = known.get(generic(path));
  if (!field) throw new Error(`no field ${path}`);
  return field;
}

/** The single fields of a row of a list, with their names in it. */
export function fieldsUnder(path: string): (FieldInfo & { name: string })[] {
  const row = generic(path) + '/*/';
  return description.fields
    .filter((f) => f.path.startsWith(row) && !f.path.slice(row.length).includes('/') && f.input !== 'list')
    .map((f) => ({ ...f, name: f.path.slice(row.length) }));
}

/** What a change at a path is called: the field's label with the part it lies in. */
export function labelOf(path: string): string {
  const parts = path.split('/').filter(Boolean);
  const label = known.get(generic(path))?.label ?? parts.at(-1) ?? path;
  return parts.length > 2 ? `${parts.slice(1, -1).map(counted).join(' ')}: ${label}` : label;
}

function counted(part: string): string {
  return /^\d+$/.test(part) ? String(Number(part) + 1) : part;
}

/** Single fields under a path whose label, or the part that they lie in, has a word; called with that part. */
export function findFields(under: string, word: string): { path: string; label: string }[] {
  const asked = word.trim().toLowerCase();
  if (asked.length < 2) return [];
  return description.fields
    .filter((f) => f.path.startsWith(under) && !f.path.includes('*') && f.input !== 'list')
    .map((f) => ({ path: f.path, label: labelOf(f.path) }))
    .filter((f) => f.label.toLowerCase().includes(asked))
    .slice(0, 12);
}

/** The unit a quantity is shown in. */
export function unitOf(kind: QuantityKind, customary: boolean): UnitView {
  const quantity = quantities.get(kind)!;
  return customary ? quantity.customary : quantity.metric;
}

/** Symbols of the units that a quantity can be typed in. */
export const symbolsOf = (kind: QuantityKind): string[] => quantities.get(kind)!.symbols;

/** Choices of a field: its own, or a list of the catalogue. */
export function choicesOf(field: FieldInfo): Option[] {
  return field.options ? (description.options[field.options] ?? []) : field.choices;
}

/** A kind of rig as it is spoken of. */
export function kindOf(kind: string): string {
  return choicesOf(fieldAt('/survey/kind')).find((o) => o.value === kind)?.label ?? kind;
}

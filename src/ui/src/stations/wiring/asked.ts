/** Paths of fields of one part of the wiring. */
export const under = (part: string, ...names: string[]) => names.map((n) => `/wiring/${part}/${n}`);

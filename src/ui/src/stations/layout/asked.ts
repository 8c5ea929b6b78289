/** Paths of fields of one part of the layout. */
export const under = (part: string, ...names: string[]) => names.map((n) => `/layout/${part}/${n}`);

/** Paths of fields of one part of the mount. */
export const under = (part: string, ...names: string[]) => names.map((n) => `/mount/${part}/${n}`);

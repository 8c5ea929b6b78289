/** Paths of fields of one part of the plan. */
export const under = (part: string, ...names: string[]) => names.map((n) => `/plan/${part}/${n}`);

/** Minutes of a day. */
export const dayMinutes = 1440;

/** A minute of the plan as the clock shows it. */
export const minuteClock = (minute: number): string => {
  const of = ((minute % dayMinutes) + dayMinutes) % dayMinutes;
  return `${String(Math.floor(of / 60)).padStart(2, '0')}:${String(of % 60).padStart(2, '0')}`;
};

/** A span of minutes as a person says it. */
export const spanOf = (minutes: number): string => {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  return hours === 0 ? `${whole} min` : whole % 60 === 0 ? `${hours} h` : `${hours} h ${whole % 60} min`;
};

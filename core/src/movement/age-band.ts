export const ageBands = ['4-6', '7-9', '10-13'] as const;
export type AgeBand = (typeof ageBands)[number];

/** @returns the band of an age in years, also of a mean; the youngest and the oldest band are open downwards and upwards. */
export function ageBandOf(years: number): AgeBand {
  if (years < 7) return '4-6';
  return years < 10 ? '7-9' : '10-13';
}

/** From which birthday on a band counts; the first one from 4 on. */
export const firstYearOf = (band: AgeBand): number => ({ '4-6': 4, '7-9': 7, '10-13': 10 })[band];

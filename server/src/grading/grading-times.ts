/** What of a timetable says when a party begins. */
export interface TimetableFacts {
  readonly parties: readonly { readonly id: number; readonly warmUpFrom: number }[];
}

/** A time of day so many minutes on. */
function later(time: string, minutes: number): string {
  const at = new Date(Date.parse(`2000-01-01T${time.slice(0, 5)}:00Z`) + minutes * 60_000);
  return at.toISOString().slice(11, 16);
}

/** When the warm-up of a party begins, as HH:MM; null while there is no timetable. @param startsAt of the day, HH:MM or HH:MM:SS */
export function beginsAt(startsAt: string, timetable: TimetableFacts | null, party: number | null): string | null {
  const own = timetable?.parties.find(({ id }) => id === party);
  return own ? later(startsAt, own.warmUpFrom) : null;
}

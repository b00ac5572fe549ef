/** The link by which a calendar follows what one teaches. */
export interface CalendarLinkResponse {
  /** Null where there is none. The link itself is known only when it is made. */
  readonly madeAt: string | null;
}

export interface CalendarLinkMade {
  readonly token: string;
}
